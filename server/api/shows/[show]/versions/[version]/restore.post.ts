/** Brings the show back to a kept version. */
import { z } from 'zod'
import { commandId, windowId } from '#core/show/ids'
import { ApiError, defineApi } from '../../../../../http/api'
import { bodyOf } from '../../../../../http/body'
import { memberOf } from '../../../../../http/members'
import { showOf } from '../../../../../http/showOf'
import { keptVersion, versionOf } from '../../../../../http/versionOf'

const restoreBody = z.strictObject({ id: commandId, window: windowId, seenRevision: z.number().int().min(0) })

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const person = await memberOf(event, live)
  const input = await keptVersion(live.show, versionOf(event))
  const request = await bodyOf(event, restoreBody)
  const answer = await live.run({ ...request, name: 'restoreShow', input, person })
  if (!answer.ok) throw new ApiError(answer.status, answer.refusal)
  return { entry: answer.entry, note: answer.note, undo: await live.undoState(person) }
})
