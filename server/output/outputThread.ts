/**
 * The thread that works out what goes out and sends it, so that no request waits for a frame and no frame
 * for a request. It keeps a show of its own for each that is listened to or sent, in step by its changes.
 */
import { performance } from 'node:perf_hooks'
import { parentPort } from 'node:worker_threads'
import type { ShowId } from '#core/show/ids'
import type { TrackedPlaces } from '#core/tracking/following'
import { Frames } from './frames'
import type { FromThread, ToThread } from './threadMessages'
import { Wire } from './wire/wire'

/** How often it is told how sending goes, milliseconds. */
const TELL_EVERY = 1000

/** A show that is worked out, and sent while there is a wire. */
interface Worked {
  frames: Frames
  wire: Wire | null
}

const worked = new Map<ShowId, Worked>()
const tell = (message: FromThread) => parentPort?.postMessage(message)

parentPort?.on('message', (message: ToThread) => {
  if (message.kind === 'end') return end()
  const known = worked.get(message.show)
  switch (message.kind) {
    case 'open':
      return open(message)
    case 'changes':
      return known?.frames.apply(message.changes)
    case 'trackers':
      return known?.frames.hear(message.trackers)
    case 'send':
      return known && send(known, message.installation)
    case 'hold':
      return known && hold(known, message.isSentOn)
    case 'close':
      if (known) hold(known, false)
      known?.frames.close()
      worked.delete(message.show)
  }
})

function open({ show, all, ahead }: Extract<ToThread, { kind: 'open' }>): void {
  const known = worked.get(show)
  known?.frames.close()
  const hooks = {
    changed: (changed: Extract<FromThread, { changed: unknown }>['changed']) => tell({ show, changed }),
    places: (places: TrackedPlaces) => tell({ show, places }),
    frame: (...now: Parameters<Wire['send']>) => worked.get(show)?.wire?.send(...now),
    failed: (error: unknown) => tell({ show, fault: error instanceof Error ? error.message : String(error) }),
  }
  const frames = new Frames({ id: show, all }, () => Date.now() + ahead, hooks)
  worked.set(show, { frames, wire: known?.wire ?? null })
  frames.again()
}

function send(known: Worked, installation: string): void {
  known.wire ??= new Wire(installation)
  known.frames.again()
}

function hold(known: Worked, isSentOn: boolean): void {
  known.wire?.close(!isSentOn)
  known.wire = null
}

function end(): void {
  clearInterval(telling)
  for (const known of worked.values()) {
    hold(known, false)
    known.frames.close()
  }
  worked.clear()
  tell({ ended: true })
}

let busyBefore = performance.eventLoopUtilization()
const telling = setInterval(() => {
  const busy = performance.eventLoopUtilization()
  const load = performance.eventLoopUtilization(busy, busyBefore).utilization
  busyBefore = busy
  for (const [show, { frames, wire }] of worked)
    if (wire) tell({ show, status: { outputs: wire.tell(), ...frames.tell(), load } })
}, TELL_EVERY)
