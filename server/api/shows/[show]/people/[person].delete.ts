/** Takes out a person who is not in and has no work in the show. */
import { randomUUID } from 'node:crypto'
import { commandId, personId } from '#core/show/ids'
import { peopleOf } from '../../../../database/accessRepository'
import { ApiError, defineApi, paramOf } from '../../../../http/api'
import { memberOf, SERVER_WINDOW } from '../../../../http/members'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const live = await showOf(event, 'owns')
  const person = paramOf(event, 'person', personId)
  const { knex } = await useShowRegistry()
  const about = (await peopleOf(knex, live.show.id)).find((one) => one.person === person)
  if (about?.isIn) throw refused('This person is in at this moment. End their link first.')
  if (about?.hasWork) throw refused('This person has work in the show, which would lose its name. They stay.')
  const answer = await live.run({
    id: commandId.parse(randomUUID()),
    name: 'removePerson',
    input: { person },
    person: await memberOf(event, live),
    window: SERVER_WINDOW,
    seenRevision: live.revision,
  })
  if (!answer.ok) throw new ApiError(answer.status, answer.refusal)
  return {}
})

const refused = (message: string) => new ApiError(409, { code: 'stays', message })
