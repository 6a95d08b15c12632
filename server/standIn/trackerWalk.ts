/** The stand-in tracker: walks about the places of targets that follow trackers, on this machine. */
import { createSocket, type Socket } from 'node:dgram'
import { targetsOf } from '#core/show/targets'
import { intoTracking, trackingOf } from '#core/tracking/tracked'
import { placeOnWalk } from '#core/tracking/walk'
import { encodeNames, encodePlaces, PSN_GROUP, PSN_PORT, TRACKERS_A_PACKET } from '#core/tracking/wire/psn'
import { LOOPBACK } from '#core/show/entities'
import { log } from '../http/log'
import type { LiveShow } from '../shows/liveShow'

/** Milliseconds from one place to the next, and from names to names. */
const PLACES_EVERY = 25
const NAMES_EVERY = 1000
const SYSTEM = 'Stand-in tracker'

export class TrackerWalk {
  readonly #socket: Socket
  readonly #timer: ReturnType<typeof setInterval>
  readonly #since = performance.now()
  #frame = 0

  constructor(private readonly live: LiveShow) {
    const socket = createSocket('udp4')
    this.#socket = socket
    socket.on('error', (error) => log.warn(error, 'the stand-in tracker is not heard'))
    socket.bind(0, LOOPBACK, () => socket.setMulticastInterface(LOOPBACK))
    this.#timer = setInterval(() => this.#say(), PLACES_EVERY)
    this.#timer.unref()
    socket.unref()
  }

  #say(): void {
    const { show } = this.live
    const frame = trackingOf(show)
    const elapsed = performance.now() - this.#since
    const about = new Map(
      [...show.all.trackedTarget.values()].flatMap(({ target, tracker, above }) => {
        const placed = targetsOf(show).get(target)
        return placed ? [[tracker, { ...placed.position, z: placed.position.z - above }] as const] : []
      }),
    )
    const trackers = [...about].map(([id, place]) => ({
      id,
      place: intoTracking(frame, placeOnWalk(place, id, elapsed / 1000)),
    }))
    this.#frame += 1
    const head = { microseconds: elapsed * 1000, frame: this.#frame & 255 }
    for (let i = 0; i < trackers.length; i += TRACKERS_A_PACKET)
      this.#send(encodePlaces(head, trackers.slice(i, i + TRACKERS_A_PACKET)))
    if (this.#frame % (NAMES_EVERY / PLACES_EVERY) !== 1) return
    const names = [...about.keys()].slice(0, TRACKERS_A_PACKET).map((id) => [id, `Walker ${id}`] as const)
    this.#send(encodeNames(head, SYSTEM, new Map(names)))
  }

  #send(bytes: Uint8Array): void {
    this.#socket.send(bytes, PSN_PORT, PSN_GROUP, () => undefined)
  }

  close(): void {
    clearInterval(this.#timer)
    this.#socket.close()
  }
}

const walks = new Map<string, TrackerWalk>()

export const isWalking = (live: LiveShow) => walks.has(live.show.id)

/** Walks for a show, or no longer. */
export function walk(live: LiveShow, isWanted: boolean): void {
  const known = walks.get(live.show.id)
  if (isWanted === (known !== undefined)) return
  known?.close()
  if (isWanted) walks.set(live.show.id, new TrackerWalk(live))
  else walks.delete(live.show.id)
}
