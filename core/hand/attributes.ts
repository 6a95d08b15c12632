/** What an attribute of a type can be: its range, its home and how it counts. */
import { zoomRange } from '../light/optics'
import type { FixtureType, Wheel } from '../show/entities'
import { restingNumber, type Attribute } from '../show/families'

/** An attribute that holds one number. */
export type NumberAttribute = Exclude<Attribute, 'position'>

/** Levels run from 0 to 1, zoom in degrees, wheels by slot from 0, which is open. */
export interface AttributeRange {
  readonly min: number
  readonly max: number
  /** What it is worth when nothing sets it. */
  readonly home: number
  readonly unit: 'level' | 'degrees' | 'slot' | 'metres'
}

/** The range of an attribute for a type that has it. */
export function rangeOf(type: FixtureType, attribute: NumberAttribute): AttributeRange {
  if (attribute === 'zoom') {
    const zoom = zoomRange(type.optics) ?? fixedLens(type)
    return { ...zoom, home: restingNumber('zoom', zoom), unit: 'degrees' }
  }
  const wheel = wheelOf(type, attribute)
  if (wheel !== null) return { min: 0, max: wheel.slots.length - 1, home: 0, unit: 'slot' }
  return { min: 0, max: isWheelAttribute(attribute) ? 0 : 1, home: restingNumber(attribute, null), unit: 'level' }
}

function fixedLens(type: FixtureType) {
  const beam = type.optics[0]?.beam ?? 0
  return { min: beam, max: beam }
}

function isWheelAttribute(attribute: NumberAttribute): boolean {
  return attribute === 'colourWheel' || attribute === 'gobo' || attribute === 'gobo2'
}

/** The wheel an attribute turns; null for one that turns none. */
export function wheelOf(type: FixtureType, attribute: NumberAttribute): Wheel | null {
  if (attribute === 'colourWheel') return wheelsOf(type, 'colour')[0] ?? null
  if (attribute === 'gobo') return wheelsOf(type, 'gobo')[0] ?? null
  if (attribute === 'gobo2') return wheelsOf(type, 'gobo')[1] ?? null
  return null
}

function wheelsOf(type: FixtureType, kind: Wheel['kind']): Wheel[] {
  return type.wheels.filter((wheel) => wheel.kind === kind)
}

/** What a pool may be across, metres. */
export const POOL_RANGE: AttributeRange = { min: 0, max: 200, home: 2, unit: 'metres' }
