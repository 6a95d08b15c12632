/** The line on which the server tells of every change. */
import type { Refusal } from '#core/commands/command'
import type { JournalEntry } from '#core/journal/entry'
import type { ShowId } from '#core/show/ids'
import type { TrackedPlaces } from '#core/tracking/following'
import { readTracked, trackedEvent } from '#core/tracking/told'
import { SHUT_OUT } from './access'
import { request } from './request'
import type { UndoState } from '#core/journal/undoState'
import { entryEvent, entryList } from './responses'

interface StreamEvents {
  entry(entry: JournalEntry, undo: UndoState): void
  /** Too many were missed to be told: the show is to be fetched anew. */
  anew(): void
  connection(isThere: boolean): void
  /** Where targets are that follow trackers. */
  tracked(places: TrackedPlaces): void
  /** One may no longer be here, and why. */
  shutOut(why: Refusal): void
}

/** How long to wait before a line is opened anew that the browser has given up, milliseconds. */
const AGAIN = 2000

/**
 * Listens for entries after the revision that is known by then; returns how to stop. The browser
 * reconnects by itself and says which it had last; what it gives up is begun again.
 */
export function listenToShow(id: ShowId, revision: () => number, on: StreamEvents): () => void {
  let source = open()
  let again: ReturnType<typeof setTimeout> | undefined
  let isStopped = false

  function open(): EventSource {
    const opened = new EventSource(`/api/shows/${id}/events?since=${revision()}`)
    opened.addEventListener('open', () => on.connection(true))
    opened.addEventListener('error', () => {
      on.connection(false)
      if (opened.readyState === EventSource.CLOSED) again = setTimeout(() => void openAgain(), AGAIN)
    })
    opened.addEventListener('entry', (event: MessageEvent<string>) => {
      const { entry, undo } = entryEvent.parse(JSON.parse(event.data))
      on.entry(entry, undo)
    })
    opened.addEventListener('anew', () => on.anew())
    opened.addEventListener('tracked', (event: MessageEvent<string>) => {
      on.tracked(readTracked(trackedEvent.parse(JSON.parse(event.data))))
    })
    return opened
  }

  /** The browser does not tell why a line was refused: another request does. */
  async function openAgain() {
    const answered = await request(`/api/shows/${id}/entries?since=${revision()}`, entryList)
    if (isStopped) return
    if (!answered.ok && SHUT_OUT.has(answered.refusal.code)) return on.shutOut(answered.refusal)
    source = open()
  }

  return () => {
    isStopped = true
    clearTimeout(again)
    source.close()
  }
}
