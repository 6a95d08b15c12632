/** Starts the stand-in tracker: it walks about the targets that follow, on this machine. */
import { defineApi } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { walk } from '../../../../standIn/trackerWalk'

export default defineApi(async (event) => {
  walk(await showOf(event, 'programs'), true)
  return { isWalking: true }
})
