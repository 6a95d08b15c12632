/** What is sent, dissected by tshark; and a flood of packets, most of them none, that nothing waits for. */
import { createSocket } from 'node:dgram'
import { once } from 'node:events'
import { setTimeout as pause } from 'node:timers/promises'
import { Worker } from 'node:worker_threads'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { encodeArtNetLevels } from '#core/output/wire/artNet'
import { encodeLevels } from '#core/output/wire/e131'
import { asOutputId, showId } from '#core/show/ids'
import { ShowRegistry } from '../../server/shows/showRegistry'
import type { LiveShow } from '../../server/shows/liveShow'
import type { FromInputThread } from '../../server/input/threadMessages'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { askLive } from '../support/askLive'
import { dissected, hasTshark } from '../support/capture'
import { randomFrom } from '../support/randomCommands'
import { INPUT_THREAD, THREADS_OF_HOUSE } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

const { times } = inject('rounds')
const id = showId.parse('salt-lantern')
let database: FreshDatabase
let house: ShowRegistry
let live: LiveShow

beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  await house.loadDemoWhenEmpty()
  const show = await house.show(id)
  if (!show) throw new Error('the demo is there')
  live = show
  await run('joinShow', { name: 'Anna' })
})
afterAll(async () => {
  await house.close()
  await database.drop()
})

const run = (name: string, input: unknown) => askLive(live, name, input)

/** Everything that comes to an address of this machine, while something is done. */
async function received(address: string, port: number, work: () => Promise<void>): Promise<Uint8Array[]> {
  const socket = createSocket('udp4')
  const packets: Uint8Array[] = []
  socket.bind({ address, port })
  await once(socket, 'listening')
  socket.on('message', (bytes) => packets.push(bytes))
  await work()
  await pause(200)
  socket.close()
  return packets
}

describe.runIf(times > 1 && hasTshark())('tshark', () => {
  it.each([
    ['E1.31', 5568, 1, /PDU: Streaming DMX, Universe: [1-4], Priority: 90[\s\S]*Source: Tide[\s\S]*Universe: [1-4]/],
    ['Art-Net', 6454, 0, /Art-Net, Opcode: ArtDMX \(0x5000\)[\s\S]*Universe: [0-3]\b[\s\S]*Length: 512/],
  ] as const)('reads every packet of %s', async (protocol, port, sentAs, says) => {
    const address = '127.0.0.40'
    await run('addOutput', {
      ...{ name: protocol, protocol, first: 1, last: 4, sentAs, addresses: [address], from: '127.0.0.1' },
      ...{ priority: 90, sync: null, sourceName: 'Tide' },
    })
    const found = [...live.show.all.output].find(([, { name }]) => name === protocol)
    const output = asOutputId(found?.[0] ?? '')
    const packets = await received(address, port, async () => {
      await run('changeOutput', { output, isOn: true })
      await pause(3000)
      await run('changeOutput', { output, isOn: false })
      await pause(300)
    })
    const levels = packets.filter(({ length }) => length > 500)
    expect(levels.length).toBeGreaterThan(15)
    const told = dissected(port, levels)
    expect(told).toHaveLength(levels.length)
    for (const one of told) {
      expect(one).toMatch(says)
      expect(one).not.toMatch(/Malformed/)
    }
    const ended = told.filter((one) => one.includes('Stream Terminated: True')).length
    expect(ended).toBe(protocol === 'E1.31' ? 12 : 0)
  })
})

it('a flood of 10,000 packets a second slows nothing down, and what is kept of it stays small', async () => {
  const seconds = Math.min(10, 2 * times)
  const thread = new Worker(INPUT_THREAD)
  const told: FromInputThread[] = []
  thread.on('message', (message: FromInputThread) => told.push(message))
  thread.postMessage({ kind: 'listen', from: '127.0.0.1', universes: [1] })
  await pause(300)
  const random = randomFrom(5)
  const flood = Array.from({ length: 2000 }, () => somePacket(random))
  const socket = createSocket({ type: 'udp4', lookup: (to, _, found) => found(null, to, 4) })
  await new Promise<void>((resolve) => socket.bind({ address: '127.0.0.1', port: 0 }, resolve))
  const before = process.memoryUsage.rss()
  let sent = 0
  const started = performance.now()
  const slowest = { command: 0 }
  let isBlind = false
  const flooding = setInterval(() => {
    const due = Math.floor(((performance.now() - started) / 1000) * 10_000)
    for (; sent < due; sent++) {
      const [bytes, port] = flood[sent % flood.length] ?? raise()
      socket.send(bytes, port, '127.0.0.1')
    }
  }, 2)
  while (performance.now() - started < seconds * 1000) {
    const asked = performance.now()
    isBlind = !isBlind
    await run('setBlind', { blind: isBlind })
    slowest.command = Math.max(slowest.command, performance.now() - asked)
    await pause(50)
  }
  clearInterval(flooding)
  const heard = told.flatMap((one) => ('heard' in one ? one : []))
  await thread.terminate()
  socket.close()
  const load = Math.max(...heard.map((one) => one.load))
  console.log(
    `flood: ${sent} packets in ${seconds} s, the thread at most ${Math.round(load * 100)} % busy, slowest command ${slowest.command.toFixed(0)} ms`,
  )
  expect(heard.length).toBeGreaterThanOrEqual(seconds - 1)
  const sources = Math.max(...heard.map((one) => one.heard.sources.length))
  expect(sources).toBeLessThanOrEqual(2 * 1024 * 16)
  expect(process.memoryUsage.rss() - before).toBeLessThan(300_000_000)
}, 60_000)

function raise(): never {
  throw new Error('nothing to flood with')
}

function somePacket(random: () => number): [Uint8Array, number] {
  const byte = () => Math.floor(random() * 256)
  const levels = new Uint8Array(512).fill(byte())
  const cid = new Uint8Array(16).fill(byte())
  const kind = random()
  if (kind < 0.3) return [Uint8Array.from({ length: Math.floor(random() * 700) }, byte), 5568]
  if (kind < 0.5) return [encodeArtNetLevels({ port: byte() * 100, sequence: byte(), levels }), 6454]
  const packet = encodeLevels({
    ...{ source: { cid, name: 'Flood' }, universe: 1 + Math.floor(random() * 60_000), priority: 100, sync: 0 },
    ...{ sequence: byte(), isPreview: false, isTerminated: random() < 0.1, levels },
  })
  if (kind < 0.7) packet[Math.floor(random() * packet.length)] = byte()
  return [packet, 5568]
}
