/** Undo and redo, asked for by the step they speak of, so that two windows at once undo once. */
import { z } from 'zod'
import { changeGroupId, commandId, windowId } from '#core/show/ids'
import { ApiError, defineApi } from '../../../http/api'
import { bodyOf } from '../../../http/body'
import { memberOf } from '../../../http/members'
import { showOf } from '../../../http/showOf'

const undoBody = z.strictObject({
  id: commandId,
  direction: z.enum(['undo', 'redo']),
  group: changeGroupId,
  how: z.enum(['ask', 'anyway', 'waive']),
  window: windowId,
  seenRevision: z.number().int().min(0),
})

export default defineApi(async (event) => {
  const live = await showOf(event, 'walks the stage')
  const person = await memberOf(event, live)
  const answer = await live.toggle({ ...(await bodyOf(event, undoBody)), person })
  if (!answer.ok) throw new ApiError(answer.status, answer.refusal)
  return { entry: answer.entry, note: answer.note, undo: await live.undoState(person) }
})
