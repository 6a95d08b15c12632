/** Whether the stand-in rig of this show runs, and where its page is. */
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { standInStatus } from '../../../standIn/status'

export default defineApi(async (event) => standInStatus(await showOf(event)))
