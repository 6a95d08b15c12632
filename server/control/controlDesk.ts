/** Has done what controls ask for, one after the other, and tells them what happens. */
import { randomUUID } from 'node:crypto'
import { commandsFor } from '#core/control/commandsFor'
import { joined, readMessage, type Deed } from '#core/control/deed'
import type { OscMessage } from '#core/control/message'
import type { ControlsStatus, Said } from '#core/control/said'
import { toldOf } from '#core/control/told'
import { entryWorldOf } from '#core/groups/entryWorld'
import { parseEntry } from '#core/selection/entry'
import { controlLineOf } from '#core/show/controlLine'
import type { ChangeSet } from '#core/show/changes'
import type { ControlLine } from '#core/show/entities'
import { commandId, personId, windowId, type FixtureId } from '#core/show/ids'
import { log } from '../http/log'
import type { LiveShow } from '../shows/liveShow'
import { OscSocket } from './oscSocket'

/** Who starts cues while controls are nobody's. */
const NOBODY = personId.parse('controls')
const WINDOW = windowId.parse('controls')
/** So much of what was said is remembered, and so much may wait. */
const REMEMBERED = 200
const MOST_WAITING = 200
/** How long to wait until a port that is taken is tried again, milliseconds. */
const TRY_AGAIN = 2000

interface Waiting {
  deed: Exclude<Deed, { readonly does: 'select' }>
  said: Said
}

export class ControlDesk {
  readonly #unsubscribe: () => void
  readonly #listeners = new Set<() => void>()
  #socket: OscSocket | null = null
  /** As it is listened now: address and port. */
  #line = ''
  #trouble: string | null = null
  #again: ReturnType<typeof setTimeout> | undefined
  #selected: readonly FixtureId[] = []
  #waiting: Waiting[] = []
  #isWorking = false
  #said: Said[] = []
  #count = 0
  #leftOut = 0

  constructor(private readonly live: LiveShow) {
    this.#unsubscribe = live.subscribe({
      entry: ({ changes }) => {
        this.#look()
        this.#answer(changes)
      },
      reloaded: () => this.#look(),
    })
    this.#look()
  }

  /** Whether controls are to be heard, so that the show must stay in memory. */
  get isOn(): boolean {
    return this.#settings.isOn
  }

  get #settings(): ControlLine {
    return controlLineOf(this.live.show)
  }

  /** Opens and closes the socket as the show says. */
  #look(): void {
    const { isOn, from, port } = this.#settings
    const wanted = isOn ? `${from}:${port}` : ''
    if (wanted === this.#line) return
    this.#line = wanted
    this.#trouble = null
    clearTimeout(this.#again)
    this.#socket?.close()
    this.#socket = null
    if (isOn) this.#open()
    this.#tell()
  }

  #open(): void {
    const { from, port } = this.#settings
    this.#socket = new OscSocket(from, port, {
      messages: (messages, sender) => messages.forEach((message) => this.#hear(message, sender)),
      listening: () => {
        this.#trouble = null
        this.#tell()
      },
      failed: (error) => {
        this.#socket = null
        this.#trouble = `Controls cannot be heard at ${from}, port ${port}: ${error.message}. It is tried again.`
        this.#again = setTimeout(() => this.#open(), TRY_AGAIN).unref()
        this.#tell()
      },
    })
  }

  /** What the person whose controls these are has selected in the window. */
  select(fixtures: readonly FixtureId[]): void {
    this.#selected = fixtures
    this.#tell()
  }

  #hear(message: OscMessage, from: string): void {
    this.#count += 1
    const said: Said = {
      ...{ id: this.#count, at: Date.now(), from, address: message.address, args: [...message.args] },
      ...{ did: null, why: null },
    }
    this.#said = [...this.#said, said].slice(-REMEMBERED)
    const deed = readMessage(this.live.show, message)
    if (deed && 'trouble' in deed) said.why = deed.trouble
    else if (deed?.does === 'select') this.#selectBy(deed.entry, said)
    else if (deed) this.#await({ deed, said })
    this.#tell()
  }

  #selectBy(entry: string, said: Said): void {
    const read = parseEntry(
      entry,
      entryWorldOf(this.live.show, this.#selected, new Set(), () => true),
    )
    if (!read.ok) {
      said.why = read.message
      return
    }
    this.#selected = read.fixtures
    said.did = `select ${read.fixtures.length}`
  }

  #await(next: Waiting): void {
    const last = this.#waiting.at(-1)
    const both = last && joined(last.deed, next.deed)
    if (last && both && both.does !== 'select') {
      last.deed = both
      this.#said = this.#said.filter((one) => one !== last.said)
      last.said = next.said
    } else if (this.#waiting.length >= MOST_WAITING) next.said.why = 'Too much waits to be done: it was left out.'
    else this.#waiting.push(next)
    if (!this.#isWorking) void this.#work()
  }

  async #work(): Promise<void> {
    this.#isWorking = true
    for (let next = this.#waiting.shift(); next; next = this.#waiting.shift()) {
      try {
        await this.#do(next)
      } catch (error) {
        next.said.why = 'It could not be done: the server has logged why.'
        log.error(error, 'what a control asked for could not be done')
      }
      this.#tell()
    }
    this.#isWorking = false
  }

  async #do({ deed, said }: Waiting): Promise<void> {
    const commands = commandsFor(deed, this.#selected)
    if ('trouble' in commands) {
      said.why = commands.trouble
      return
    }
    const person = this.#settings.person ?? NOBODY
    const did: string[] = []
    for (const { name, input } of commands) {
      const id = commandId.parse(randomUUID())
      const asked = { id, name, input, person, window: WINDOW, seenRevision: this.live.revision }
      const answer = await this.live.run(asked)
      if (!answer.ok) {
        said.why = answer.refusal.message
        return
      }
      if (answer.entry) did.push(answer.entry.label)
    }
    said.did = did.join(', ') || 'as it was'
  }

  /** Tells those who are to be told what happened, whoever did it. */
  #answer(changes: ChangeSet): void {
    const { isOn, answerTo, answerPort, person } = this.#settings
    if (!isOn || answerTo.length === 0) return
    for (const message of toldOf(this.live.show, changes, person))
      for (const to of answerTo) this.#socket?.send(message, to, answerPort)
  }

  /** What was said lately, and how listening goes. */
  status(): ControlsStatus {
    this.#leftOut += this.#socket?.takeLeftOut() ?? 0
    return { said: this.#said, trouble: this.#trouble, leftOut: this.#leftOut, selected: this.#selected.length }
  }

  /** Hears whenever anything is another; returns how to stop. */
  subscribe(listener: () => void): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  #tell(): void {
    for (const listener of this.#listeners) listener()
  }

  close(): void {
    this.#unsubscribe()
    clearTimeout(this.#again)
    this.#socket?.close()
  }
}
