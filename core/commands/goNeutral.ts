/** Brings fixtures to a start to work from: open, white, straight down, for the families not held back. */
import { z } from 'zod'
import { rangeOf } from '../hand/attributes'
import { putInHand } from '../hand/put'
import { nearestToHome } from '../palettes/solve'
import { Draft } from '../show/draft'
import { FAMILIES, familyOf, FIRST_NEUTRAL, type Attribute } from '../show/families'
import { fixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Value } from '../show/values'
import { command, done, refuse } from './command'
import { fixturesInWords, listInWords } from './wording'

export const goNeutral = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    /** Null goes by the person's own mask, and uses up one that was set for once. */
    families: z.array(z.enum(FAMILIES)).min(1).nullable(),
  }),
  undoable: true,
  run(show, { fixtures, families }, { person }) {
    const known = show.all.person.get(person)
    const taken = families ?? known?.neutral ?? FIRST_NEUTRAL
    const draft = new Draft(show)
    for (const id of fixtures) {
      const rigged = rigOf(show).get(id)
      for (const attribute of rigged?.type.has ?? [])
        if (rigged && taken.includes(familyOf(attribute)))
          putInHand(draft, person, id, attribute, neutralValue(rigged, attribute))
    }
    if (draft.changes().length === 0)
      return refuse(
        'nothing to do',
        taken.length === 0
          ? 'Neutral does nothing: its mask holds every family back. Switch one on beside the button.'
          : `Neutral does nothing: ${listInWords(taken)} of these fixtures ${taken.length === 1 ? 'is' : 'are'} neutral already, and the rest is held back.`,
        'families',
      )
    if (families === null && known?.neutralOnce)
      draft.set('person', person, 'neutral', [...FIRST_NEUTRAL]).set('person', person, 'neutralOnce', false)
    return done(draft.changes(), `${listInWords(taken)} of ${fixturesInWords(show, fixtures)} neutral`)
  },
})

/** Open and white at full; straight down, or as near as the stops allow. */
function neutralValue(rigged: RiggedFixture, attribute: Attribute): Value {
  if (attribute === 'position') return { kind: 'angles', ...nearestToHome(rigged.mount) }
  if (attribute === 'intensity') return { kind: 'number', number: 1 }
  return { kind: 'number', number: rangeOf(rigged.type, attribute).home }
}
