/** Changes one attribute of fixtures: to a number, by so much, by a part, to an end, home. */
import { z } from 'zod'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { changedNumber, numberChange } from '../../hand/change'
import { rangeOf } from '../../hand/attributes'
import { numberShown, setInHand } from '../../hand/setInHand'
import { Draft } from '../../show/draft'
import { ATTRIBUTES, ATTRIBUTE_NAMES } from '../../show/families'
import { fixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

export const changeValues = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    attribute: z.enum(ATTRIBUTES).exclude(['position']),
    change: numberChange,
  }),
  undoable: true,
  run(show, { fixtures, attribute, change }, { person }) {
    const name = ATTRIBUTE_NAMES[attribute]
    const able = fixtures.flatMap((id) => rigOf(show).get(id) ?? []).filter(({ type }) => type.has.includes(attribute))
    if (able.length === 0) return refuse('not able', { attribute: name }, 'fixtures')
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const rigged of able) {
      const range = rangeOf(rigged.type, attribute)
      const { throwMetres } = pictureOf(show, rigged, lookup).position
      const number = changedNumber(numberShown(show, lookup, rigged, attribute, throwMetres), change, range)
      if (number === null)
        return refuse('beyond range', { type: rigged.type.name, attribute: name, ...range, number: null }, 'change')
      setInHand(draft, person, rigged.id, attribute, { kind: 'number', number })
    }
    const who = fixturesInWords(
      show,
      able.map(({ id }) => id),
    )
    return done(draft, `${name} of ${who}`, change.how === 'by' ? `change ${attribute}` : undefined)
  },
})
