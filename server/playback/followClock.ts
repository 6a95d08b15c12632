/**
 * The clock of a show's cues: when a cue has arrived, it starts the one that comes after it by
 * itself. Of several servers on one database each has its clock; a step has one id everywhere, so
 * it is done once.
 */
import { followerOf } from '#core/cues/going'
import { listsInOrder } from '#core/cues/tracking'
import { commandId, personId, windowId, type CueId, type CueListId } from '#core/show/ids'
import { log } from '../http/log'
import type { DatabaseClock } from '../database/databaseClock'
import type { LiveShow } from '../shows/liveShow'

const CLOCK = { person: personId.parse('clock'), window: windowId.parse('clock') }
/** A timer cannot wait longer than this, milliseconds; it is then set anew. */
const LONGEST_WAIT = 2 ** 30
/** How long to wait before trying again what the database refused, milliseconds. */
const TRY_AGAIN = 1000

interface Due {
  readonly list: CueListId
  readonly after: CueId
  readonly at: number
}

export class FollowClock {
  readonly #live: LiveShow
  readonly #clock: DatabaseClock
  readonly #unsubscribe: () => void
  #timer: ReturnType<typeof setTimeout> | undefined

  constructor(live: LiveShow, clock: DatabaseClock) {
    this.#live = live
    this.#clock = clock
    this.#unsubscribe = live.subscribe({ entry: () => this.#plan(), reloaded: () => this.#plan() })
    this.#plan()
  }

  /** Whether a cue is due some time, so that the show must stay in memory. */
  get isWaiting(): boolean {
    return this.#due().length > 0
  }

  /** Sets the timer for whatever is due next, if anything. */
  #plan(): void {
    clearTimeout(this.#timer)
    const next = this.#due().sort((a, b) => a.at - b.at)[0]
    if (next) this.#wait(Math.min(LONGEST_WAIT, Math.max(0, next.at - this.#clock.read())))
  }

  #wait(milliseconds: number): void {
    this.#timer = setTimeout(() => void this.#follow(), milliseconds)
    // A show alone does not keep the server running.
    this.#timer.unref()
  }

  #due(): Due[] {
    const { show } = this.#live
    return listsInOrder(show).flatMap((list) => {
      const follower = followerOf(show, list)
      return follower && list.list.onStage ? [{ list: list.id, after: list.list.onStage, at: follower.at }] : []
    })
  }

  async #follow(): Promise<void> {
    try {
      for (const { list, after, at } of this.#due()) {
        if (at > this.#clock.read()) continue
        const id = commandId.parse(`follow-${list}-${Math.round(at)}`)
        await this.#live.run({
          id,
          name: 'followOn',
          input: { list, after },
          ...CLOCK,
          seenRevision: this.#live.revision,
        })
      }
      this.#plan()
    } catch (error) {
      log.error(error, 'a cue that was due could not be started')
      this.#wait(TRY_AGAIN)
    }
  }

  close(): void {
    clearTimeout(this.#timer)
    this.#unsubscribe()
  }
}
