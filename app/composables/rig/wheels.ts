/** Wheels and slots as they are begun with. Their colours are those of light, not of the interface. */
import type { Wheel } from '#core/show/entities'

type Slot = Wheel['slots'][number]

export const OPEN_WHITE = '#ffffff'
const STRAW = '#ffcc66'

export const WHEEL_NAMES: Readonly<Record<Wheel['kind'], string>> = {
  colour: 'Colour wheel',
  gobo: 'Gobo wheel',
  prism: 'Prism',
}

export function newSlot(kind: Wheel['kind'], name: string): Slot {
  if (kind === 'colour') return { name, colour: STRAW, pattern: null }
  return kind === 'gobo' ? { name, colour: null, pattern: 'dots' } : { name, colour: null, pattern: null, facets: 3 }
}

/** A wheel with its open slot and one more: the fewest it can have. */
export function newWheel(kind: Wheel['kind']): Wheel {
  const open: Slot = {
    name: 'Open',
    colour: kind === 'colour' ? OPEN_WHITE : null,
    pattern: kind === 'gobo' ? 'open' : null,
  }
  return { kind, name: WHEEL_NAMES[kind], slots: [open, newSlot(kind, 'Slot 1')] }
}
