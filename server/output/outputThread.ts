/**
 * The thread that works out what goes out, so that no request waits for a frame and no frame for a
 * request. It keeps a show of its own for each that is listened to, in step by its changes.
 */
import { parentPort } from 'node:worker_threads'
import { Frames } from './frames'
import type { FromThread, ToThread } from './threadMessages'

const frames = new Map<string, Frames>()
const tell = (message: FromThread) => parentPort?.postMessage(message)

parentPort?.on('message', (message: ToThread) => {
  const { show } = message
  const known = frames.get(show)
  if (message.kind === 'changes') return known?.apply(message.changes)
  known?.close()
  if (message.kind === 'close') frames.delete(show)
  else frames.set(show, framesOf(message))
})

function framesOf({ show, all, ahead }: Extract<ToThread, { kind: 'open' }>): Frames {
  return new Frames(
    { id: show, all },
    () => Date.now() + ahead,
    (changed) => tell({ show, changed }),
    (error) => tell({ show, fault: error instanceof Error ? error.message : String(error) }),
  )
}
