/** Trackers and controls as they come over a network, with what follows and obeys them. */
import { createSocket } from 'node:dgram'
import { once } from 'node:events'
import { Client, Server } from 'node-osc'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { channelLevels, type Universes } from '#core/output/channelLevels'
import { listsInOrder } from '#core/cues/tracking'
import { vec3, type Vec3 } from '#core/geometry/vector'
import { applyChanges } from '#core/show/changes'
import { runCommand } from '#core/commands/registry'
import { commandId, showId, type TargetId } from '#core/show/ids'
import type { TrackedPlaces } from '#core/tracking/following'
import { intoTracking, trackingOf } from '#core/tracking/tracked'
import { encodePlaces, PSN_GROUP, PSN_PORT } from '#core/tracking/wire/psn'
import { choose } from '#demo/choices'
import { freePort } from '../../scripts/ports'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import type { LiveShow } from '../../server/shows/liveShow'
import { ShowRegistry } from '../../server/shows/showRegistry'
import { ANNA, askLive } from '../support/askLive'
import { THREADS_OF_HOUSE } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

const id = showId.parse('salt-lantern')
/** A number no other tracker on this machine is likely to have just now. */
const TRACKER = 20_000 + (process.pid % 20_000)
const PATIENCE = { timeout: 10_000, interval: 20 }

let database: FreshDatabase
let house: ShowRegistry
let live: LiveShow

beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  await house.loadDemoWhenEmpty()
  live = (await house.show(id)) ?? expect.fail('the demo is there')
  await run('joinShow', { name: 'Anna' })
})
afterAll(async () => {
  await house.close()
  await database.drop()
})

const run = (name: string, input: unknown) => askLive(live, name, input)

/** A tracking system of somebody else's: says 50 times a second where its tracker is until it is stopped. */
function tracker() {
  const socket = createSocket('udp4')
  let place: Vec3 | null = null
  let frame = 0
  socket.bind(0, '127.0.0.1', () => socket.setMulticastInterface('127.0.0.1'))
  const timer = setInterval(() => {
    if (!place) return
    frame += 1
    const at = intoTracking(trackingOf(live.show), place)
    socket.send(
      encodePlaces({ microseconds: frame * 20_000, frame: frame & 255 }, [{ id: TRACKER, place: at }]),
      PSN_PORT,
      PSN_GROUP,
    )
  }, 20)
  return {
    isAt: (where: Vec3 | null) => (place = where),
    close: () => {
      clearInterval(timer)
      socket.close()
    },
  }
}

/** What would go out if a target really stood there. */
function levelsWithTargetAt(target: TargetId, position: Vec3): Universes {
  const outcome = runCommand(live.show, 'moveTarget', { target, position }, commandId.parse('there'), {
    person: ANNA,
    now: 0,
  })
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  return channelLevels(applyChanges(live.show, outcome.changes), Date.now())
}

it('what is aimed at a target follows its tracker on the way out, and falls back when that falls silent', async () => {
  const mark = choose(live.show).target('Shore mark')
  const fixtures = choose(live.show).fixtures('21,22')
  await run('aimAtTarget', { fixtures, target: mark, offset: vec3(0, 0, 0), along: null })
  await run('setTracking', { isOn: true, origin: vec3(0.4, -2, 0.1), turn: 30, depth: 'downstage' })
  const how = { smoothing: 0, fastest: 30, lostAfter: 0.3, whenLost: 'goes back' }
  await run('followTracker', { target: mark, tracker: TRACKER, ...how })
  const levels = new Map<number, Uint8Array>()
  let places: TrackedPlaces = new Map()
  const stop = house.outputs.subscribe(live, {
    levels: (changed) => changed.forEach((bytes, universe) => levels.set(universe, bytes)),
    places: (now) => (places = now),
  })
  const bytes = (of: Universes) => [...of].map(([universe, all]) => [universe, Buffer.from(all).toString('hex')]).sort()
  const own = bytes(channelLevels(live.show, Date.now()))
  const system = tracker()
  const there = vec3(-0.7, 1.6, 0)
  system.isAt(there)
  await vi.waitFor(() => expect(places.get(mark)?.state).toBe('follows'), PATIENCE)
  // Coordinates travel in single precision: a byte of the finest kind may be another.
  const expected = levelsWithTargetAt(mark, there)
  await vi.waitFor(() => expect(differing(levels, expected)).toBeLessThan(6), PATIENCE)
  expect(differing(levels, channelLevels(live.show, Date.now()))).toBeGreaterThan(3)
  system.isAt(null)
  await vi.waitFor(() => expect(places.get(mark)?.state).toBe('lost'), PATIENCE)
  await vi.waitFor(() => expect(bytes(levels)).toEqual(own), PATIENCE)
  system.isAt(there)
  await vi.waitFor(() => expect(places.get(mark)?.state).toBe('follows'), PATIENCE)
  await run('setTracking', { isOn: false })
  await vi.waitFor(() => expect(places.size).toBe(0), PATIENCE)
  await vi.waitFor(() => expect(bytes(levels)).toEqual(own), PATIENCE)
  system.close()
  stop()
})

