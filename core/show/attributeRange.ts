/** What an attribute of a type can be: its range, its home and how it counts. */
import { kindOf, nthOf, type NumberAttribute } from '../attributes/attribute'
import { LEADING, type Unit } from '../attributes/catalogue'
import { zoomRange } from '../light/optics'
import type { FixtureType, Wheel } from './entities'

/** Levels run from 0 to 1, wheels by slot from 0, which is open; the rest as the unit says. */
export interface AttributeRange {
  readonly min: number
  readonly max: number
  /** What it is worth when nothing sets it. */
  readonly home: number
  readonly unit: Exclude<Unit, 'place' | 'colour'> | 'metres'
  /** How fast it can be made to spin either way, turns a minute; null for what does not spin. */
  readonly fastest: number | null
}

/** Turns a minute, where a type does not say. */
const USUAL_SPIN = 60

const known = new WeakMap<FixtureType, Map<NumberAttribute, AttributeRange>>()

/** The range of an attribute for a type that has it: as the type says, as its lenses and wheels are, else the catalogue's. */
export function rangeOf(type: FixtureType, attribute: NumberAttribute): AttributeRange {
  const ranges = known.get(type) ?? new Map<NumberAttribute, AttributeRange>()
  known.set(type, ranges)
  const range = ranges.get(attribute) ?? workedOut(type, attribute)
  ranges.set(attribute, range)
  return range
}

/** What a type says of an attribute, or would say of it as it is. */
export function rangeSaid(type: FixtureType, attribute: NumberAttribute): FixtureType['ranges'][number] {
  const { min, max, home, fastest } = rangeOf(type, attribute)
  const said = type.ranges.find((range) => range.attribute === attribute)
  return { ...said, attribute, min, max, rest: home, fastest }
}

function workedOut(type: FixtureType, attribute: NumberAttribute): AttributeRange {
  const { unit, min, max, rest } = kindOf(attribute)
  const said = type.ranges.find((range) => range.attribute === attribute)
  const between = built(type, attribute) ?? said ?? { min, max }
  return {
    min: between.min,
    max: between.max,
    home: Math.min(between.max, Math.max(between.min, said?.rest ?? restOf(attribute, between) ?? rest)),
    unit: unit === 'place' || unit === 'colour' ? 'level' : unit,
    fastest: unit === 'turn' ? (said?.fastest ?? USUAL_SPIN) : null,
  }
}

/** The range that follows from how a type is built; null where it is free. */
function built(type: FixtureType, attribute: NumberAttribute): { min: number; max: number } | null {
  if (attribute === LEADING.width) return zoomRange(type.optics) ?? fixedLens(type)
  const wheel = wheelOf(type, attribute)
  if (wheel !== null) return { min: 0, max: wheel.slots.length - 1 }
  return kindOf(attribute).wheel ? { min: 0, max: 0 } : null
}

/** A zoom rests in its middle. */
function restOf(attribute: NumberAttribute, { min, max }: { min: number; max: number }): number | null {
  return attribute === LEADING.width ? (min + max) / 2 : null
}

function fixedLens(type: FixtureType) {
  const beam = type.optics[0]?.beam ?? 0
  return { min: beam, max: beam }
}

/** The wheel an attribute turns; null for one that turns none. */
export function wheelOf(type: FixtureType, attribute: NumberAttribute): Wheel | null {
  const turned = kindOf(attribute).wheel
  if (!turned) return null
  return type.wheels.filter(({ kind }) => kind === turned)[nthOf(attribute) - 1] ?? null
}

/** What a pool may be across, metres. */
export const POOL_RANGE: AttributeRange = { min: 0, max: 200, home: 2, unit: 'metres', fastest: null }
