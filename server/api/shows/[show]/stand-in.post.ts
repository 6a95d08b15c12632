/** Starts the stand-in rig for this show, with what is to be off of it. */
import { howOff } from '#core/standIn/hiddenErrors'
import { ApiError, defineApi } from '../../../http/api'
import { bodyOf } from '../../../http/body'
import { log } from '../../../http/log'
import { showOf } from '../../../http/showOf'
import { standInStatus } from '../../../standIn/status'
import { useStandIn } from '../../../standIn/useStandIn'

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const how = await bodyOf(event, howOff)
  try {
    await useStandIn().start(live, how)
  } catch (error) {
    log.error(error, 'the stand-in rig could not be started')
    const why = error instanceof Error ? error.message : ''
    throw new ApiError(503, { code: 'unreachable', message: `The stand-in rig could not be started. ${why}` })
  }
  return standInStatus(live)
})
