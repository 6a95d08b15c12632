import { z } from 'zod'
import { commandId, windowId } from '#core/show/ids'
import { ApiError, bodyOf, defineApi } from '../../../http/api'
import { personOf } from '../../../http/person'
import { showOf } from '../../../http/showOf'

const commandBody = z.strictObject({
  id: commandId,
  name: z.string().max(60),
  input: z.unknown(),
  window: windowId,
  seenRevision: z.number().int().min(0),
})

export default defineApi(async (event) => {
  const live = await showOf(event)
  const person = personOf(event)
  const answer = await live.run({ ...(await bodyOf(event, commandBody)), person })
  if (!answer.ok) throw new ApiError(answer.status, answer.refusal)
  return { entry: answer.entry, note: answer.note, undo: live.undoState(person) }
})
