/** The cues a command is about: as they are asked for, as they are found, and in words. */
import { z } from 'zod'
import type { CueInOrder } from '../../cues/tracking'
import { cueId, type CueId } from '../../show/ids'
import type { Show } from '../../show/show'

export const cues = z.array(cueId).min(1, 'choose a cue')

/** Cues by number, or null where one is gone. */
export function cuesOf(show: Show, ids: readonly CueId[]): CueInOrder[] | null {
  const known = ids.flatMap((id) => {
    const cue = show.all.cue.get(id)
    return cue ? [{ id, cue }] : []
  })
  return known.length === ids.length ? known.sort((a, b) => a.cue.number - b.cue.number) : null
}

export const areCuesGone = (show: Show, ids: readonly CueId[]) => ids.some((id) => !show.all.cue.has(id))

/** "cue 12" or "5 cues". */
export function cuesInWords(show: Show, ids: readonly CueId[]): string {
  const [only] = ids
  if (only === undefined || ids.length !== 1) return `${ids.length} cues`
  return `cue ${show.all.cue.get(only)?.number ?? ''}`
}
