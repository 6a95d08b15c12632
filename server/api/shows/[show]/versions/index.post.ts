/** Keeps the show as it is now under a name. */
import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { keepVersion } from '../../../../database/versionRepository'
import { defineApi } from '../../../../http/api'
import { bodyOf } from '../../../../http/body'
import { memberOf } from '../../../../http/members'
import { versionContentsOf } from '../../../../live/snapshot'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

const versionBody = z.strictObject({ name: z.string().trim().min(1, 'a name is wanted').max(120) })

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const { name } = await bodyOf(event, versionBody)
  const { knex } = await useShowRegistry()
  const id = randomUUID()
  const { show, revision } = live
  const contents = await versionContentsOf(live, show)
  const person = await memberOf(event, live)
  await keepVersion(knex, show.id, { id, name, person, automatic: false, revision, contents })
  return { id }
})
