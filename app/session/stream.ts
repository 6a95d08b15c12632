/** The line on which the server tells of every change. */
import type { JournalEntry } from '#core/journal/entry'
import type { ShowId } from '#core/show/ids'
import { entryEvent, type UndoState } from './wire'

interface StreamEvents {
  entry(entry: JournalEntry, undo: UndoState): void
  connection(isThere: boolean): void
}

/**
 * Listens for entries after a revision; returns how to stop. The browser reconnects by itself but
 * asks from where it first began: whoever listens passes over what it knows.
 */
export function listenToShow(id: ShowId, since: number, on: StreamEvents): () => void {
  const source = new EventSource(`/api/shows/${id}/events?since=${since}`)
  source.addEventListener('open', () => on.connection(true))
  source.addEventListener('error', () => on.connection(false))
  source.addEventListener('entry', (event: MessageEvent<string>) => {
    const { entry, undo } = entryEvent.parse(JSON.parse(event.data))
    on.entry(entry, undo)
  })
  return () => source.close()
}
