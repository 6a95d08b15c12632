/** Which palettes are in use now. */
import type { PaletteId, PersonId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { cueLookup, handOf, stageLookup } from './onStage'

/**
 * The palettes a person has in hand, and those of which something is on stage as that person sees
 * it: in hand unless they work blind, in the cues where the hand does not lie over them, or as what
 * everything rests at.
 */
export function palettesInUse(show: Show, person: PersonId): { inHand: Set<PaletteId>; onStage: Set<PaletteId> } {
  const inHand = new Set<PaletteId>()
  for (const values of handOf(show, person).values())
    for (const value of values.values()) if (value.kind === 'link') inHand.add(value.palette)
  const isBlind = show.all.person.get(person)?.blind === true
  const lookup = isBlind ? cueLookup(show) : stageLookup(show, person)
  const onStage = new Set<PaletteId>()
  for (const [fixture, { type }] of rigOf(show))
    for (const attribute of type.has) {
      const value = lookup(fixture, attribute)
      if (value?.kind === 'link') onStage.add(value.palette)
    }
  return { inHand, onStage }
}
