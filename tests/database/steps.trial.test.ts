/**
 * Undo as the server does it, from parts of the journal read out of the database and shortened all
 * the time, against the whole journal folded in memory.
 */
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { CommandName } from '#core/commands/registry'
import { KINDS } from '#core/show/kinds'
import { toggleStep } from '#core/journal/toggle'
import { commandId, personId, showId, windowId, type PersonId } from '#core/show/ids'
import { FoldedJournal, nextRedo, nextUndo } from '../support/foldedJournal'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../support/randomCommands'
import { KEPT_FILE, richDesk } from '../support/richShow'
import { seeds, Tally } from '../support/rounds'
import { ShowRegistry } from '../../server/shows/showRegistry'
import type { LiveShow } from '../../server/shows/liveShow'
import { loadShow } from '../../server/database/showRepository'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { THREADS_OF_HOUSE } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

const tally = new Tally('Undo from the database')
const STEPS = 150
const RETENTION = { steps: 2, entries: 10, seconds: 0, atOnce: 40 }
const START = richDesk().show
const PEOPLE = ['anna', 'ben', 'cleo'].map((name) => personId.parse(name))

let database: FreshDatabase
let house: ShowRegistry
beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
})
afterAll(async () => {
  await house.close()
  await database.drop()
})

class Round {
  readonly folded = new FoldedJournal()
  #commands = 0

  constructor(
    readonly live: LiveShow,
    readonly random: () => number,
  ) {
    live.subscribe({
      entry: (entry) => this.folded.add(entry),
      reloaded: () => {
        throw new Error('nothing else writes here')
      },
    })
  }

  #asker(person: PersonId) {
    this.#commands += 1
    const window = windowId.parse(`${person}1`)
    return { id: commandId.parse(`c${this.#commands}`), person, window, seenRevision: this.live.revision }
  }

  async work(person: PersonId, name?: CommandName, input?: unknown): Promise<void> {
    const args = new RandomArguments(this.live.show, [START], this.random)
    const chosen = name ?? args.pick(COMMAND_NAMES.filter((one) => !one.startsWith('delete') || this.random() < 0.3))
    if (!chosen || chosen === 'restoreShow') return
    const asked = { ...this.#asker(person), name: chosen, input: input ?? args.forCommand(chosen) }
    const answer = await this.live.run(asked)
    tally.count(answer.ok ? 'commands' : 'refused commands')
  }

  async takeBack(person: PersonId, direction: 'undo' | 'redo'): Promise<void> {
    const { [direction]: next } = await this.live.undoState(person)
    const expected = (direction === 'undo' ? nextUndo : nextRedo)(this.folded, person)
    if (!next) return this.#isSettled(expected?.id)
    expect(next.group).toBe(expected?.id)
    const how = this.random() < 0.7 ? 'ask' : 'anyway'
    const step = toggleStep(this.live.show, this.folded, { group: next.group, direction, how })
    const answer = await this.live.toggle({ ...this.#asker(person), direction, group: next.group, how })
    tally.count(`${direction} ${step.kind}`)
    expect(answer.ok).toBe(step.kind !== 'refused')
    const changes = 'changes' in step ? step.changes : []
    if (answer.ok) expect(answer.entry?.changes ?? []).toEqual(changes)
  }

  /** What is not offered is nothing, or was settled when it was older than the steps that stay. */
  async #isSettled(group: string | undefined): Promise<void> {
    if (group === undefined) return
    const step: { settled: boolean } | undefined = await house
      .knex('change_group')
      .where({ show_id: this.live.show.id, id: group })
      .first('settled')
    expect(step?.settled ?? true).toBe(true)
    tally.count('too far back')
  }
}

it('does what the whole journal says, and the show stays what the database holds', async () => {
  for (const seed of seeds(3)) {
    const id = showId.parse(`show-${seed}`)
    const { all } = START
    await house.keepShow({ id, all: { ...all, show: new Map([...all.show.values()].map((record) => [id, record])) } }, [
      KEPT_FILE,
    ])
    const live = await house.show(id)
    if (!live) throw new Error('the show is there')
    const round = new Round(live, randomFrom(seed))
    for (const person of PEOPLE) await round.work(person, 'joinShow', { name: person })
    for (let i = 0; i < STEPS; i++) {
      const person = PEOPLE[Math.floor(round.random() * PEOPLE.length)] ?? personId.parse('anna')
      // Whoever was taken out and works on is in again first.
      if (!live.show.all.person.has(person)) await round.work(person, 'joinShow', { name: person })
      const what = round.random()
      if (what < 0.6) await round.work(person)
      else await round.takeBack(person, what < 0.85 ? 'undo' : 'redo')
      if (i % 20 === 0) await live.compact(RETENTION)
    }
    const stored = await loadShow(house.knex, id)
    for (const kind of KINDS) expect([seed, stored?.show.all[kind]]).toEqual([seed, live.show.all[kind]])
    const kept: { count: string }[] = await house.knex('journal_entry').where({ show_id: id }).count()
    tally.count('entries', live.revision)
    tally.count('entries that stayed', Number(kept[0]?.count))
  }
})
