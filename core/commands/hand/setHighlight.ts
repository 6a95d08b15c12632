/** Brings the fixtures worked on out to be seen. Nothing of it is in the hand. */
import { memberId } from '../../show/compositeIds'
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { HIGHLIGHTS } from '../../show/entities'
import { fixtureId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const setHighlight = command({
  input: z.strictObject({ highlight: z.enum(HIGHLIGHTS), fixtures: z.array(fixtureId) }),
  undoable: false,
  run(show, { highlight, fixtures }, { person }) {
    if (!show.all.person.has(person)) return refuse('not in it', {})
    const draft = new Draft(show).set('person', person, 'highlight', highlight)
    const wanted = new Set(highlight === 'off' ? [] : fixtures.filter((id) => show.all.fixture.has(id)))
    for (const [id, { person: whose, fixture }] of show.all.highlighted)
      if (whose === person && !wanted.has(fixture)) draft.remove('highlighted', id)
    for (const fixture of wanted) draft.put('highlighted', memberId(person, fixture), { person, fixture })
    return done(draft, highlight === 'off' ? 'highlight off' : 'highlight')
  },
})
