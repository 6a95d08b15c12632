/** What values make of a beam by themselves, wherever it points: for a small picture of it. */
import type { Attribute } from '../attributes/attribute'
import type { Value } from '../show/values'

/** Levels 0 to 1, of which 1 is bright, soft, open; null where nothing is said. */
export interface BeamLook {
  /** Full angle of the beam. */
  readonly zoomDegrees: number | null
  readonly intensity: number | null
  readonly edge: number | null
  readonly iris: number | null
  /** How far each blade is in, 0 to 1. */
  readonly shutters: { readonly top: number; readonly right: number; readonly bottom: number; readonly left: number }
}

const SHOWN: readonly Attribute[] = [
  'intensity',
  'zoom',
  'edge',
  'iris',
  'shutterTop',
  'shutterRight',
  'shutterBottom',
  'shutterLeft',
]

/** The beam of one fixture's values; null where none of them shapes it by a number. */
export function beamLook(values: readonly { readonly attribute: Attribute; readonly value: Value }[]): BeamLook | null {
  const numbers = new Map<Attribute, number>()
  for (const { attribute, value } of values)
    if (value.kind === 'number' && SHOWN.includes(attribute)) numbers.set(attribute, value.number)
  if (numbers.size === 0) return null
  const said = (attribute: Attribute) => numbers.get(attribute) ?? null
  return {
    zoomDegrees: said('zoom'),
    intensity: said('intensity'),
    edge: said('edge'),
    iris: said('iris'),
    shutters: {
      top: said('shutterTop') ?? 0,
      right: said('shutterRight') ?? 0,
      bottom: said('shutterBottom') ?? 0,
      left: said('shutterLeft') ?? 0,
    },
  }
}
