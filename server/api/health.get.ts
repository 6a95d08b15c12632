import { defineOpenApi } from '../http/api'
import { useHouse } from '../shows/useHouse'

/** `process` tells which server it is that answers. */
export default defineOpenApi(async () => {
  const house = await useHouse()
  await house.knex.raw('select 1')
  return { ok: true, process: process.pid }
})
