/** Ends what a link let this browser do. */
import { leave } from '../access/guest'
import { defineApi } from '../http/api'

export default defineApi(async (event) => {
  await leave(event)
  return {}
})
