import { defineApi } from '../http/api'
import { useHouse } from '../shows/useHouse'

export default defineApi(async () => {
  const house = await useHouse()
  await house.knex.raw('select 1')
  return { ok: true }
})
