/** Palettes by name, for what was done. */
import type { PaletteId } from '../../show/ids'
import type { Show } from '../../show/show'
import { listInWords } from '../../show/listInWords'

export function palettesInWords(show: Show, palettes: readonly PaletteId[]): string {
  const names = palettes.map((id) => show.all.palette.get(id)?.name ?? '')
  return names.length > 3 ? `${names.length} palettes` : listInWords(names)
}
