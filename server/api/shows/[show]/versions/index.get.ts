/** The kept versions of a show, with the names of those who kept them. */
import { listVersions } from '../../../../database/versionRepository'
import { defineApi } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { knex } = await useShowRegistry()
  const versions = await listVersions(knex, live.show.id)
  return {
    versions: versions.map((version) => ({
      ...version,
      by: [...live.show.all.person].find(([id]) => id === version.person)?.[1].name ?? '',
    })),
  }
})
