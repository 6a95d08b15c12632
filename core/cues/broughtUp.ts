/**
 * What is brought up on stage to be checked in a pass: it lies over the cues and everybody's hand, and
 * nothing of it is in a hand, so nothing of it can be recorded.
 */
import { LEADING } from '../attributes/catalogue'
import { isNumberAttribute, type NumberAttribute } from '../attributes/attribute'
import { checkedWith } from '../palettes/placed'
import { rangeOf } from '../show/attributeRange'
import { attributesServed } from '../palettes/resolve'
import type { Pass } from '../show/entities'
import type { EntityOf } from '../show/kinds'
import { restColour } from '../show/colours'
import { derived } from '../show/derived'
import { RIG_KINDS, rigOf, withCells, type RiggedFixture } from '../show/rig'
import { showRecordOf, type ShowPart } from '../show/show'
import type { LinkValue, Value } from '../show/values'
import { putValue, type GrowingValues, type ValueMap } from './playback'

const NOTHING: ValueMap = new Map()

const KINDS = ['person', 'pass', 'paletteValue', 'recordedFixture', ...RIG_KINDS] as const
type CheckedShow = ShowPart<(typeof KINDS)[number]>

/** By fixture, what is brought up in the pass of the venue in play. */
export const broughtUp = derived(KINDS, (show): ValueMap => {
  const pass = show.all.pass.get(showRecordOf(show).venue)
  const people = [...show.all.person.values()].filter(({ checking }) => checking !== null)
  if (!pass || people.length === 0) return NOTHING
  const values: GrowingValues = new Map()
  if (pass.others === 'out')
    for (const { id, type } of rigOf(show).values())
      if (type.has.includes(LEADING.light)) putValue(values, id, LEADING.light, DARK)
  for (const person of people) bringUp(show, pass, person, values)
  return values
})

const DARK: Value = { kind: 'number', number: 0 }

/** Puts the palette a person checks over the rest: all of it where it stands, lit as they chose. */
function bringUp(show: CheckedShow, pass: Pass, { checking, only }: EntityOf['person'], values: GrowingValues): void {
  if (checking === null) return
  const link: LinkValue = { kind: 'link', palette: checking }
  const lit: Value = { kind: 'number', number: pass.level }
  for (const rigged of checkedWith(show, checking)) {
    const isLit = only === null || only === rigged.id
    for (const id of withCells(show, rigged.id)) {
      const one = rigOf(show).get(id)
      if (one) seeBy(show, one, link, isLit ? lit : DARK, values)
    }
  }
}

const atHome = ({ type }: RiggedFixture, attribute: NumberAttribute): Value => ({
  kind: 'number',
  number: rangeOf(type, attribute).home,
})

/** A fixture with what the palette gives it, its light, and all else at rest: open and white. */
function seeBy(show: CheckedShow, rigged: RiggedFixture, link: LinkValue, light: Value, values: GrowingValues): void {
  const served = new Set(attributesServed(show, link.palette, rigged))
  for (const attribute of rigged.type.has) {
    if (attribute === LEADING.light) putValue(values, rigged.id, attribute, light)
    else if (served.has(attribute)) putValue(values, rigged.id, attribute, link)
    else if (isNumberAttribute(attribute)) putValue(values, rigged.id, attribute, atHome(rigged, attribute))
    else if (attribute === LEADING.colour) putValue(values, rigged.id, attribute, restColour(rigged.type))
  }
}
