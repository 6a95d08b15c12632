import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'
import type { Outcome } from '#core/commands/command'
import { runCommand } from '#core/commands/registry'
import { commandId, showId, windowId, type CommandId, type ShowId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { compactJson } from '../../tests/support/compactJson'
import { paintFrame, useFakeFrames } from '../../tests/support/fakeFrames'
import { Desk } from '../../tests/support/smallShow'
import { useShow } from './show'

useFakeFrames()

/** Answers of a server that has not let go of them yet, by path. */
let held: Map<string, () => void>
/** What the server says was done since the show was sent. */
let missed: object[]
const desk = new Desk()
const asked = z.object({
  commands: z.tuple([z.object({ id: commandId, name: z.literal('setBlind'), input: z.unknown() })]),
})

const shows = (id: ShowId): Show => ({ ...desk.show, id })
const [first, second] = [showId.parse('first'), showId.parse('second')]

const undo = { undo: null, redo: null }

function opened(id: ShowId) {
  const all: unknown = JSON.parse(compactJson(desk.show))
  return { id, revision: 0, all }
}

function entryOf(outcome: Outcome, id: CommandId) {
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  return {
    id,
    seq: 1,
    person: desk.person,
    window: windowId.parse('window'),
    at: new Date(0).toISOString(),
    kind: 'do',
    group: id,
    label: outcome.label,
    undoable: true,
    mergeKey: null,
    changes: outcome.changes,
  }
}

function done(id: ShowId, body: string) {
  const {
    commands: [command],
  } = asked.parse(JSON.parse(body))
  const outcome = runCommand(shows(id), command.name, command.input, command.id, { person: desk.person, now: 0 })
  return { answers: [{ entry: entryOf(outcome, command.id), note: null }], undo }
}

beforeEach(() => {
  setActivePinia(createPinia())
  held = new Map()
  missed = []
  vi.stubGlobal('document', { hidden: false, addEventListener: () => undefined })
  vi.stubGlobal('window', { addEventListener: () => undefined })
  const locks = { request: (_: string, __: object, held: () => Promise<void>) => held() }
  vi.stubGlobal('navigator', { locks })
  vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined })
  vi.stubGlobal(
    'EventSource',
    class {
      addEventListener() {}
      close() {}
    },
  )
  vi.stubGlobal('fetch', (path: string, init?: { body: string }) => {
    const id = showId.parse(path.split('/')[3])
    if (path.endsWith('/people'))
      return Promise.resolve(Response.json({ person: desk.person, role: 'owns', isByLink: false, undo, now: 0 }))
    if (path.endsWith('/entries?since=0')) return Promise.resolve(Response.json({ entries: missed }))
    const json = () => (init ? done(id, init.body) : opened(id))
    return new Promise((resolve) => held.set(path, () => resolve(Response.json(json()))))
  })
})

/** Lets an answer go, once it was asked for, and be read. */
async function letGo(path: string) {
  await vi.waitUntil(() => held.has(path))
  held.get(path)?.()
  held.delete(path)
  await paintFrame()
}

describe('a show that is opened', () => {
  it('has in it who joins while it is sent', async () => {
    const before = desk.show
    const join = commandId.parse('join')
    desk.show = { ...before, all: { ...before.all, person: new Map() } }
    missed = [entryOf(runCommand(desk.show, 'joinShow', { name: 'Ida' }, join, { person: desk.person, now: 0 }), join)]
    const store = useShow()
    const opening = store.open(first)
    await letGo('/api/shows/first')
    await opening
    desk.show = before
    expect(store.revision).toBe(1)
    expect(store.view?.all.person.get(desk.person)?.name).toBe('Ida')
  })
})

describe('a show that is left', () => {
  it('takes an answer with it that comes after another was opened', async () => {
    const store = useShow()
    const opening = store.open(first)
    await letGo('/api/shows/first')
    await opening
    const blind = store.send('setBlind', { blind: true })
    await paintFrame()
    const opensSecond = store.open(second)
    await letGo('/api/shows/second')
    await opensSecond
    const ground = store.confirmed
    await letGo('/api/shows/first/commands')
    expect(await blind).toBe(true)
    expect([store.confirmed, store.revision]).toEqual([ground, 0])
    expect(store.view?.all.person.get(desk.person)?.blind).toBe(false)
  })

  it('does not close the one that the next page has opened already', async () => {
    const store = useShow()
    const opening = store.open(first)
    await letGo('/api/shows/first')
    await opening
    const opensSecond = store.open(second)
    store.leave(first)
    await letGo('/api/shows/second')
    await opensSecond
    expect(store.confirmed?.id).toBe(second)
    store.leave(second)
    expect(store.confirmed).toBeNull()
  })

  it('does not come back when it is opened after the one that was asked for later', async () => {
    const store = useShow()
    const opening = store.open(first)
    const opensSecond = store.open(second)
    await letGo('/api/shows/second')
    await letGo('/api/shows/first')
    await Promise.all([opening, opensSecond])
    expect(store.confirmed?.id).toBe(second)
  })
})
