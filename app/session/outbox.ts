/**
 * What a window wants done and the server has not answered yet: sent in the order it was asked for,
 * repeated with its own ids until answered, and kept over a reload of the page.
 */
import { z } from 'zod'
import type { Refusal } from '#core/commands/command'
import { isCommandName } from '#core/commands/registry'
import { changeGroupId, commandId, type ChangeGroupId, type CommandId } from '#core/show/ids'

const command = z.object({ kind: z.literal('command'), name: z.string().refine(isCommandName), input: z.unknown() })
/** Without a group the step is meant that is next when its turn comes. */
const toggle = z.object({
  kind: z.literal('toggle'),
  direction: z.enum(['undo', 'redo']),
  how: z.enum(['ask', 'anyway', 'waive']),
  group: changeGroupId.nullable(),
})
const restore = z.object({ kind: z.literal('restore'), version: z.string() })
const waiting = z.object({
  id: commandId,
  /** The last revision that was seen when it was asked for. */
  seenRevision: z.number(),
  work: z.discriminatedUnion('kind', [command, toggle, restore]),
})

export type Waiting = z.infer<typeof waiting>
export type Work = Waiting['work']

/** What became of one: done, or refused; `group` is the step an undo was about. */
export interface Settled {
  readonly refusal: Refusal | null
  readonly group: ChangeGroupId | null
}

/** The answer to the first of several sent together, or to all of them, in their order; or that there was none. */
export type Sent =
  /** `why` in a sentence where it is known. */
  | { readonly kind: 'away'; readonly why: string | null }
  | { readonly kind: 'answered'; readonly refusals: (Refusal | null)[] }

export interface Sending {
  /** Resolves when nothing more urgent is to be done than sending. */
  ready(): Promise<void>
  /** The one as it is to be sent now that it is its turn; null where there is nothing to do. */
  prepare(next: Waiting): Waiting | null
  /** Sends commands together, or one of the other kinds alone; what has no answer by `giveUp` was not answered. */
  send(together: readonly Waiting[], giveUp: AbortSignal): Promise<Sent>
  /** Called whenever what waits, or whether the server answers, is other than before. */
  changed(): void
  /** Tells why the server cannot work just now. */
  tellWhy(why: string): void
  /** Tells of one that waited over a reload and was refused: nobody else hears of it. */
  refused(refusal: Refusal): void
}

/** Where what waits is kept over a reload. */
export type TextStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>

/** Commands sent together at most. */
const TOGETHER = 50
/** The pauses between tries, milliseconds: each twice the last, and no longer than the longest. */
const PAUSE = { first: 250, longest: 4000 }
/** How long an answer may take before it counts as none and is asked for again, milliseconds. */
export const ANSWERED_WITHIN = { command: 10_000, toggle: 10_000, restore: 60_000 } as const
/** How long work goes on while the server is away, milliseconds. */
export const PATIENCE = 60_000

export class Outbox {
  readonly #sending: Sending
  readonly #store: TextStore
  readonly #key: string
  readonly #settle = new Map<CommandId, (settled: Settled) => void>()
  #waiting: readonly Waiting[]
  #awaySince: number | null = null
  /** Why the server cannot work, as it was told last. */
  #toldWhy: string | null = null
  #pause = PAUSE.first
  #isSending = false
  #endOfPatience: ReturnType<typeof setTimeout> | undefined
  #tryNow: () => void = () => undefined

  /** Takes up what an earlier page of this window left under `key` and sends it. */
  constructor(store: TextStore, key: string, sending: Sending) {
    this.#sending = sending
    this.#store = store
    this.#key = key
    this.#waiting = restored(store.getItem(key))
    void this.#sendOn()
  }

  get waiting(): readonly Waiting[] {
    return this.#waiting
  }

  get isAway(): boolean {
    return this.#awaySince !== null
  }

  /** Whether more may be put in: not when the server has been away for too long. */
  get takesMore(): boolean {
    return this.#awaySince === null || Date.now() - this.#awaySince <= PATIENCE
  }

