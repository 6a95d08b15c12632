/** What runs by itself falls over and comes back: the line to other servers, the clock of cues, the output thread. */
import pg from 'pg'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { Worker } from 'node:worker_threads'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { listsInOrder } from '#core/cues/tracking'
import { commandId, personId, showId, windowId, type CueListId } from '#core/show/ids'
import { showRecordOf } from '#core/show/show'
import { choose } from '#demo/choices'
import { Announcements } from '../../server/database/announcements'
import { DatabaseClock } from '../../server/database/databaseClock'
import { ShowRegistry } from '../../server/shows/showRegistry'
import { warmUp } from '../../server/shows/warmUp'
import type { FromThread } from '../../server/output/threadMessages'
import type { LiveShow } from '../../server/shows/liveShow'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { OUTPUT_THREAD, THREADS_OF_HOUSE } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

let database: FreshDatabase
let house: ShowRegistry
let live: LiveShow
let commands = 0
const id = showId.parse('salt-lantern')

beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  await house.loadDemoWhenEmpty()
  live = await opened(house)
  await run('joinShow', { name: 'Anna' })
})
afterAll(async () => {
  await house.close()
  await database.drop()
  for (const folder of folders) rmSync(folder, { recursive: true })
})
const folders: string[] = []

async function opened(at: ShowRegistry): Promise<LiveShow> {
  const show = await at.show(id)
  if (!show) throw new Error('the demo is there')
  return show
}

const run = (name: string, input: unknown, show = live) =>
  show.run({
    id: commandId.parse(`f${++commands}`),
    name,
    input,
    person: personId.parse('anna'),
    window: windowId.parse('w'),
    seenRevision: show.revision,
  })

/** Ends every connection of ours to the database but this one, as a restart of it does; what tidies it up meanwhile is nobody's. */
async function endConnections(): Promise<void> {
  const client = new pg.Client({ connectionString: database.address })
  await client.connect()
  await client.query(
    'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and usename = current_user and pid <> pg_backend_pid()',
  )
  await client.end()
}

async function until(isSo: () => boolean | Promise<boolean>): Promise<void> {
  while (!(await isSo())) await new Promise((resolve) => setTimeout(resolve, 20))
}

describe('the line to other servers', () => {
  it('is begun again when it breaks, takes in what was missed, and hears on', async () => {
    const other = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    const theirs = await opened(other)
    await endConnections()
    // The pools of both lost their connections as well: the first use of each may say so.
    await until(() =>
      run('setBlind', { blind: true }).then(
        ({ ok }) => ok,
        () => false,
      ),
    )
    await until(() => theirs.revision === live.revision)
    await run('setBlind', { blind: false })
    await until(() => theirs.revision === live.revision)
    expect(theirs.show.all.person.get('anna')?.blind).toBe(false)
    await other.close()
  })

  it('is noticed to be dead by its heartbeat, and brings the database’s time', async () => {
    const clock = new DatabaseClock()
    let missed = 0
    const heard: string[] = []
    const line = new Announcements(
      database.address,
      clock,
      { hear: (payload) => heard.push(payload), missed: () => (missed += 1) },
      { every: 30, patience: 200, again: 30 },
    )
    await line.connect()
    expect(Math.abs(clock.ahead)).toBeLessThan(1000)
    const stuck = new pg.Client({ connectionString: database.address })
    await stuck.connect()
    const { rows } = await stuck.query<{ pid: number }>(
      `select pid from pg_stat_activity where datname = current_database() and query like '%clock_timestamp%' and pid <> pg_backend_pid()`,
    )
    // Whichever of them is the line's: all of them stop answering.
    for (const { pid } of rows) process.kill(pid, 'SIGSTOP')
    await until(() => missed > 0)
    for (const { pid } of rows) process.kill(pid, 'SIGCONT')
    await stuck.query(`select pg_notify('rhopander', 'after')`)
    await until(() => heard.includes('after'))
    await stuck.end()
    await line.close()
  })
})

describe('the clock of cues', () => {
  it('starts what is due when the database is back', async () => {
    const { cue, list } = choose(live.show)
    await run('changeCues', { cues: [cue(1, 18)], follow: 'after' })
    await run('changeCues', { cues: [cue(1, 17)], rise: 0.3, fall: 0.3, move: 0.3 })
    await run('goToCue', { list: list(1), cue: cue(1, 16.5) })
    await run('goOn', { list: list(1) })
    await endConnections()
    await until(() => onStage(list(1)) === cue(1, 18))
  })
})

