/** Puts a plain value for one attribute in the hand: a number, or a pool diameter for zoom. */
import { z } from 'zod'
import { handValueId } from '../cues/onStage'
import { zoomRange } from '../light/optics'
import { Draft } from '../show/draft'
import { ATTRIBUTES, type Attribute } from '../show/families'
import { fixtureId } from '../show/ids'
import type { FixtureType, Wheel } from '../show/entities'
import { rigOf } from '../show/rig'
import { numberValue, poolValue } from '../show/values'
import { command, done, refuse } from './command'
import { fixturesInWords } from './wording'

const settable = z.enum(ATTRIBUTES).exclude(['position'])

export const setValue = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    attribute: settable,
    value: z.discriminatedUnion('kind', [numberValue, poolValue]),
  }),
  undoable: true,
  run(show, { fixtures, attribute, value }, { person }) {
    if (value.kind === 'pool' && attribute !== 'zoom')
      return refuse('not a pool', `A pool diameter sets the zoom; ${attribute} takes a number.`, 'value')
    const able = fixtures.filter((id) => rigOf(show).get(id)?.type.has.includes(attribute))
    if (able.length === 0) return refuse('not able', `None of the selected fixtures has ${attribute}.`, 'fixtures')
    const draft = new Draft(show)
    for (const id of able) {
      const type = rigOf(show).get(id)?.type
      const limits = type && limitsOf(type, attribute)
      if (value.kind === 'number' && limits && (value.number < limits.min || value.number > limits.max))
        return refuse(
          'beyond range',
          `${type.name} takes ${attribute} from ${limits.min} to ${limits.max}, not ${value.number}.`,
          'value',
        )
      draft.put('handValue', handValueId(person, id, attribute), { person, fixture: id, attribute, value })
    }
    const shown = value.kind === 'pool' ? `pool ${value.diameter.toFixed(2)} m` : attribute
    return done(draft.changes(), `${shown} for ${fixturesInWords(show, able)}`, `set ${attribute}`)
  },
})

/** What a type takes for an attribute: degrees for zoom, a slot from 0 for gobo, else a level. */
function limitsOf(type: FixtureType, attribute: Exclude<Attribute, 'position'>): { min: number; max: number } {
  if (attribute === 'zoom') return zoomRange(type.optics) ?? { min: 0, max: 0 }
  if (attribute === 'colourWheel') return slotsOf(type, 'colour', 0)
  if (attribute === 'gobo') return slotsOf(type, 'gobo', 0)
  if (attribute === 'gobo2') return slotsOf(type, 'gobo', 1)
  return { min: 0, max: 1 }
}

/** The slots of the first or second wheel of a kind, counted from 0, which is open. */
function slotsOf(type: FixtureType, kind: Wheel['kind'], index: number): { min: number; max: number } {
  const wheel = type.wheels.filter((w) => w.kind === kind)[index]
  return { min: 0, max: wheel ? wheel.slots.length - 1 : 0 }
}