  /** Resolves when it has been answered. */
  put(next: Waiting): Promise<Settled> {
    this.#set([...this.#waiting, next])
    const settled = new Promise<Settled>((resolve) => this.#settle.set(next.id, resolve))
    void this.#sendOn()
    return settled
  }

  /** Sends what comes next without waiting for what is under way, because the page is being left. */
  sendLast(): void {
    const together = firstTogether(this.#waiting)
    if (together.length > 0) void this.#sending.send(together, new AbortController().signal)
  }

  #set(waiting: readonly Waiting[]): void {
    this.#waiting = waiting
    if (waiting.length === 0) this.#store.removeItem(this.#key)
    else keep(this.#store, this.#key, waiting)
    this.#sending.changed()
  }

  async #sendOn(): Promise<void> {
    if (this.#isSending) return
    this.#isSending = true
    while (this.#waiting.length > 0) {
      await this.#sending.ready()
      const together = this.#next()
      if (together.length === 0) continue
      const sent = await this.#sendInTime(together)
      if (sent.kind === 'away') await this.#waitForServer(sent.why)
      else this.#answered(together.slice(0, sent.refusals.length), sent.refusals)
    }
    this.#isSending = false
  }

  /** A line on which nothing arrives any more must not hold up everything behind it. */
  async #sendInTime(together: readonly Waiting[]): Promise<Sent> {
    const giveUp = new AbortController()
    const limit = setTimeout(() => giveUp.abort(), ANSWERED_WITHIN[together[0]?.work.kind ?? 'command'])
    const sent = await this.#sending.send(together, giveUp.signal)
    clearTimeout(limit)
    return sent
  }

  /** The first ones that can be sent together, as they are to be sent; empty where the first had nothing to do. */
  #next(): readonly Waiting[] {
    const [first] = this.#waiting
    const prepared = first && this.#sending.prepare(first)
    if (!prepared) {
      this.#answered(this.#waiting.slice(0, 1), [null])
      return []
    }
    if (prepared !== first) this.#set([prepared, ...this.#waiting.slice(1)])
    return firstTogether(this.#waiting)
  }

  #answered(together: readonly Waiting[], refusals: readonly (Refusal | null)[]): void {
    this.#noteBack()
    const ids = new Set(together.map(({ id }) => id))
    this.#set(this.#waiting.filter(({ id }) => !ids.has(id)))
    for (const [i, { id, work }] of together.entries()) {
      const refusal = refusals[i] ?? null
      const settle = this.#settle.get(id)
      this.#settle.delete(id)
      if (settle) settle({ refusal, group: work.kind === 'toggle' ? work.group : null })
      else if (refusal) this.#sending.refused(refusal)
    }
  }

  /** Told from elsewhere whether the server is there. */
  serverIs(isThere: boolean): void {
    if (!isThere) return this.#noteAway()
    this.#noteBack()
    this.#sending.changed()
    this.#tryNow()
  }

  #noteBack(): void {
    this.#awaySince = null
    this.#toldWhy = null
    this.#pause = PAUSE.first
    clearTimeout(this.#endOfPatience)
  }

  #noteAway(): void {
    if (this.#awaySince === null) {
      this.#awaySince = Date.now()
      this.#endOfPatience = setTimeout(() => this.#sending.changed(), PATIENCE + 1)
    }
    this.#sending.changed()
  }

  async #waitForServer(why: string | null): Promise<void> {
    if (why !== null && why !== this.#toldWhy) this.#sending.tellWhy(why)
    this.#toldWhy = why
    this.#noteAway()
    await new Promise<void>((resolve) => {
      const retry = setTimeout(resolve, this.#pause)
      this.#tryNow = () => {
        clearTimeout(retry)
        resolve()
      }
    })
    this.#pause = Math.min(PAUSE.longest, this.#pause * 2)
  }
}

/** The commands at the head of what waits, or the one thing there that is none. */
export function firstTogether(waiting: readonly Waiting[]): readonly Waiting[] {
  const other = waiting.findIndex(({ work }) => work.kind !== 'command')
  if (other === 0) return waiting.slice(0, 1)
  return waiting.slice(0, Math.min(TOGETHER, other < 0 ? waiting.length : other))
}

function restored(text: string | null): readonly Waiting[] {
  if (text === null) return []
  try {
    return z.array(waiting).parse(JSON.parse(text))
  } catch {
    // Written by another release, which this one cannot do.
    return []
  }
}

/** Where there is no room for it, it is still sent: only a reload would lose it. */
function keep(store: TextStore, key: string, waiting: readonly Waiting[]): void {
  try {
    store.setItem(key, JSON.stringify(waiting))
  } catch {
    store.removeItem(key)
  }
}
