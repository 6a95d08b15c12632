/** Which palettes the stage shows now. */
import type { PaletteId, PersonId } from '../show/ids'
import type { Show } from '../show/show'
import { handOf } from './onStage'
import { playedBack } from './playback'

/** Palettes that hold something on stage: by cues, where the hand does not lie over them, or in the hand. */
export function palettesInUse(show: Show, person: PersonId): { inHand: Set<PaletteId>; onStage: Set<PaletteId> } {
  const hand = handOf(show, person)
  const inHand = new Set<PaletteId>()
  for (const values of hand.values())
    for (const value of values.values()) if (value.kind === 'link') inHand.add(value.palette)
  const onStage = new Set(inHand)
  for (const [fixture, values] of playedBack(show)) {
    const held = hand.get(fixture)
    for (const [attribute, value] of values)
      if (value.kind === 'link' && !held?.has(attribute)) onStage.add(value.palette)
  }
  return { inHand, onStage }
}
