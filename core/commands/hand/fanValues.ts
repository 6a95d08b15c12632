/** Spreads one number, or pan or tilt, over fixtures in order. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { pictureOf, stageLookup, type Lookup } from '../../cues/onStage'
import { rangeOf } from '../../show/attributeRange'
import { fanPlaces, fanShape, fanWeight, rangeValue } from '../../hand/fan'
import { numberShown, setInHand } from '../../hand/setInHand'
import { Draft } from '../../show/draft'
import { numberAttributeId, attributeName, type NumberAttribute } from '../../attributes/attribute'
import { rigOf, type RiggedFixture } from '../../show/rig'
import type { Show } from '../../show/show'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

const numbers = numberAttributeId
const spread = z.discriminatedUnion('how', [
  /** Added to what each shows: all of it where the fan's weight is 1. */
  z.strictObject({ how: z.literal('by'), amount: z.number() }),
  z.strictObject({ how: z.literal('range'), from: z.number(), to: z.number() }),
])

export const fanValues = command({
  input: fanShape.extend({ of: z.union([numbers, z.enum(['pan', 'tilt'])]), spread }),
  undoable: true,
  run(show, { parts, run, keep, curve, of, spread: wish }, { person }) {
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    const fanned = fanPlaces({ parts, run, curve }).flatMap(({ fixture, t }) => {
      const rigged = rigOf(show).get(fixture)
      return rigged && canFan(rigged, of) ? [{ rigged, t }] : []
    })
    if (fanned.length === 0) return refuse('not able', { attribute: nameOf(of) }, 'of')
    for (const { rigged, t } of fanned) {
      const wanted = (now: number) =>
        wish.how === 'by' ? now + wish.amount * fanWeight(t, keep) : rangeValue(t, keep, wish.from, wish.to)
      if (of === 'pan' || of === 'tilt') turn(show, draft, lookup, rigged, of, wanted, person)
      else setNumber(show, draft, lookup, rigged, of, wanted, person)
    }
    const who = fixturesInWords(
      show,
      fanned.map(({ rigged }) => rigged.id),
    )
    return done(draft, `fan ${nameOf(of)} of ${who}`)
  },
})

type Fanned = z.infer<typeof numbers> | 'pan' | 'tilt'
type Person = Parameters<typeof setInHand>[1]

function nameOf(of: Fanned): string {
  return of === 'pan' || of === 'tilt' ? of : attributeName(of)
}

function canFan({ type }: RiggedFixture, of: Fanned): boolean {
  return type.has.includes(of === 'pan' || of === 'tilt' ? LEADING.place : of)
}

/** A fan stops at the stops: the rest of it stays whole. */
function turn(
  show: Show,
  draft: Draft,
  lookup: Lookup,
  rigged: RiggedFixture,
  axis: 'pan' | 'tilt',
  wanted: (now: number) => number,
  person: Person,
) {
  const { pose } = pictureOf(show, rigged, lookup).position
  const { min, max } = rigged.type[axis]
  const angle = Math.min(max, Math.max(min, wanted(pose[axis])))
  setInHand(draft, person, rigged.id, LEADING.place, { kind: 'angles', pan: pose.pan, tilt: pose.tilt, [axis]: angle })
}

function setNumber(
  show: Show,
  draft: Draft,
  lookup: Lookup,
  rigged: RiggedFixture,
  attribute: NumberAttribute,
  wanted: (now: number) => number,
  person: Person,
) {
  const range = rangeOf(rigged.type, attribute)
  const { throwMetres } = pictureOf(show, rigged, lookup).position
  const number = wanted(numberShown(show, lookup, rigged, attribute, throwMetres))
  const inside = Math.min(range.max, Math.max(range.min, number))
  setInHand(draft, person, rigged.id, attribute, {
    kind: 'number',
    number: range.unit === 'slot' ? Math.round(inside) : inside,
  })
}
