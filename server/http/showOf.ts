/** The show a route speaks of. */
import type { H3Event } from 'h3'
import type { Role } from '#core/access/roles'
import { showId } from '#core/show/ids'
import { mustBe } from '../access/guest'
import type { LiveShow } from '../shows/liveShow'
import { useShowRegistry } from '../shows/useShowRegistry'
import { ApiError, paramOf } from './api'

/** The show, for who was let into it and may do at least that; throws ApiError or AccessError for others. */
export async function showOf(event: H3Event, least: Role = 'watches'): Promise<LiveShow> {
  const { show: only } = await mustBe(event, least)
  const id = paramOf(event, 'show', showId)
  const live = only === null || only === id ? await (await useShowRegistry()).show(id) : null
  if (!live)
    throw new ApiError(404, { code: 'not found', message: 'There is no such show. Open another from the show menu.' })
  return live
}
