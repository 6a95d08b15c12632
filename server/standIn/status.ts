/** What a page is told of the stand-in rig. */
import { showRecordOf } from '#core/show/show'
import type { StandInStatus } from '#core/standIn/status'
import type { LiveShow } from '../shows/liveShow'
import { useStandIn } from './useStandIn'

export function standInStatus(live: LiveShow): StandInStatus {
  const { running } = useStandIn()
  if (!running) return { state: 'off' }
  if (running.live.show.id === live.show.id) return { state: 'on', url: running.url }
  return { state: 'of another show', name: showRecordOf(running.live.show).name }
}