/** How many bytes are not the same; of those that are by one, every tenth. */
function differing(a: Universes, b: Universes): number {
  let count = 0
  for (const [universe, bytes] of b)
    bytes.forEach((byte, at) => (count += Math.min(1, Math.abs(byte - (a.get(universe)?.[at] ?? 0)) / 10)))
  return count
}

it('controls go, recall, nudge and fade, are told what happens, and outlive a flood and a server', async () => {
  const port = await freePort(48_765)
  const answers = new Server(await freePort(48_865), '127.0.0.1')
  await once(answers, 'listening')
  const told: unknown[][] = []
  answers.on('message', (message: unknown[]) => told.push(message))
  const desk = new Client('127.0.0.1', port)
  await run('setControlLine', { isOn: true, port, answerTo: ['127.0.0.1'], answerPort: answers.port, person: ANNA })
  const [list] = listsInOrder(live.show)
  const onStage = () => listsInOrder(live.show)[0]?.list.onStage
  const next = list?.cues[list.cues.findIndex(({ id: cue }) => cue === onStage()) + 1]

  await desk.send('/list/1/go', 1)
  await vi.waitFor(() => expect(onStage()).toBe(next?.id), PATIENCE)
  await vi.waitFor(() => expect(told).toContainEqual(['/list/1/cue', next?.cue.number, next?.cue.name]), PATIENCE)
  await desk.send('/select', '31 to 33')
  await desk.send({
    oscType: 'bundle',
    timetag: 0,
    elements: [message('/palette/3/recall', 1), message('/nudge', 0.25, 0)],
  })
  await vi.waitFor(() => expect(told.map(([address]) => address)).toContain('/fixture/33/place'), PATIENCE)
  expect([...live.show.all.handValue.values()].filter(({ person }) => person === ANNA).length).toBeGreaterThan(3)
  // It ends elsewhere than it stands: of what comes at once only the last is done and told.
  for (let level = 0; level <= 80; level += 1) await desk.send('/list/1/master', level / 100)
  // Cues that come by themselves are told in between.
  const lastMaster = () => told.findLast(([address]) => address === '/list/1/master')?.[1]
  await vi.waitFor(() => expect(lastMaster()).toBeCloseTo(0.8), PATIENCE)

  const controls = (await house.controls(id)) ?? expect.fail('the demo is there')
  const flood = createSocket('udp4')
  for (let i = 0; i < 20_000; i += 1)
    flood.send(i % 2 ? Buffer.from('/list/1/go\0\0,x\0\0') : Buffer.from([i & 255]), port, '127.0.0.1')
  await vi.waitFor(() => expect(controls.status().leftOut).toBeGreaterThan(100), PATIENCE)
  flood.close()
  expect(controls.status().said.length).toBeLessThanOrEqual(200)
  // In the second of the flood nobody is heard.
  await vi.waitFor(async () => {
    await desk.send('/list/1/master', 0.5)
    expect(listsInOrder(live.show)[0]?.list.level).toBe(0.5)
  }, PATIENCE)

  // Another server cannot listen there too; it says so, and does once this one has ended.
  const other = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  const waiting = (await other.controls(id)) ?? expect.fail('the demo is there')
  await vi.waitFor(() => expect(waiting.status().trouble).toContain(`port ${port}`), PATIENCE)
  await house.close()
  house = other
  live = (await house.show(id)) ?? expect.fail('the demo is there')
  await vi.waitFor(() => expect(waiting.status().trouble).toBe(null), PATIENCE)
  await desk.send('/list/1/master', 0.25)
  await vi.waitFor(() => expect(listsInOrder(live.show)[0]?.list.level).toBe(0.25), PATIENCE)
  await desk.close()
  await answers.close()
})

const message = (address: string, ...args: readonly unknown[]) => ({
  ...{ oscType: 'message', address },
  args: args.map((value) => (typeof value === 'number' ? { type: 'float', value } : value)),
})
