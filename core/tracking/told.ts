/** What is told of trackers, and of what follows them. */
import { z } from 'zod'
import { targetId } from '../show/ids'
import { point } from '../show/values'
import { FOLLOWING_STATES, type TrackedPlaces } from './following'

/** Where targets that follow are, in the stage frame, metres; and how they do. */
export const trackedEvent = z.array(z.tuple([targetId, z.number(), z.number(), z.number(), z.enum(FOLLOWING_STATES)]))
export type TrackedEvent = z.infer<typeof trackedEvent>

/** As it is sent: a tenth of a millimetre is enough for anybody. */
export function writeTracked(places: TrackedPlaces): TrackedEvent {
  const rounded = (metres: number) => Math.round(metres * 1e4) / 1e4
  return [...places].map(([target, { place, state }]) => [
    target,
    ...([rounded(place.x), rounded(place.y), rounded(place.z)] as const),
    state,
  ])
}

export function readTracked(event: TrackedEvent): TrackedPlaces {
  return new Map(event.map(([target, x, y, z, state]) => [target, { place: { x, y, z }, state }]))
}

const trackerStatus = z.object({
  id: z.number().int(),
  name: z.string(),
  /** In the stage frame, metres. */
  place: point,
  /** Whether it was heard in the last second. */
  isHeard: z.boolean(),
})
export type TrackerStatus = z.infer<typeof trackerStatus>

/** What is heard of trackers, each second. */
export const trackersStatus = z.object({
  system: z.string(),
  trackers: z.array(trackerStatus),
  trouble: z.string().nullable(),
  /** Whether the stand-in tracker walks. */
  isWalking: z.boolean(),
})
export type TrackersStatus = z.infer<typeof trackersStatus>
