/** What goes out over the network, heard at its other end by means that are not our own; from one server of several. */
import pg from 'pg'
import { createSocket } from 'node:dgram'
import { once } from 'node:events'
import { Receiver, Sender } from 'sacn'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { channelLevels } from '#core/output/channelLevels'
import { mastered } from '#core/output/mastered'
import { decodeArtNet, encodePoll, type ArtNetPacket } from '#core/output/wire/artNet'
import { decodeE131 } from '#core/output/wire/e131'
import type { SendingStatus } from '#core/output/sendingStatus'
import { asOutputId, commandId, personId, showId, windowId, type OutputId } from '#core/show/ids'
import type { Output } from '#core/show/entities'
import { choose } from '#demo/choices'
import { ShowRegistry } from '../../server/shows/showRegistry'
import type { Heard as Listened } from '../../server/input/inputs'
import type { LiveShow } from '../../server/shows/liveShow'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { THREADS_OF_HOUSE } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

const id = showId.parse('salt-lantern')
/** Numbers nobody else on this machine is likely to send by just now. */
const FIRST_SENT = 20_000 + (process.pid % 20_000)
const PLAIN = {
  ...{ protocol: 'E1.31', first: 1, last: 4, sentAs: FIRST_SENT, addresses: [], from: '127.0.0.1' },
  ...{ priority: 120, sync: null, sourceName: 'Salt and light' },
} as const

let database: FreshDatabase
let house: ShowRegistry
let live: LiveShow
let commands = 0
const closing: (() => unknown)[] = []

beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await open()
  await house.loadDemoWhenEmpty()
  live = await opened(house)
  await run('joinShow', { name: 'Anna' })
})
afterAll(async () => {
  for (const end of closing) await end()
  for (const registry of [...houses]) await close(registry)
  await database.drop()
})
const houses = new Set<ShowRegistry>()

async function open(): Promise<ShowRegistry> {
  const registry = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  houses.add(registry)
  return registry
}
async function close(registry: ShowRegistry): Promise<void> {
  houses.delete(registry)
  await registry.close()
}

async function opened(at: ShowRegistry): Promise<LiveShow> {
  const show = await at.show(id)
  if (!show) throw new Error('the demo is there')
  return show
}
async function run(name: string, input: unknown, show = live): Promise<void> {
  const answer = await show.run({
    ...{ id: commandId.parse(`s${++commands}`), name, input, seenRevision: show.revision },
    ...{ person: personId.parse('anna'), window: windowId.parse('w') },
  })
  if (!answer.ok) throw new Error(answer.refusal.message)
}
async function added(name: string, output: Partial<Omit<Output, 'isOn' | 'level' | 'isBlack'>> = {}) {
  await run('addOutput', { ...PLAIN, name, ...output })
  const found = [...live.show.all.output].find(([, one]) => one.name === name)
  return asOutputId(found?.[0] ?? '')
}
const turn = (output: OutputId, isOn: boolean) => run('changeOutput', { output, isOn })

type Heard = ReturnType<typeof heardBy>
/** All packets of universes from an independent receiver, raw ones beside them. */
function heardBy(universes: readonly number[]) {
  const receiver = new Receiver({ universes: [...universes], iface: '127.0.0.1', reuseAddr: true })
  const packets: {
    universe: number
    priority: number
    source: string
    cid: string
    sequence: number
    options: number
    levels: string
  }[] = []
  const waiting = new Set<() => void>()
  receiver.on('packet', (packet) => {
    packets.push({
      ...{ universe: packet.universe, priority: packet.priority, sequence: packet.sequence },
      ...{ source: packet.sourceName, cid: packet.cid.toString('hex'), options: packet.options },
      levels: packet.payloadAsBuffer?.toString('hex') ?? '',
    })
    for (const look of waiting) look()
  })
  closing.push(() => new Promise<void>((resolve) => receiver.close(resolve)))
  /** Waits for packets of which something is so. */
  const until = (isSo: () => boolean) =>
    new Promise<void>((resolve) => {
      const look = () => {
        if (!isSo()) return
        waiting.delete(look)
        resolve()
      }
      waiting.add(look)
      look()
    })
  return { packets, until, ready: new Promise((resolve) => setImmediate(resolve)) }
}
const lastOf = ({ packets }: Heard, universe: number) => packets.findLast((packet) => packet.universe === universe)
const hexOf = (levels: Uint8Array | undefined) => Buffer.from(levels ?? []).toString('hex')
const levelsNow = () => channelLevels(live.show, house.clock.read())
const TERMINATED = 0x40