const onStage = (list: CueListId) => listsInOrder(live.show).find((one) => one.id === list)?.list.onStage

/** The output thread with a fault in it that shows once, soon after it began. */
function faultyThread(): URL {
  const folder = mkdtempSync(join(tmpdir(), 'rhopander-test-'))
  folders.push(folder)
  const script = join(folder, 'faulty.mjs')
  const mark = JSON.stringify(join(folder, 'failed'))
  writeFileSync(
    script,
    `import { existsSync, writeFileSync } from 'node:fs'
    await import(${JSON.stringify(OUTPUT_THREAD.href)})
    if (!existsSync(${mark})) setTimeout(() => { writeFileSync(${mark}, ''); throw new Error('fell over') }, 300)`,
  )
  return pathToFileURL(script)
}

describe('the output thread', () => {
  it('is begun again when it dies, and goes on with every show that is listened to', async () => {
    const faulty = await ShowRegistry.open(database.address, { ...THREADS_OF_HOUSE, outputThread: faultyThread() })
    const theirs = await opened(faulty)
    const all: number[] = []
    const stop = faulty.outputs.subscribe(theirs, { levels: (changed) => void all.push(changed.size) })
    // All universes once at the beginning, and once more when the thread has begun again.
    await until(() => all.filter((size) => size === all[0]).length >= 2)
    const before = all.length
    const { cue, list } = choose(live.show)
    await run('goToCue', { list: list(1), cue: cue(1, 3) }, theirs)
    await until(() => all.length > before)
    stop()
    await faulty.close()
  })
})

describe('a show whose output cannot be worked out', () => {
  it('is told of, again at its next change, and the output of others goes on', async () => {
    const thread = new Worker(OUTPUT_THREAD)
    const said: FromThread[] = []
    thread.on('message', (message: FromThread) => said.push(message))
    thread.postMessage({ kind: 'open', show: 'torn', all: {}, ahead: 0 })
    thread.postMessage({ kind: 'open', show: id, all: live.show.all, ahead: 0 })
    thread.postMessage({ kind: 'changes', show: 'torn', changes: [] })
    await until(() => said.length >= 3)
    await thread.terminate()
    expect(said.map((message) => ['show' in message && message.show, 'fault' in message])).toEqual([
      ['torn', true],
      [id, false],
      ['torn', true],
    ])
  })
})

describe('shows nobody has open', () => {
  it('leave memory, unless somebody listens or a cue is due, and come back as they are', async () => {
    const { cue, list } = choose(live.show)
    const { revision } = live
    const stop = live.subscribe({ entry: () => undefined, reloaded: () => undefined })
    await house.letGoOfIdle(0)
    expect(house.openShows).toEqual([id])
    stop()
    await run('changeCues', { cues: [cue(1, 18)], follow: 'after' })
    await run('changeCues', { cues: [cue(1, 17)], rise: 600 })
    await run('goToCue', { list: list(1), cue: cue(1, 16.5) })
    await run('goOn', { list: list(1) })
    await house.letGoOfIdle(0)
    expect(house.openShows).toEqual([id])
    await run('goToCue', { list: list(1), cue: null })
    await house.letGoOfIdle(0)
    expect(house.openShows).toEqual([])
    const again = await opened(house)
    expect(again).not.toBe(live)
    expect(again.revision).toBeGreaterThan(revision)
    expect(again.show).toEqual(live.show)
  })
})

describe('a house that opens', () => {
  it('has the show in hand that was worked on last, and goes on without where that cannot be opened', async () => {
    const untouched = showId.parse('untouched')
    const records = new Map([[untouched, showRecordOf(live.show)]])
    await house.keepShow({ id: untouched, all: { ...live.show.all, show: records } })
    expect(await run('addLayer', { name: 'Worked on last' })).toMatchObject({ ok: true })
    const other = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    await warmUp(other)
    expect(other.openShows).toEqual([id])
    await other.knex.destroy()
    await expect(warmUp(other)).resolves.toBeUndefined()
    await other.close()
  })
})
