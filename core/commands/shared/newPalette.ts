/** A palette as it is made, with the mask of its shelf. */
import type { Draft } from '../../show/draft'
import type { PALETTE_COLOURS } from '../../show/entities'
import type { PaletteId } from '../../show/ids'
import { shelfMaskOf } from '../../show/masks'
import type { Show } from '../../show/show'
import type { Shelf } from '../../attributes/families'

export function putNewPalette(
  show: Show,
  draft: Draft,
  id: PaletteId,
  fields: { number: number; name: string; colour: (typeof PALETTE_COLOURS)[number]; shelf: Shelf },
) {
  const { take, heldBack } = shelfMaskOf(show, fields.shelf)
  draft.put('palette', id, { ...fields, symbol: null, take: [...take], heldBack: [...heldBack], note: '', time: null })
}
