/** Who asks, as a person of a show. */
import type { H3Event } from 'h3'
import { randomUUID } from 'node:crypto'
import { commandId, windowId, type PersonId } from '#core/show/ids'
import { guestOf, personOf } from '../access/guest'
import type { LiveShow } from '../shows/liveShow'
import { ApiError } from './api'

/** What the server itself does comes from no window. */
export const SERVER_WINDOW = windowId.parse('server')

/**
 * Joins whoever asks to the show, by their name where it is known; one who has joined before
 * stays as they are. Throws ApiError where joining is refused.
 */
export async function memberOf(event: H3Event, live: LiveShow, name?: string): Promise<PersonId> {
  const person = await personOf(event)
  if (live.show.all.person.has(person)) return person
  const { session } = await guestOf(event)
  const answer = await live.run({
    id: commandId.parse(randomUUID()),
    name: 'joinShow',
    input: { name: name ?? session?.name ?? `Programmer ${live.show.all.person.size + 1}` },
    person,
    window: SERVER_WINDOW,
    seenRevision: live.revision,
  })
  if (!answer.ok) throw new ApiError(answer.status, answer.refusal)
  return person
}
