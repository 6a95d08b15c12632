/** Listens to trackers for a show: on the interface its venue says, and while it says so. */
import { trackingOf } from '#core/tracking/tracked'
import type { LiveShow } from '../shows/liveShow'
import type { Inputs, TrackerListener } from './inputs'

/** Returns how to stop. */
export function trackWhileWanted(live: LiveShow, inputs: Pick<Inputs, 'track'>, listener: TrackerListener): () => void {
  let from: string | null = null
  let stop: () => void = () => undefined
  const look = () => {
    const { isOn, from: wanted } = trackingOf(live.show)
    const next = isOn ? wanted : null
    if (next === from) return
    from = next
    stop()
    stop = next === null ? () => undefined : inputs.track(next, listener)
  }
  const unsubscribe = live.subscribe({ entry: look, reloaded: look })
  look()
  return () => {
    unsubscribe()
    stop()
  }
}
