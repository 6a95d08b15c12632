/**
 * Somebody at work over the network, as a page is: sends each command with its own id until it is
 * answered, follows the show entry by entry, and fetches it anew when told to.
 */
import { setTimeout as pause } from 'node:timers/promises'
import { z } from 'zod'
import { readSnapshot } from '../../app/session/responses'
import { journalEntrySchema } from '#core/journal/entry'
import { applyChanges } from '#core/show/changes'
import type { Show } from '#core/show/show'

const AGAIN = 50
const answered = z.object({ answers: z.tuple([z.object({ error: z.object({ message: z.string() }).optional() })]) })

export class Person {
  show: Show | null = null
  revision = 0
  /** What went wrong that must not: an entry out of order, or one twice. */
  readonly faults: string[] = []
  readonly refusals: string[] = []
  repeated = 0
  #cookie = ''
  #isStopped = false
  #line = new AbortController()

  /** `address` says which server is asked next. */
  constructor(
    readonly name: string,
    readonly id: string,
    readonly address: () => string,
  ) {}

  async #fetch(path: string, init: RequestInit = {}): Promise<Response | null> {
    try {
      const headers = { cookie: this.#cookie, 'content-type': 'application/json' }
      const response = await fetch(`${this.address()}/api/shows/${this.id}${path}`, { ...init, headers })
      const set = response.headers.get('set-cookie')?.split(';')[0]
      if (set && !this.#cookie) this.#cookie = set
      return response.ok ? response : null
    } catch {
      return null
    }
  }

  /** Asks until there is an answer. */
  async #insist(path: string, init: RequestInit = {}): Promise<unknown> {
    for (;;) {
      const response = await this.#fetch(path, init)
      const body: unknown = await response?.json().catch(() => null)
      if (body) return body
      this.repeated += 1
      await pause(AGAIN)
    }
  }

  async join(): Promise<void> {
    await this.#insist('/people', { method: 'POST', body: JSON.stringify({ name: this.name }) })
    await this.#fetchWhole()
    void this.#follow()
  }

  async #fetchWhole(): Promise<void> {
    const { show, revision } = readSnapshot(JSON.stringify(await this.#insist('')))
    if (revision < this.revision) return
    this.show = show
    this.revision = revision
  }

  /** Carries a command out once, however often it has to be sent. */
  async send(id: string, name: string, input: unknown): Promise<void> {
    const commands = [{ id, name, input, seenRevision: this.revision }]
    const body = JSON.stringify({ window: `${this.name}-window`, commands })
    const { answers } = answered.parse(await this.#insist('/commands', { method: 'POST', body }))
    if (answers[0].error) this.refusals.push(answers[0].error.message)
  }

  async #follow(): Promise<void> {
    while (!this.#isStopped) {
      try {
        const headers = { cookie: this.#cookie, 'last-event-id': String(this.revision) }
        const url = `${this.address()}/api/shows/${this.id}/events?since=0`
        const response = await fetch(url, { headers, signal: this.#line.signal })
        if (response.ok && response.body) await this.#hear(response.body)
      } catch {
        // The line broke: it is opened again.
      }
      await pause(AGAIN)
    }
  }

  async #hear(body: ReadableStream<Uint8Array>): Promise<void> {
    const decoder = new TextDecoder()
    let text = ''
    for await (const chunk of body) {
      text += decoder.decode(chunk, { stream: true })
      const events = text.split('\n\n')
      text = events.pop() ?? ''
      for (const event of events) await this.#take(event)
    }
  }

  async #take(event: string): Promise<void> {
    const field = (name: string) => new RegExp(`^${name}: ?(.*)$`, 'm').exec(event)?.[1]
    if (field('event') === 'anew') return this.#fetchWhole()
    if (field('event') !== 'entry') return
    const { entry } = z.object({ entry: journalEntrySchema }).parse(JSON.parse(field('data') ?? ''))
    if (entry.seq <= this.revision) return
    if (entry.seq !== this.revision + 1) this.faults.push(`${entry.seq} came after ${this.revision}`)
    if (this.show) this.show = applyChanges(this.show, entry.changes)
    this.revision = entry.seq
  }

  stop(): void {
    this.#isStopped = true
    this.#line.abort()
  }
}
