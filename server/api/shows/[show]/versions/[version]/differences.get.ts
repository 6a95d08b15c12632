/** What changed since a version, or between two, in words. */
import { z } from 'zod'
import { compareVersions } from '../../../../../exchange/versions'
import { ApiError, defineApi, queryOf } from '../../../../../http/api'
import { showOf } from '../../../../../http/showOf'
import { keptVersionOf, versionParamOf } from '../../../../../http/versionOf'
import { heldAs } from '../../../../../live/snapshot'

const differencesQuery = z.object({ to: z.string().max(100).optional() })

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const versionThread = () => new URL('./versionThread.mjs', import.meta.url)

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { show } = live
  const { to } = queryOf(event, differencesQuery)
  const earlier = await keptVersionOf(show, versionParamOf(event))
  const later = to === undefined ? await heldAs(live, show, 'The show as it is') : await keptVersionOf(show, to)
  const compared = await compareVersions(versionThread(), { show: show.id, earlier, later })
  if (!compared.ok) throw new ApiError(422, compared.refusal)
  return { differences: compared.differences }
})
