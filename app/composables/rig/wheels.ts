/** Wheels and slots as they are begun with. Their colours are those of light, not of the interface. */
import type { Wheel } from '#core/show/entities'

type Slot = Wheel['slots'][number]

export const OPEN_WHITE = '#ffffff'
const STRAW = '#ffcc66'

export function newSlot(kind: Wheel['kind'], name: string): Slot {
  return kind === 'colour' ? { name, colour: STRAW, pattern: null } : { name, colour: null, pattern: 'dots' }
}

/** A wheel with its open slot and one more: the fewest it can have. */
export function newWheel(kind: Wheel['kind']): Wheel {
  const open: Slot =
    kind === 'colour'
      ? { name: 'Open', colour: OPEN_WHITE, pattern: null }
      : { name: 'Open', colour: null, pattern: 'open' }
  return { kind, name: kind === 'colour' ? 'Colour wheel' : 'Gobo wheel', slots: [open, newSlot(kind, 'Slot 1')] }
}
