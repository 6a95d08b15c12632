/** Stops the stand-in tracker. */
import { defineApi } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { walk } from '../../../../standIn/trackerWalk'

export default defineApi(async (event) => {
  walk(await showOf(event, 'programs'), false)
  return { isWalking: false }
})
