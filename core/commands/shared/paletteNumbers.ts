/** Numbers of palettes: taken ones, and making room. */
import type { Draft } from '../../show/draft'
import type { PaletteId } from '../../show/ids'
import { palettesInOrder } from '../../palettes/resolve'
import type { Show } from '../../show/show'
import { refuse, type Outcome } from '../command'

/** Refuses a number that another palette has. */
export function paletteNumberInUse(show: Show, number: number, except?: PaletteId): Outcome | null {
  for (const [id, existing] of show.all.palette)
    if (id !== except && existing.number === number)
      return refuse('number taken', { kind: 'palette', number, by: existing.name }, 'number')
  return null
}

/** Moves palettes up by one from a number on, as far as the first gap. */
export function makeRoom(show: Show, draft: Draft, number: number, except: PaletteId): number {
  let next = number
  let moved = 0
  for (const { id, palette } of palettesInOrder(show)) {
    if (id === except || palette.number < next) continue
    if (palette.number > next) break
    next += 1
    moved += 1
    draft.set('palette', id, 'number', next)
  }
  return moved
}