describe('E1.31', () => {
  it('goes out universe by universe as the show has it, in order, under its name and a lasting id, and says goodbye three times', async () => {
    const universes = [...levelsNow().keys()]
    expect(universes.length).toBeGreaterThan(2)
    const sentAs = (universe: number) => FIRST_SENT + universe - 1
    const heard = heardBy(universes.map(sentAs))
    await heard.ready
    const output = await added('House')
    await turn(output, true)
    await heard.until(() => universes.every((universe) => lastOf(heard, sentAs(universe))))
    for (const universe of universes) {
      expect(lastOf(heard, sentAs(universe))).toMatchObject({ priority: 120, source: 'Salt and light' })
      expect(lastOf(heard, sentAs(universe))?.levels).toBe(hexOf(levelsNow().get(universe)))
    }
    const { cue, list } = choose(live.show)
    await run('goToCue', { list: list(1), cue: cue(1, 12), seconds: 1 })
    const isThere = (master: number) => () =>
      universes.every(
        (universe) =>
          lastOf(heard, sentAs(universe))?.levels === hexOf(mastered(live.show, levelsNow(), master).get(universe)),
      )
    await heard.until(isThere(1))
    await run('changeOutput', { output, level: 0.25 })
    await heard.until(isThere(0.25))
    await run('changeOutput', { output, isBlack: true })
    await heard.until(isThere(0))
    const before = heard.packets.length
    // What stays as it is goes on going out.
    await heard.until(() => heard.packets.length > before + 5 * universes.length)
    await turn(output, false)
    const goodbyes = () => heard.packets.filter(({ options }) => (options & TERMINATED) !== 0)
    await heard.until(() => goodbyes().length === 3 * universes.length)
    for (const universe of universes.map(sentAs)) {
      const own = heard.packets.filter((packet) => packet.universe === universe)
      expect(own.slice(-3).every(({ options }) => (options & TERMINATED) !== 0)).toBe(true)
      own.forEach(({ sequence }, i) => i > 0 && expect(sequence).toBe(((own[i - 1]?.sequence ?? 0) + 1) & 255))
    }
    const [first] = heard.packets
    await turn(output, true)
    await heard.until(() => heard.packets.at(-1)?.options === 0)
    expect(new Set(heard.packets.map(({ cid }) => cid))).toEqual(new Set([first?.cid]))
    await turn(output, false)
  })

  it('tells which universes it sends, and tells receivers that wait when to show them', async () => {
    const socket = createSocket({ type: 'udp4', reuseAddr: true })
    closing.push(() => socket.close())
    socket.bind({ address: '127.0.0.3', port: 5568 })
    await once(socket, 'listening')
    const output = await added('Waiting', { addresses: ['127.0.0.3'], sync: FIRST_SENT + 30, sentAs: FIRST_SENT + 10 })
    const seen: ReturnType<typeof decodeE131>[] = []
    const enough = new Promise<void>((resolve) =>
      socket.on('message', (bytes) => {
        seen.push(decodeE131(bytes))
        if (new Set(seen.map((one) => one?.kind)).size === 3) resolve()
      }),
    )
    await turn(output, true)
    await enough
    const numbers = [...levelsNow().keys()].map((universe) => FIRST_SENT + 9 + universe)
    expect(seen.find((one) => one?.kind === 'discovery')).toMatchObject({
      universes: numbers,
      source: { name: PLAIN.sourceName },
    })
    expect(seen.find((one) => one?.kind === 'levels')).toMatchObject({ sync: FIRST_SENT + 30 })
    expect(seen.find((one) => one?.kind === 'synchronisation')).toMatchObject({ universe: FIRST_SENT + 30 })
    await turn(output, false)
  })
})

describe('Art-Net', () => {
  it('goes to its addresses by port addresses from 0, and polls are answered', async () => {
    const node = createSocket({ type: 'udp4', reuseAddr: true })
    closing.push(() => node.close())
    node.bind({ address: '127.0.0.2', port: 6454 })
    await once(node, 'listening')
    const seen: (ArtNetPacket | null)[] = []
    let look = () => undefined
    node.on('message', (bytes) => {
      seen.push(decodeArtNet(bytes))
      look()
    })
    const until = (isSo: () => boolean) =>
      new Promise<void>((resolve) => {
        look = () => void (isSo() && resolve())
        look()
      })
    const output = await added('Truss', { protocol: 'Art-Net', sentAs: 7, addresses: ['127.0.0.2'] })
    await turn(output, true)
    const levelsOf = (port: number) => seen.findLast((one) => one?.kind === 'levels' && one.port === port)
    const universes = [...levelsNow().keys()]
    await until(() => universes.every((universe) => levelsOf(6 + universe)))
    for (const universe of universes)
      expect(levelsOf(6 + universe)).toMatchObject({ levels: Uint8Array.from(levelsNow().get(universe) ?? []) })
    node.send(encodePoll(), 6454, '127.0.0.1')
    await until(() => seen.some((one) => one?.kind === 'reply'))
    const replies = seen.flatMap((one) => (one?.kind === 'reply' ? one.ports : []))
    expect(replies).toEqual(universes.map((universe) => 6 + universe))
    await turn(output, false)
  })
})

