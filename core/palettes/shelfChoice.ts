/** Where a new palette belongs: its shelf by what it takes, and the next number there. */
import { SHELVES, type Family, type Shelf } from '../attributes/families'
import { freeNumberAfter } from '../show/freeNumbers'
import type { ShowPart } from '../show/show'
import { palettesInOrder } from './resolve'

/** The shelf of what is taken: places with their beam, places alone, or the first family. */
export function fittingShelf(families: readonly Family[]): Shelf {
  if (families.includes('position')) return families.includes('beam') ? 'focus' : 'position'
  return SHELVES.find((shelf) => shelf === families[0]) ?? 'focus'
}

/** The next free number after the last palette of a shelf. */
export function nextNumberOn(show: ShowPart<'palette'>, shelf: Shelf): number {
  const last = palettesInOrder(show).findLast(({ palette }) => palette.shelf === shelf)
  return freeNumberAfter(show.all.palette.values(), last?.palette.number ?? 0)
}
