/** Brings the show back to a kept version. */
import { z } from 'zod'
import { commandId, windowId } from '#core/show/ids'
import { outcomeOfRestoring } from '../../../../../exchange/versions'
import { ApiError, defineApi } from '../../../../../http/api'
import { bodyOf } from '../../../../../http/body'
import { memberOf } from '../../../../../http/members'
import { showOf } from '../../../../../http/showOf'
import { keptVersionOf, versionParamOf } from '../../../../../http/versionOf'
import { heldAs } from '../../../../../live/snapshot'

const restoreBody = z.strictObject({ id: commandId, window: windowId, seenRevision: z.number().int().min(0) })

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const versionThread = () => new URL('./versionThread.mjs', import.meta.url)

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const person = await memberOf(event, live)
  const version = await keptVersionOf(live.show, versionParamOf(event))
  const request = await bodyOf(event, restoreBody)
  const answer = await live.runElsewhere({ ...request, name: 'restoreShow', person }, async (show, now) => {
    const current = await heldAs(live, show, 'The show as it is')
    return outcomeOfRestoring(versionThread(), { show: show.id, version, current, id: request.id, person, now })
  })
  if (!answer.ok) throw new ApiError(answer.status, answer.refusal)
  return { entry: answer.entry, note: answer.note, undo: await live.undoState(person) }
})
