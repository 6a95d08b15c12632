/** What changed since a version, or between two, in words. */
import { z } from 'zod'
import { compareShows } from '#core/history/compare'
import { defineApi, queryOf } from '../../../../../http/api'
import { showOf } from '../../../../../http/showOf'
import { keptShow, versionOf } from '../../../../../http/versionOf'

const differencesQuery = z.object({ to: z.string().max(100).optional() })

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const { to } = queryOf(event, differencesQuery)
  const earlier = await keptShow(show, versionOf(event))
  return { differences: compareShows(earlier, to === undefined ? show : await keptShow(show, to)) }
})
