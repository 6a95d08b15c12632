/** The thread that listens: whatever floods in, nothing else waits for it. */
import { performance } from 'node:perf_hooks'
import { parentPort } from 'node:worker_threads'
import { PROTOCOLS } from '#core/show/entities'
import { Ear } from './ear'
import type { FromInputThread, ToInputThread } from './threadMessages'
import { TrackerEar } from './trackerEar'

/** Levels that changed are told so often, and what was heard, milliseconds. */
const LEVELS_EVERY = 40
const TELL_EVERY = 1000
/** Where trackers are is told in time for every frame that goes out, milliseconds. */
const PLACES_EVERY = 12

interface Listening {
  readonly ear: Ear
  /** As they were told last, by protocol and number. */
  told: Map<string, Uint8Array>
}

const listening = new Map<string, Listening>()
const tell = (message: FromInputThread) => parentPort?.postMessage(message)

const tracking = new Map<string, TrackerEar>()

parentPort?.on('message', (message: ToInputThread) => {
  if (message.kind === 'track' || message.kind === 'stop tracking') return track(message.from, message.kind === 'track')
  listening.get(message.from)?.ear.close()
  listening.delete(message.from)
  if (message.kind === 'listen')
    listening.set(message.from, { ear: new Ear(message.from, message.universes), told: new Map() })
})

function track(from: string, isWanted: boolean): void {
  if (isWanted === tracking.has(from)) return
  tracking.get(from)?.close()
  if (isWanted) tracking.set(from, new TrackerEar(from))
  else tracking.delete(from)
}

setInterval(() => {
  for (const [from, ear] of tracking) {
    const trackers = ear.takePlaces()
    if (trackers.length > 0) tell({ from, trackers })
  }
}, PLACES_EVERY)

setInterval(() => {
  for (const [from, one] of listening) {
    const levels = PROTOCOLS.flatMap((protocol) =>
      [...one.ear.sources.levels(protocol)].flatMap(([universe, now]) => {
        const key = `${protocol} ${universe}`
        const before = one.told.get(key)
        if (before && Buffer.compare(before, now) === 0) return []
        one.told.set(key, now)
        return [[protocol, universe, now] as const]
      }),
    )
    if (levels.length > 0) tell({ from, levels })
  }
}, LEVELS_EVERY)

let busyBefore = performance.eventLoopUtilization()
setInterval(() => {
  const busy = performance.eventLoopUtilization()
  const load = performance.eventLoopUtilization(busy, busyBefore).utilization
  busyBefore = busy
  for (const [from, ear] of tracking) tell({ from, told: ear.tell() })
  for (const [from, { ear, told }] of listening) {
    tell({ from, heard: ear.tell(), load })
    for (const key of told.keys()) if (!isHeard(ear, key)) told.delete(key)
  }
}, TELL_EVERY)

function isHeard(ear: Ear, key: string): boolean {
  return PROTOCOLS.some(
    (protocol) =>
      key.startsWith(`${protocol} `) && ear.sources.levels(protocol).has(Number(key.slice(protocol.length + 1))),
  )
}
