/** Fetches a whole show as it was sent. */
import type { ShowId } from '#core/show/ids'

declare global {
  interface Window {
    /** What the page asked for before the app was there, until it is taken; null where that was refused. */
    askedEarly?: { readonly id: string; readonly bytes: Promise<ArrayBuffer | null> }
  }
}

export type Fetched =
  { readonly kind: 'fetched'; readonly bytes: ArrayBuffer } | { readonly kind: 'refused' } | { readonly kind: 'away' }

/** A large one is sent as fast as the page can take bytes; their text is made where it is read. */
export async function fetchSnapshot(id: ShowId): Promise<Fetched> {
  try {
    const bytes = await (claimEarly(id) ?? bytesOf(await fetch(`/api/shows/${id}`)))
    return bytes ? { kind: 'fetched', bytes } : { kind: 'refused' }
  } catch {
    return { kind: 'away' }
  }
}

function bytesOf(response: Response): Promise<ArrayBuffer> | null {
  return response.ok ? response.arrayBuffer() : null
}

/** The answer that is on its way already; handed out once, since a later one is wanted as it is then. */
function claimEarly(id: ShowId): Promise<ArrayBuffer | null> | null {
  const asked = window.askedEarly
  delete window.askedEarly
  return asked?.id === id ? asked.bytes : null
}
