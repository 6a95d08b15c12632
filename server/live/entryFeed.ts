/**
 * What one page is told of a show: every entry after the last one it has, once and in order. A page
 * that has missed too many is told to fetch the show anew, which costs less than telling them all.
 */
import type { JournalEntry } from '#core/journal/entry'
import type { LiveShow } from '../shows/liveShow'

/** Beyond so many missed entries a page fetches the show anew. */
export const MOST_MISSED = 200

export interface Feeding {
  /** The entries after a revision, at most so many. */
  entriesSince(seq: number, most: number): Promise<JournalEntry[]>
  /** Tells the page of an entry; resolves when it has room for more. */
  tell(entry: JournalEntry): Promise<void>
  /** Tells the page to fetch the show anew, at this revision or a later one. */
  tellAnew(revision: number): Promise<void>
  /** Called when the page cannot be told any more. */
  failed(error: unknown): void
}

type Source = Pick<LiveShow, 'revision' | 'subscribe'>

export class EntryFeed {
  readonly #source: Source
  readonly #feeding: Feeding
  readonly #unsubscribe: () => void
  #sent: number
  /** Entries that came while others were still being told. */
  #waiting: JournalEntry[] = []
  #isTelling = false
  #isAnew: boolean
  #isStopped = false

  constructor(source: Source, since: number, feeding: Feeding) {
    this.#source = source
    this.#feeding = feeding
    this.#sent = since
    // A page from before an older state of the database was brought back is ahead of it.
    this.#isAnew = since > source.revision
    this.#unsubscribe = source.subscribe({
      entry: (entry) => this.#receive(entry),
      reloaded: () => this.#beginAnew(),
    })
    void this.#tellOn()
  }

  stop(): void {
    this.#isStopped = true
    this.#unsubscribe()
  }

  #receive(entry: JournalEntry): void {
    if (this.#waiting.length >= MOST_MISSED) return this.#beginAnew()
    this.#waiting.push(entry)
    void this.#tellOn()
  }

  #beginAnew(): void {
    this.#waiting = []
    this.#isAnew = true
    void this.#tellOn()
  }

  async #tellOn(): Promise<void> {
    if (this.#isTelling) return
    this.#isTelling = true
    try {
      while (!this.#isStopped && (this.#isAnew || this.#sent < this.#source.revision)) await this.#tellNext()
    } catch (error) {
      this.stop()
      this.#feeding.failed(error)
    } finally {
      this.#isTelling = false
    }
  }

  async #tellNext(): Promise<void> {
    const { revision } = this.#source
    if (this.#isAnew || revision - this.#sent > MOST_MISSED) {
      this.#isAnew = false
      this.#sent = revision
      return this.#feeding.tellAnew(revision)
    }
    this.#waiting = this.#waiting.filter(({ seq }) => seq > this.#sent)
    const entries = this.#waiting[0]?.seq === this.#sent + 1 ? this.#waiting.splice(0) : await this.#missing()
    for (const entry of entries) {
      if (this.#isStopped) return
      if (entry.seq !== this.#sent + 1) return this.#beginAnew()
      this.#sent = entry.seq
      await this.#feeding.tell(entry)
    }
  }

  async #missing(): Promise<JournalEntry[]> {
    const entries = await this.#feeding.entriesSince(this.#sent, MOST_MISSED)
    if (entries.length === 0) this.#isAnew = true
    return entries
  }
}
