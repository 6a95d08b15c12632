/** Sending 16 universes on the move over loopback, from the thread that does it in the product. */
import { createSocket } from 'node:dgram'
import { once } from 'node:events'
import { setTimeout as pause } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'
import { mean, quantile } from 'd3-array'
import { showId } from '#core/show/ids'
import type { Draft } from '#core/show/draft'
import { buildThread, THREADS } from '../scripts/buildThread'
import { YOUNG_MB } from '../server/output/outputs'
import type { FromThread, ThreadStatus } from '../server/output/threadMessages'
import { generateShow, withCues } from './generate'
import { line } from './measure'
import { onItsWay } from './output'

const THREAD = new URL('../node_modules/.cache/rhopander/outputThread.mjs', import.meta.url)
const BARE = new URL('bareSender.mjs', import.meta.url)
const ADDRESS = '127.0.0.31'
const UNIVERSES = 16
const FRAME = 25
/** Until a thread runs warm, milliseconds. */
const WARM = 2000

interface Arrivals {
  /** How far packets of each universe were off their time, milliseconds, 1 in 2 and 99 in 100. */
  readonly half: number
  readonly p99: number
  readonly perSecond: number
}

/** How packets arrive from a thread, once it runs warm. */
async function arrivalsFrom(thread: Worker, seconds: number): Promise<Arrivals> {
  const socket = createSocket('udp4')
  socket.bind({ address: ADDRESS, port: 5568 })
  await once(socket, 'listening')
  const last = new Map<number, number>()
  let off: number[] = []
  socket.on('message', (bytes) => {
    const [universe, now] = [bytes.readUInt16BE(113), performance.now()]
    const before = last.get(universe)
    last.set(universe, now)
    if (before !== undefined) off.push(Math.abs(now - before - FRAME))
  })
  await pause(WARM)
  off = []
  await pause(seconds * 1000)
  socket.close()
  await thread.terminate()
  return { half: quantile(off, 0.5) ?? NaN, p99: quantile(off, 0.99) ?? NaN, perSecond: off.length / seconds }
}

const inWords = ({ half, p99 }: Arrivals) => `${half.toFixed(1)} and ${p99.toFixed(1)} ms`

/** For so many seconds: how evenly packets arrive, beside a thread that does nothing but send, and how busy the thread is. */
export async function benchSending(seconds: number): Promise<void> {
  const bare = () =>
    arrivalsFrom(
      new Worker(BARE, { workerData: { address: ADDRESS, universes: UNIVERSES, every: FRAME } }),
      seconds / 2,
    )
  const before = await bare()
  const { load, ...sent } = await sentByProduct(seconds)
  const after = await bare()
  line(
    `${UNIVERSES} universes moving for ${seconds} s, off by, half and 99 % (wanted < 3 ms)`,
    `${inWords(sent)} (bare: ${inWords(before)}, ${inWords(after)})`,
  )
  line('  packets a second, of a core (wanted < 25 %)', `${sent.perSecond.toFixed(0)}, ${(load * 100).toFixed(0)} %`)
}

async function sentByProduct(seconds: number): Promise<Arrivals & { readonly load: number }> {
  await buildThread(THREADS.outputThread, fileURLToPath(THREAD))
  const { draft } = onItsWay(withCues(generateShow(240, 200), 2, 3000), Date.now())
  const show = withOutput(draft)
  const id = showId.parse(show.id)
  const thread = new Worker(THREAD, { resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB } })
  const told: ThreadStatus[] = []
  thread.on('message', (message: FromThread) => 'status' in message && told.push(message.status))
  thread.postMessage({ kind: 'open', show: id, all: show.all, ahead: 0 })
  thread.postMessage({ kind: 'send', show: id, installation: 'bench' })
  const arrivals = await arrivalsFrom(thread, seconds)
  return { ...arrivals, load: mean(told.slice(2), ({ load }) => load) ?? NaN }
}

function withOutput(draft: Draft) {
  draft.put('output', 'bench', {
    ...{ name: 'Bench', protocol: 'E1.31', first: 1, last: UNIVERSES, sentAs: 1, addresses: [ADDRESS] },
    ...{ from: '127.0.0.1', priority: 100, sync: null, sourceName: 'Bench', isOn: true, level: 1, isBlack: false },
  })
  return draft.result()
}
