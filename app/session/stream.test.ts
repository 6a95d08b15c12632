/** The line on which a page hears of changes, with a server that answers as the test says. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { JournalEntry } from '#core/journal/entry'
import { showId } from '#core/show/ids'
import { journalEntry } from '../../tests/support/journaledShow'
import { listenToShow } from './stream'

class FakeSource extends EventTarget {
  static readonly CLOSED = 2
  static opened: FakeSource[] = []
  readyState = 1
  constructor(readonly url: string) {
    super()
    FakeSource.opened.push(this)
  }
  close() {
    this.readyState = FakeSource.CLOSED
  }
  tell(type: string, data?: unknown) {
    this.dispatchEvent(new MessageEvent(type, { data: JSON.stringify(data) }))
  }
  breakFor(readyState: number) {
    this.readyState = readyState
    this.tell('error')
  }
}

let heard: unknown[]
let revision: number
let stop: () => void
let answer: { status: number; body: unknown }
const entry = (seq: number): JournalEntry =>
  journalEntry({ seq, person: 'anna', kind: 'do', group: `g${seq}`, label: 'do', undoable: true, changes: [] })
const source = () => FakeSource.opened.at(-1) ?? expect.fail('no line is open')

beforeEach(() => {
  vi.useFakeTimers()
  FakeSource.opened = []
  heard = []
  revision = 7
  answer = { status: 200, body: { entries: [] } }
  vi.stubGlobal('EventSource', FakeSource)
  vi.stubGlobal('fetch', async () => new Response(JSON.stringify(answer.body), { status: answer.status }))
  stop = listenToShow(showId.parse('s'), () => revision, {
    entry: ({ seq }) => heard.push(seq),
    tracked: (places) => heard.push(['tracked', ...places.keys()]),
    anew: () => heard.push('anew'),
    connection: (isThere) => heard.push(isThere),
    shutOut: ({ code }) => heard.push(code),
  })
})
afterEach(() => {
  stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the line to the server', () => {
  it('is asked for from what is known, and tells entries in their order', () => {
    expect(source().url).toBe('/api/shows/s/events?since=7')
    source().tell('open')
    const undo = { undo: null, redo: null }
    for (const seq of [8, 9]) source().tell('entry', { entry: entry(seq), undo })
    source().tell('anew')
    expect(heard).toEqual([true, 8, 9, 'anew'])
  })

  it('is left to the browser while that tries by itself, and begun again where it gave up', async () => {
    source().breakFor(0)
    await vi.advanceTimersByTimeAsync(60_000)
    expect([heard, FakeSource.opened.length]).toEqual([[false], 1])
    revision = 12
    source().breakFor(FakeSource.CLOSED)
    await vi.advanceTimersByTimeAsync(5000)
    expect(FakeSource.opened.map(({ url }) => url)).toEqual([
      '/api/shows/s/events?since=7',
      '/api/shows/s/events?since=12',
    ])
  })

  it('ends where one may no longer be here, and says why', async () => {
    answer = { status: 401, body: { error: { code: 'no link', message: 'You need a link to come in here.' } } }
    source().breakFor(FakeSource.CLOSED)
    await vi.advanceTimersByTimeAsync(60_000)
    expect([heard, FakeSource.opened.length]).toEqual([[false, 'no link'], 1])
  })

  it('stays ended when it is stopped, even while it was about to begin again', async () => {
    source().breakFor(FakeSource.CLOSED)
    await vi.advanceTimersByTimeAsync(1000)
    stop()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(FakeSource.opened).toHaveLength(1)
    expect(source().readyState).toBe(FakeSource.CLOSED)
  })
})
