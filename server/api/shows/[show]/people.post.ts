/** Joins whoever asks to the show; one who has joined before stays as they are. */
import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { ENTITY_SCHEMAS } from '#core/show/entities'
import { commandId, windowId } from '#core/show/ids'
import { ApiError, defineApi } from '../../../http/api'
import { bodyOf } from '../../../http/body'
import { personOf } from '../../../http/person'
import { showOf } from '../../../http/showOf'

const joining = z.strictObject({ name: ENTITY_SCHEMAS.person.shape.name.optional() })

export default defineApi(async (event) => {
  const live = await showOf(event)
  const person = personOf(event)
  const { name } = await bodyOf(event, joining)
  if (live.show.all.person.has(person)) return { person }
  const answer = await live.run({
    id: commandId.parse(randomUUID()),
    name: 'joinShow',
    input: { name: name ?? `Programmer ${live.show.all.person.size + 1}` },
    person,
    window: windowId.parse('server'),
    seenRevision: live.revision,
  })
  if (!answer.ok) throw new ApiError(answer.status, answer.refusal)
  return { person }
})
