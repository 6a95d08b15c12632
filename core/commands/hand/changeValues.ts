/** Changes one attribute of fixtures: to a number, by so much, by a part, to an end, home. */
import { z } from 'zod'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { amountChange, changedAmount } from '../../hand/change'
import { rangeOf } from '../../show/attributeRange'
import { amountShown, setInHand } from '../../hand/setInHand'
import { Draft } from '../../show/draft'
import { numberAttributeId, attributeName } from '../../attributes/attribute'
import { fixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

export const changeValues = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    attribute: numberAttributeId,
    change: amountChange,
  }),
  undoable: true,
  run(show, { fixtures, attribute, change }, { person }) {
    const name = attributeName(attribute)
    const able = fixtures.flatMap((id) => rigOf(show).get(id) ?? []).filter(({ type }) => type.has.includes(attribute))
    if (able.length === 0) return refuse('not able', { attribute: name }, 'fixtures')
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const rigged of able) {
      const range = rangeOf(rigged.type, attribute)
      const { throwMetres } = pictureOf(show, rigged, lookup).position
      const amount = changedAmount(amountShown(show, lookup, rigged, attribute, throwMetres), change, range)
      if (amount === null && change.how === 'spin')
        return refuse('cannot spin', { type: rigged.type.name, attribute: name, fastest: range.fastest }, 'change')
      if (amount === null)
        return refuse('beyond range', { type: rigged.type.name, attribute: name, ...range, number: null }, 'change')
      setInHand(draft, person, rigged.id, attribute, amount)
    }
    const who = fixturesInWords(
      show,
      able.map(({ id }) => id),
    )
    return done(draft, `${name} of ${who}`, change.how === 'by' ? `change ${attribute}` : undefined)
  },
})
