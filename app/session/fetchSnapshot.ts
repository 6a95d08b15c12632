/** Fetches a whole show as it was sent. */
import type { ShowId } from '#core/show/ids'

declare global {
  interface Window {
    /** What the page asked for before the app was there, until it is taken. */
    askedEarly?: { readonly id: string; readonly response: Promise<Response> }
  }
}

export type Fetched =
  { readonly kind: 'fetched'; readonly text: string } | { readonly kind: 'refused' } | { readonly kind: 'away' }

export async function fetchSnapshot(id: ShowId): Promise<Fetched> {
  try {
    const response = await (takeEarly(id) ?? fetch(`/api/shows/${id}`))
    return response.ok ? { kind: 'fetched', text: await response.text() } : { kind: 'refused' }
  } catch {
    return { kind: 'away' }
  }
}

/** The answer that is on its way already; handed out once, since a later one is wanted as it is then. */
function takeEarly(id: ShowId): Promise<Response> | null {
  const asked = window.askedEarly
  delete window.askedEarly
  return asked?.id === id ? asked.response : null
}
