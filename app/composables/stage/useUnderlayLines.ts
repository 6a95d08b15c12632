/** The lines of drawings that lie under the plan, fetched once for each file: what is in one never changes. */
import { shallowReactive, watch } from 'vue'
import { linesFile, type LinesFile } from '#core/exchange/drawing/linesFile'
import { underlaysOf } from '#core/show/underlays'
import type { Show } from '#core/show/show'
import { request } from '../../session/request'

/** Files held; the one not asked for longest goes. */
const MOST_HELD = 20
const held = shallowReactive(new Map<string, LinesFile['layers']>())
const asked = new Set<string>()

/** Where a browser gets a file of the show. */
export const fileUrl = (show: Show, digest: string) => `/api/shows/${show.id}/files/${digest}`

/** By digest; those that are still fetched, and those that cannot be read, are not in it. */
export function useUnderlayLines(show: () => Show | null): ReadonlyMap<string, LinesFile['layers']> {
  const wanted = () => {
    const now = show()
    const all = now ? underlaysOf(now) : []
    return all.flatMap(([, { form, digest, visible }]) => (form === 'lines' && visible ? [digest] : []))
  }

  async function fetchLines(digest: string) {
    const now = show()
    if (!now || asked.has(digest)) return
    asked.add(digest)
    const answered = await request(fileUrl(now, digest), linesFile)
    asked.delete(digest)
    if (!answered.ok) return
    held.set(digest, answered.body.layers)
    for (const [first] of held) if (held.size > MOST_HELD) held.delete(first)
  }

  watch(
    () => wanted().join(),
    () => {
      for (const digest of wanted()) if (!held.has(digest)) void fetchLines(digest)
    },
    { immediate: true },
  )
  return held
}
