/** Puts a plain value for one attribute in the hand: a number, or a pool diameter for zoom. */
import { z } from 'zod'
import { rangeOf } from '../../hand/attributes'
import { setInHand } from '../../hand/setInHand'
import { Draft } from '../../show/draft'
import { ATTRIBUTES } from '../../show/families'
import { fixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { numberValue, poolValue } from '../../show/values'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

const settable = z.enum(ATTRIBUTES).exclude(['position'])

export const setValue = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    attribute: settable,
    value: z.discriminatedUnion('kind', [numberValue, poolValue]),
  }),
  undoable: true,
  run(show, { fixtures, attribute, value }, { person }) {
    if (value.kind === 'pool' && attribute !== 'zoom') return refuse('not a pool', { attribute }, 'value')
    const able = fixtures.filter((id) => rigOf(show).get(id)?.type.has.includes(attribute))
    if (able.length === 0) return refuse('not able', { attribute }, 'fixtures')
    const draft = new Draft(show)
    for (const id of able) {
      const type = rigOf(show).get(id)?.type
      const limits = type && rangeOf(type, attribute)
      if (value.kind === 'number' && limits && (value.number < limits.min || value.number > limits.max))
        return refuse('beyond range', { type: type.name, attribute, ...limits, number: value.number }, 'value')
      setInHand(draft, person, id, attribute, value)
    }
    const shown = value.kind === 'pool' ? `pool ${value.diameter.toFixed(2)} m` : attribute
    return done(draft, `${shown} for ${fixturesInWords(show, able)}`, `set ${attribute}`)
  },
})
