/** Stops the stand-in rig. */
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { standInStatus } from '../../../standIn/status'
import { useStandIn } from '../../../standIn/useStandIn'

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  useStandIn().stop()
  return standInStatus(live)
})
