/** The show a route speaks of. */
import type { H3Event } from 'h3'
import { showId } from '#core/show/ids'
import type { LiveShow } from '../shows/liveShow'
import { useHouse } from '../shows/useHouse'
import { ApiError, paramOf } from './api'

export async function showOf(event: H3Event): Promise<LiveShow> {
  const id = paramOf(event, 'show', showId)
  const live = await (await useHouse()).show(id)
  if (!live)
    throw new ApiError(404, { code: 'not found', message: 'There is no such show. Open another from the show menu.' })
  return live
}
