/**
 * `npm run bench:server`: what a command, an undo, a retry and opening a show cost beside bare
 * transactions in the same run, with a journal of a hundred rows and of a million. Middle values.
 */
import type { Knex } from 'knex'
import { performance } from 'node:perf_hooks'
import { fileURLToPath } from 'node:url'
import { KINDS } from '#core/show/kinds'
import { commandId, personId, showId, windowId } from '#core/show/ids'
import { choose } from '#demo/choices'
import { buildThread, THREADS } from '../scripts/buildThread'
import { throwawayCluster } from '../scripts/database/cluster'
import { freshDatabase } from '../scripts/database/freshDatabase'
import { tableName } from '../server/database/tables'
import { ShowRegistry } from '../server/shows/showRegistry'
import { LiveShow } from '../server/shows/liveShow'

const ROUNDS = 300
const OPENINGS = 15
const SHOW = showId.parse('salt-lantern')
const PERSON = personId.parse('anna')
const script = (name: string) => new URL(`../node_modules/.cache/rhopander/${name}.mjs`, import.meta.url)
const HOUSE_THREADS = { outputThread: script('outputThread'), inputThread: script('inputThread') }
/** Writes of each made-up entry. */
const WRITES = 5

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN

/** Entries of eight people who go over the values of their hands again and again, ten minutes ago. */
async function fillJournal(knex: Knex, entries: number): Promise<void> {
  const from = 1
  const series = `generate_series(${from}, ${entries}) as seq`
  const person = `'person' || seq % 8`
  await knex.raw(`insert into change_group (show_id, id, person, label, undoable, first_seq, last_seq, live, waived, toggled_seq, settled)
    select '${SHOW}', 'g' || seq, ${person}, 'turn', true, seq, seq, true, false, 0, false from ${series}`)
  await knex.raw(`insert into journal_entry (show_id, seq, id, person, "window", at, kind, group_id, label, undoable, merge_key)
    select '${SHOW}', seq, 'e' || seq, ${person}, 'w', now() - interval '10 minutes', 'do', 'g' || seq, 'turn', true, null from ${series}`)
  await knex.raw(`insert into journal_write (show_id, seq, place, register, before, after)
    select '${SHOW}', seq, place, 'handValue/' || ${person} || '.f' || (seq / 8 + place) % 300 || '.position/$',
      '{"kind":"angles","pan":1,"tilt":2}', '{"kind":"angles","pan":2,"tilt":2}' from ${series}, generate_series(1, ${WRITES}) as place`)
  await knex('show').where({ id: SHOW }).update({ revision: entries })
  await knex.raw('vacuum analyze')
}

class Bench {
  #count = 0

  constructor(
    readonly house: ShowRegistry,
    readonly live: LiveShow,
  ) {}

  #asker() {
    this.#count += 1
    const id = commandId.parse(`bench-${this.#count}`)
    return { id, person: PERSON, window: windowId.parse('w1'), seenRevision: this.live.revision }
  }

  /** Locks, updates a row, inserts one and commits. */
  bare(): Promise<void> {
    return this.house.knex.transaction(async (transaction) => {
      await transaction('bare').where({ id: 1 }).forUpdate().first()
      await transaction('bare').where({ id: 1 }).increment('revision', 1)
      await transaction('bare_entry').insert({ what: 'moved' })
    })
  }

  command(id?: string): Promise<unknown> {
    const target = choose(this.live.show).target('Shore mark')
    const asker = this.#asker()
    const input = { target, position: { x: 0, y: (this.#count % 50) / 10, z: 0 } }
    return this.live.run({ ...asker, ...(id && { id: commandId.parse(id) }), name: 'moveTarget', input })
  }

  async toggle(direction: 'undo' | 'redo'): Promise<void> {
    const { [direction]: step } = await this.live.undoState(PERSON)
    if (!step) throw new Error(`nothing to ${direction}`)
    await this.live.toggle({ ...this.#asker(), direction, group: step.group, how: 'ask' })
  }

  async rawOpening(): Promise<number> {
    let rows = 0
    for (const kind of KINDS) {
      const read: object[] = await this.house.knex(tableName(kind)).where({ show_id: SHOW }).orderBy('id')
      rows += new Map(read.map((row) => [Reflect.get(row, 'id'), row])).size
    }
    return rows
  }

  async report(name: string): Promise<void> {
    const times = { bare: [], command: [], retry: [], undo: [], redo: [] } satisfies Record<string, number[]>
    const lists: Record<keyof typeof times, number[]> = times
    await this.command('known')
    for (let round = 0; round < ROUNDS; round++) {
      lists.bare.push(await timed(() => this.bare()))
      lists.command.push(await timed(() => this.command()))
      lists.retry.push(await timed(() => this.command('known')))
      lists.undo.push(await timed(() => this.toggle('undo')))
      lists.redo.push(await timed(() => this.toggle('redo')))
    }
    const bare = middle(lists.bare)
    const figure = (one: keyof typeof times) =>
      `${middle(lists[one]).toFixed(2)} ms, ${(middle(lists[one]) / bare).toFixed(2)}`
    console.log(`${name}: a bare transaction ${bare.toFixed(2)} ms; times that (wanted ≤ 3 for a command):`)
    for (const one of ['command', 'retry', 'undo', 'redo'] as const) console.log(`  ${one.padEnd(10)} ${figure(one)}`)
    const raw: number[] = []
    const opening: number[] = []
    for (let round = 0; round < OPENINGS; round++) {
      raw.push(await timed(() => this.rawOpening()))
      opening.push(await timed(() => LiveShow.open(this.house.knex, SHOW)))
    }
    const ratio = (middle(opening) / middle(raw)).toFixed(2)
    console.log(`  opening    ${middle(opening).toFixed(1)} ms, ${ratio} times the raw queries (wanted ≤ 3)`)
  }
}

async function run(): Promise<void> {
  for (const name of ['outputThread', 'inputThread'] as const)
    await buildThread(THREADS[name], fileURLToPath(HOUSE_THREADS[name]))
  const cluster = await throwawayCluster('data/test', console.log)
  try {
    for (const rows of [100, 1_000_000]) {
      const database = await freshDatabase(cluster.address)
      const house = await ShowRegistry.open(database.address, HOUSE_THREADS)
      await house.loadDemoWhenEmpty()
      await house.knex.raw(`create table bare (id integer primary key, revision integer not null);
        create table bare_entry (id serial primary key, what text not null); insert into bare values (1, 0)`)
      await fillJournal(house.knex, rows / WRITES)
      const live = await house.show(SHOW)
      if (!live) throw new Error('the demo is there')
      await new Bench(house, live).report(`${rows.toLocaleString('en')} journal rows`)
      await house.close()
      await database.drop()
    }
  } finally {
    await cluster.stop()
  }
}

run().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error)
    process.exit(1)
  },
)