describe('an output', () => {
  it('whose interface is not there says so, and hinders no other', async () => {
    const heard = heardBy([FIRST_SENT + 40])
    await heard.ready
    const [lost, good] = [
      await added('Unplugged', { from: '203.0.113.9' }),
      await added('Still there', { sentAs: FIRST_SENT + 40 }),
    ]
    const told: SendingStatus[] = []
    const said = new Promise<void>((resolve) => {
      const stop = house.outputs.subscribe(live, {
        levels: () => undefined,
        status: (status) => {
          told.push(status)
          const trouble = status.outputs.find(({ output }) => output === lost)?.trouble
          if (trouble && status.outputs.some(({ output, packets }) => output === good && packets > 0)) resolve()
        },
      })
      closing.push(stop)
    })
    await turn(lost, true)
    await turn(good, true)
    await said
    const last = told.at(-1)
    expect(last?.by).toBe('here')
    expect(last?.outputs.find(({ output }) => output === lost)?.trouble).toMatch(
      /^This machine has no network interface with the address 203\.0\.113\.9 just now/,
    )
    expect(last?.outputs.find(({ output }) => output === good)?.trouble).toBeNull()
    await heard.until(() => heard.packets.length > 0)
    await turn(lost, false)
    await turn(good, false)
  })
})

describe('what comes in', () => {
  it('is heard from whoever sends, ours and others, merged by priority, and its sources are told', async () => {
    const number = FIRST_SENT + 60
    const output = await added('Heard again', { sentAs: number, priority: 90 })
    const levels = new Map<number, string>()
    const told: Listened[] = []
    let look = () => undefined
    const stop = house.inputs.subscribe('127.0.0.1', [number, number + 1], {
      levels: (changed) => {
        for (const [protocol, universe, bytes] of changed) if (protocol === 'E1.31') levels.set(universe, hexOf(bytes))
        look()
      },
      heard: (one) => {
        told.push(one)
        look()
      },
    })
    closing.push(stop)
    const until = (isSo: () => boolean) =>
      new Promise<void>((resolve) => {
        look = () => void (isSo() && resolve())
        look()
      })
    await turn(output, true)
    const [first] = levelsNow().keys()
    const goesAs = number - 1 + (first ?? 1)
    await until(() => levels.get(goesAs) === hexOf(levelsNow().get(first ?? 1)))
    const other = new Sender({ universe: goesAs, iface: '127.0.0.1', reuseAddr: true, minRefreshRate: 10 })
    closing.push(() => void other.close())
    await other.send({ payload: { 1: 100 }, sourceName: 'Somebody', priority: 150 })
    await until(() => levels.get(goesAs) === `ff${'00'.repeat(511)}`)
    const sources = () => told.at(-1)?.heard.sources.filter(({ universe }) => universe === goesAs) ?? []
    await until(() => sources().length === 2)
    expect(sources().map(({ name, priority, counts }) => [name, priority, counts])).toEqual(
      expect.arrayContaining([
        ['Somebody', 150, true],
        ['Salt and light', 90, false],
      ]),
    )
    await turn(output, false)
    stop()
  })
})

describe('of two servers', () => {
  it('one sends; the other goes on when it lets go or dies, also where nobody had the show open there', async () => {
    const heard = heardBy([FIRST_SENT + 50])
    await heard.ready
    const output = await added('Shared', { sentAs: FIRST_SENT + 50 })
    await turn(output, true)
    await heard.until(() => heard.packets.length > 3)
    const other = await open()
    const statusAt = (registry: ShowRegistry, show: LiveShow, by: SendingStatus['by']) =>
      new Promise<void>((resolve) => {
        const stop = registry.outputs.subscribe(show, {
          levels: () => undefined,
          status: (status) => status.by === by && resolve(),
        })
        closing.push(stop)
      })
    const theirs = await opened(other)
    await statusAt(other, theirs, 'elsewhere')
    await close(house)
    await statusAt(other, theirs, 'here')
    const before = heard.packets.length
    await heard.until(() => heard.packets.length > before)

    // One that died leaves its lease behind, and nobody else has the show open.
    await close(other)
    const client = new pg.Client({ connectionString: database.address })
    await client.connect()
    await client.query("update output_lease set holder = 'dead', expires_at = now() + interval '1 second'")
    await client.end()
    const third = await open()
    const silent = heard.packets.length
    await heard.until(() => heard.packets.length > silent)
    expect(third.openShows).toEqual([id])
  })
})
