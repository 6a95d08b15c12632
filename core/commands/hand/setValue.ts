/** Puts a plain value for one attribute in the hand: a number, or a pool diameter for zoom. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { rangeOf } from '../../show/attributeRange'
import { setInHand } from '../../hand/setInHand'
import { Draft } from '../../show/draft'
import { numberAttributeId, attributeName } from '../../attributes/attribute'
import { fixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { numberValue, poolValue, spinValue } from '../../show/values'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

export const setValue = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    attribute: numberAttributeId,
    value: z.discriminatedUnion('kind', [numberValue, spinValue, poolValue]),
  }),
  undoable: true,
  run(show, { fixtures, attribute, value }, { person }) {
    if (value.kind === 'pool' && attribute !== LEADING.width) return refuse('not a pool', { attribute }, 'value')
    const able = fixtures.filter((id) => rigOf(show).get(id)?.type.has.includes(attribute))
    if (able.length === 0) return refuse('not able', { attribute: attributeName(attribute) }, 'fixtures')
    const draft = new Draft(show)
    const name = attributeName(attribute)
    for (const id of able) {
      const type = rigOf(show).get(id)?.type
      const limits = type && rangeOf(type, attribute)
      if (value.kind === 'number' && limits && (value.number < limits.min || value.number > limits.max))
        return refuse('beyond range', { type: type.name, attribute: name, ...limits, number: value.number }, 'value')
      if (value.kind === 'spin' && limits && Math.abs(value.rpm) > (limits.fastest ?? -1))
        return refuse('cannot spin', { type: type.name, attribute: name, fastest: limits.fastest }, 'value')
      setInHand(draft, person, id, attribute, value)
    }
    const shown = value.kind === 'pool' ? `pool ${value.diameter.toFixed(2)} m` : name
    return done(draft, `${shown} for ${fixturesInWords(show, able)}`, `set ${attribute}`)
  },
})
