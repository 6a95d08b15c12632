import { describe, expect, it } from 'vitest'
import type { JournalEntry } from '#core/journal/entry'
import { journalEntry } from '../../tests/support/journaledShow'
import { randomFrom } from '../../tests/support/randomCommands'
import { seeds } from '../../tests/support/rounds'
import type { ShowListener } from '../shows/liveShow'
import { EntryFeed, MOST_MISSED } from './entryFeed'

const entry = (seq: number): JournalEntry =>
  journalEntry({ seq, person: 'anna', kind: 'do', group: `g${seq}`, label: 'move', undoable: true, changes: [] })

/** A show whose entries are written while pages listen, and a database and pages that take their time. */
class Source {
  revision = 0
  readonly #listeners = new Set<ShowListener>()
  readonly entries: JournalEntry[] = []

  write(): void {
    const next = entry(++this.revision)
    this.entries.push(next)
    for (const listener of this.#listeners) listener.entry(next)
  }

  reload(): void {
    for (const listener of this.#listeners) listener.reloaded()
  }

  subscribe(listener: ShowListener): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }
}

interface Page {
  readonly feed: EntryFeed
  /** What it was told: entries by number, or that it must fetch anew, by the revision it then has, negative. */
  readonly told: number[]
}

const pause = () => new Promise((resolve) => setImmediate(resolve))
const settle = async (turns = 30) => {
  for (let i = 0; i < turns; i++) await pause()
}

function pageOf(source: Source, since: number, slowness: () => Promise<unknown> = pause): Page {
  const told: number[] = []
  const feed = new EntryFeed(source, since, {
    entriesSince: async (seq, most) => {
      const read = source.entries.filter((one) => one.seq > seq).slice(0, most)
      await slowness()
      return read
    },
    tell: async ({ seq }) => {
      told.push(seq)
      await slowness()
    },
    tellAnew: async (revision) => {
      told.push(-revision)
      await slowness()
    },
    failed: (error) => {
      throw error
    },
  })
  return { feed, told }
}

describe('what a page is told', () => {
  it('is every entry once and in order, whatever comes while it catches up', async () => {
    for (const seed of seeds(100)) {
      const random = randomFrom(seed)
      const source = new Source()
      const many = Math.floor(random() * 40)
      for (let i = 0; i < many; i++) source.write()
      const since = Math.floor(random() * (many + 1))
      const slowness = async () => {
        for (let i = random() * 4; i > 0; i--) await pause()
      }
      const { told } = pageOf(source, since, slowness)
      for (let i = 0; i < 30; i++) {
        if (random() < 0.5) source.write()
        else await pause()
      }
      await settle(300)
      const expected = source.entries.map(({ seq }) => seq).filter((seq) => seq > since)
      expect([seed, told]).toEqual([seed, expected])
    }
  })

  it('is to fetch the show anew where it missed too many, is too slow, or is ahead', async () => {
    const source = new Source()
    for (let i = 0; i < MOST_MISSED + 1; i++) source.write()
    const behind = pageOf(source, 0)
    const ahead = pageOf(source, 1000)
    await settle()
    expect([behind.told, ahead.told]).toEqual([[-201], [-201]])
    source.write()
    await settle()
    expect([behind.told, ahead.told]).toEqual([
      [-201, 202],
      [-201, 202],
    ])
    source.reload()
    await settle()
    expect(behind.told).toEqual([-201, 202, -202])

    let letGo: () => void = () => undefined
    const slow = pageOf(source, 202, () => new Promise<void>((resolve) => (letGo = resolve)))
    for (let i = 0; i < MOST_MISSED + 50; i++) source.write()
    expect(slow.told).toEqual([203])
    for (let i = 0; i < 5; i++) {
      letGo()
      await settle()
    }
    expect(slow.told).toEqual([203, -452])
  })

  it('ends, and says so once, where what was missed cannot be read or the page no longer takes it', async () => {
    for (const fault of ['read', 'told'] as const) {
      const source = new Source()
      source.write()
      const failures: unknown[] = []
      const told: number[] = []
      const away = new Error(`it cannot be ${fault}`)
      new EntryFeed(source, 0, {
        entriesSince: async (seq) => {
          if (fault === 'read') throw away
          return source.entries.filter((one) => one.seq > seq)
        },
        tell: async ({ seq }) => {
          if (fault === 'told') throw away
          told.push(seq)
        },
        tellAnew: async (revision) => void told.push(-revision),
        failed: (error) => failures.push(error),
      })
      await settle()
      source.write()
      source.reload()
      await settle()
      expect([fault, failures, told]).toEqual([fault, [away], []])
    }
  })

  it('ends when the page is gone', async () => {
    const source = new Source()
    const { feed, told } = pageOf(source, 0)
    feed.stop()
    source.write()
    await settle()
    expect(told).toEqual([])
  })
})
