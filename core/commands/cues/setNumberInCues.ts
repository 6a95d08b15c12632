/** Sets a number in cues, seen or not. */
import { z } from 'zod'
import { setInCues, WHERE } from '../../cues/editing'
import type { Setting } from '../../cues/marks'
import { rangeOf } from '../../show/attributeRange'
import { Draft } from '../../show/draft'
import { numberAttributeId, attributeName } from '../../attributes/attribute'
import { rigOf } from '../../show/rig'
import { command, done, refuse } from '../command'
import { noCue } from '../shared/cueListOf'
import { fixturesInWords } from '../shared/wording'
import { areCuesGone, cues, cuesInWords } from '../shared/chosenCues'
import { fixtures } from '../shared/fixtureChoice'

export const setNumberInCues = command({
  input: z.strictObject({
    cues,
    fixtures,
    attribute: numberAttributeId,
    number: z.number(),
    where: z.enum(WHERE),
  }),
  undoable: true,
  run(show, { cues: into, fixtures: whose, attribute, number, where }) {
    if (areCuesGone(show, into)) return noCue()
    const able = whose.filter((id) => rigOf(show).get(id)?.type.has.includes(attribute))
    if (able.length === 0) return refuse('not able', { attribute: attributeName(attribute) }, 'fixtures')
    for (const id of able) {
      const type = rigOf(show).get(id)?.type
      const limits = type && rangeOf(type, attribute)
      if (limits && (number < limits.min || number > limits.max))
        return refuse(
          'beyond range',
          { type: type.name, attribute: attributeName(attribute), ...limits, number },
          'number',
        )
    }
    const value = { kind: 'number', number } as const
    const settings = into.flatMap((cue) => able.map((fixture): Setting => ({ cue, fixture, attribute, value })))
    const draft = new Draft(show)
    setInCues(show, draft, settings, where)
    return done(draft, `${attributeName(attribute)} of ${fixturesInWords(show, able)} in ${cuesInWords(show, into)}`)
  },
})
