import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'
import { commandId, showId, windowId } from '#core/show/ids'
import type { Waiting } from './outbox'
import { ANSWERED_WITHIN, Outbox } from './outbox'
import { sendTogether } from './sending'

const command = (id: string): Waiting => ({
  id: commandId.parse(id),
  seenRevision: 0,
  work: { kind: 'command', name: 'clearHand', input: {} },
})
const sent = z.object({ commands: z.array(z.object({ id: z.string() })) })
const undo = { undo: null, redo: null }
const refusal = { code: 'bad input', message: 'It holds what cannot be kept.' }

/** How the server answers commands of these ids. */
let answer: (ids: string[]) => Response
/** How many of the next requests nothing ever answers. */
let unanswered = 0
const done: string[] = []
beforeEach(() => {
  done.length = 0
  vi.stubGlobal('fetch', (_: string, { body, signal }: { body: string; signal: AbortSignal }) => {
    if (unanswered-- > 0) return givenUp(signal)
    return Promise.resolve(answer(sent.parse(JSON.parse(body)).commands.map(({ id }) => id)))
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

function givenUp(signal: AbortSignal): Promise<never> {
  return new Promise((_, reject) => signal.addEventListener('abort', () => reject(new Error('given up'))))
}

const nowhere = { getItem: () => null, setItem: () => undefined, removeItem: () => undefined }
const outbox = () =>
  new Outbox(nowhere, 'waiting', {
    ready: () => new Promise((resolve) => setTimeout(resolve)),
    prepare: (next) => next,
    send: (together, giveUp) => sendTogether(showId.parse('s'), windowId.parse('w'), together, giveUp, () => undefined),
    changed: () => undefined,
    tellWhy: () => undefined,
    refused: () => undefined,
  })

describe('commands sent together', () => {
  it('are each answered for themselves, also where the server cannot read one of them', async () => {
    answer = (ids) => {
      if (ids.includes('b')) return Response.json({ error: refusal }, { status: 400 })
      done.push(...ids)
      return Response.json({ answers: ids.map(() => ({ entry: null, note: null })), undo })
    }
    const box = outbox()
    const settled = await Promise.all(['a', 'b', 'c', 'd'].map((id) => box.put(command(id))))
    expect(settled.map((one) => one.refusal)).toEqual([null, refusal, null, null])
    expect(done).toEqual(['a', 'c', 'd'])
  })

  it('are asked for again where nothing comes back, which holds up nothing for longer', async () => {
    vi.useFakeTimers()
    answer = (ids) => {
      done.push(...ids)
      return Response.json({ answers: ids.map(() => ({ entry: null, note: null })), undo })
    }
    unanswered = 1
    const box = outbox()
    const settled = Promise.all(['a', 'b'].map((id) => box.put(command(id))))
    await vi.advanceTimersByTimeAsync(ANSWERED_WITHIN.command - 1)
    expect([done, box.isAway]).toEqual([[], false])
    await vi.advanceTimersByTimeAsync(1000)
    await settled
    expect([done, box.isAway]).toEqual([['a', 'b'], false])
  })

  it('are not asked for again and again where an answer cannot be read', async () => {
    answer = () => new Response('<html>')
    expect((await outbox().put(command('a'))).refusal).toMatchObject({ code: 'unreadable' })
  })
})
