/** Takes a kept version out. */
import { dropVersion } from '../../../../../database/versionRepository'
import { defineApi } from '../../../../../http/api'
import { showOf } from '../../../../../http/showOf'
import { versionParamOf } from '../../../../../http/versionOf'
import { useShowRegistry } from '../../../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const { knex } = await useShowRegistry()
  await dropVersion(knex, live.show.id, versionParamOf(event))
  return {}
})
