/** Puts a colour in the hand: what light is to look like, or what some of the parts that mix it do. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { stageLookup, pictureOf } from '../../cues/onStage'
import { setInHand } from '../../hand/setInHand'
import { colourInWords } from '../../show/colourInWords'
import { madeColour, partsOf } from '../../show/colours'
import { Draft } from '../../show/draft'
import { fixtureId } from '../../show/ids'
import { rigOf, type RiggedFixture } from '../../show/rig'
import { colourValue, partsValue, type PlainColour } from '../../show/values'
import { attributeName } from '../../attributes/attribute'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

export const setColour = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    /** Of parts, those that are not named stay as they are shown. */
    colour: z.discriminatedUnion('kind', [colourValue, partsValue]),
  }),
  undoable: true,
  run(show, { fixtures, colour }, { person }) {
    const able = fixtures
      .flatMap((id) => rigOf(show).get(id) ?? [])
      .filter(({ type }) => type.has.includes(LEADING.colour) && has(type, colour))
    const what = colour.kind === 'parts' ? colourInWords(colour) : attributeName(LEADING.colour)
    if (able.length === 0) return refuse('not able', { attribute: what }, 'fixtures')
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    const valueOf = (rigged: RiggedFixture): PlainColour => {
      if (colour.kind === 'colour') return colour
      const shown = madeColour(rigged.type, pictureOf(show, rigged, lookup).colour).parts
      return {
        kind: 'parts',
        parts: Object.fromEntries([...shown].map(([part, level]) => [part, colour.parts[part] ?? level])),
      }
    }
    for (const rigged of able) setInHand(draft, person, rigged.id, LEADING.colour, valueOf(rigged))
    const who = fixturesInWords(
      show,
      able.map(({ id }) => id),
    )
    return done(draft, `${colourInWords(colour)} for ${who}`, 'set colour')
  },
})

const has = (type: RiggedFixture['type'], colour: PlainColour) =>
  colour.kind === 'colour' || partsOf(type).some((part) => part in colour.parts)
