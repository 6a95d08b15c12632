/** The trackers that are heard in the venue in play, twice a second. */
import { ontoStage, trackingOf } from '#core/tracking/tracked'
import type { TrackersStatus } from '#core/tracking/told'
import type { TrackerPlace } from '#core/tracking/wire/psn'
import { defineApi } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { answerWithLine } from '../../../../http/streams'
import type { TrackersTold } from '../../../../input/threadMessages'
import { trackWhileWanted } from '../../../../input/trackWhileWanted'
import { isWalking } from '../../../../standIn/trackerWalk'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

const EVERY = 500
/** A tracker is told as heard so long, and told at all so long, milliseconds. */
const FRESH = 1000
const FORGOTTEN = 60_000

interface Seen {
  readonly tracker: TrackerPlace
  readonly at: number
}

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { inputs } = await useShowRegistry()
  return answerWithLine(event, (line) => {
    const seen = new Map<number, Seen>()
    let told: TrackersTold = { system: '', names: [], trouble: null }
    const stop = trackWhileWanted(live, inputs, {
      trackers: (trackers) => {
        for (const tracker of trackers) seen.set(tracker.id, { tracker, at: performance.now() })
      },
      told: (now) => (told = now),
    })
    const timer = setInterval(() => {
      const now = performance.now()
      for (const [id, { at }] of seen) if (now - at > FORGOTTEN) seen.delete(id)
      const frame = trackingOf(live.show)
      const names = new Map(told.names)
      const trackers = [...seen.values()].map(({ tracker: { id, place }, at }) => ({
        ...{ id, name: names.get(id) ?? '', place: ontoStage(frame, place), isHeard: now - at < FRESH },
      }))
      const { system, trouble } = told
      const status: TrackersStatus = { system, trackers, trouble, isWalking: isWalking(live) }
      void line.push({ event: 'status', data: JSON.stringify(status) })
    }, EVERY)
    return () => {
      clearInterval(timer)
      stop()
    }
  })
})
