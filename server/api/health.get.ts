import { defineOpenApi } from '../http/api'
import { useShowRegistry } from '../shows/useShowRegistry'

/** `process` tells which server it is that answers. */
export default defineOpenApi(async () => {
  const registry = await useShowRegistry()
  await registry.knex.raw('select 1')
  return { ok: true, process: process.pid }
})
