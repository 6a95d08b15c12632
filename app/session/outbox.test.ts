import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Refusal } from '#core/commands/command'
import { commandId } from '#core/show/ids'
import { Outbox, PATIENCE, type Sent, type Waiting } from './outbox'

const command = (id: string): Waiting => ({
  id: commandId.parse(id),
  seenRevision: 7,
  work: { kind: 'command', name: 'clearHand', input: {} },
})
const undo = (id: string): Waiting => ({
  id: commandId.parse(id),
  seenRevision: 7,
  work: { kind: 'toggle', direction: 'undo', how: 'ask', group: null },
})

/** A server that does each id once, in the order they come, and a shelf that outlives the page. */
class Server {
  readonly done: string[] = []
  /** How the next sendings go: not at all, or done with the answer lost on the way. */
  faults: ('away' | 'answer lost')[] = []
  refuses: string | null = null
  why: string | null = null
  readonly sendings: string[][] = []
  readonly told: Refusal[] = []
  readonly reasons: string[] = []
  readonly shelf = new Map<string, string>()

  page(): Outbox {
    const shelf = {
      getItem: (key: string) => this.shelf.get(key) ?? null,
      setItem: (key: string, text: string) => void this.shelf.set(key, text),
      removeItem: (key: string) => void this.shelf.delete(key),
    }
    return new Outbox(shelf, 'waiting', {
      ready: () => Promise.resolve(),
      prepare: (next) => next,
      send: (together) => this.#send(together.map(({ id }) => id)),
      changed: () => undefined,
      tellWhy: (why) => this.reasons.push(why),
      refused: (refusal) => this.told.push(refusal),
    })
  }

  #send(ids: string[]): Promise<Sent> {
    this.sendings.push(ids)
    const fault = this.faults.shift()
    if (fault === 'away') return Promise.resolve({ kind: 'away', why: this.why })
    const isRefused = (id: string) => id === this.refuses
    for (const id of ids) if (!isRefused(id) && !this.done.includes(id)) this.done.push(id)
    if (fault) return Promise.resolve({ kind: 'away', why: null })
    const refusals = ids.map((id) => (isRefused(id) ? { code: 'unsound' as const, message: `${id} clashes.` } : null))
    return Promise.resolve({ kind: 'answered', refusals })
  }
}

let server: Server
beforeEach(() => {
  vi.useFakeTimers()
  server = new Server()
})
afterEach(() => vi.useRealTimers())

describe('what a window wants done', () => {
  it('is done once and in order, whatever is lost on the way', async () => {
    server.faults = ['away', 'answer lost', 'away', 'answer lost']
    const box = server.page()
    const settled = Promise.all([box.put(command('a')), box.put(undo('b')), box.put(command('c'))])
    await vi.advanceTimersByTimeAsync(20_000)
    expect((await settled).map(({ refusal }) => refusal)).toEqual([null, null, null])
    expect(server.done).toEqual(['a', 'b', 'c'])
    expect(box.waiting).toEqual([])
    expect(box.isAway).toBe(false)
  })

  it('goes together where it waited, but for an undo between', async () => {
    server.faults = ['away']
    const box = server.page()
    const all = [command('a'), command('b'), undo('c'), command('d')].map((one) => box.put(one))
    await vi.advanceTimersByTimeAsync(1000)
    await Promise.all(all)
    expect(server.sendings.slice(1)).toEqual([['a', 'b'], ['c'], ['d']])
  })

  it('goes on after a reload with its own ids, and tells of what is refused then', async () => {
    server.faults = ['answer lost', 'away', 'away']
    server.refuses = 'b'
    const first = server.page()
    for (const id of ['a', 'b', 'c']) void first.put(command(id))
    await vi.advanceTimersByTimeAsync(0)
    server.faults = []
    const second = server.page()
    expect(second.waiting.map(({ id }) => id)).toEqual(['a', 'b', 'c'])
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.done).toEqual(['a', 'c'])
    expect(server.told).toEqual([{ code: 'unsound' as const, message: 'b clashes.' }])
    expect(server.shelf.size).toBe(0)
  })

  it('is taken for a minute while the server is away, kept after that, and sent when it is back', async () => {
    server.faults = Array.from({ length: 100 }, () => 'away')
    const box = server.page()
    const settled = box.put(command('a'))
    await vi.advanceTimersByTimeAsync(PATIENCE - 1000)
    expect([box.isAway, box.takesMore]).toEqual([true, true])
    await vi.advanceTimersByTimeAsync(2000)
    expect(box.takesMore).toBe(false)
    expect(box.waiting).toHaveLength(1)
    server.faults = []
    box.serverIs(true)
    expect((await settled).refusal).toBeNull()
    expect(box.takesMore).toBe(true)
  })

  it('tells once why the server cannot work', async () => {
    server.why = 'The disk is full.'
    server.faults = ['away', 'away', 'away']
    const box = server.page()
    const settled = box.put(command('a'))
    await vi.advanceTimersByTimeAsync(10_000)
    await settled
    expect(server.reasons).toEqual(['The disk is full.'])
  })

  it('that another release cannot read is let go of', () => {
    server.shelf.set('waiting', '[{"id":"a","work":{"kind":"command","name":"flyAway"}}]')
    expect(server.page().waiting).toEqual([])
  })
})
