/** How long what a fixture is made of takes to be somewhere else: wheels, lenses, blades, flags. */
import { kindOf, isNumberAttribute, type Attribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import { rangeOf, type AttributeRange } from './attributeRange'
import type { FixtureType } from './entities'
import type { PlainValue } from './values'

/** Seconds an attribute of a type takes from one end to the other: as the type says, else as usual; null for what no motor moves. */
export function endToEndOf(type: FixtureType, attribute: Attribute): number | null {
  const { endToEnd } = kindOf(attribute)
  if (endToEnd === undefined || (attribute === LEADING.colour && type.mixing?.kind !== 'flags')) return null
  return type.ranges.find((range) => range.attribute === attribute)?.endToEnd ?? endToEnd
}

/**
 * Seconds an attribute of a type takes from one value to another, null for what it rests at; 0 for
 * what no motor moves. What a head's motors need for its place is told by `moveTime`.
 */
export function settleTime(type: FixtureType, attribute: Attribute, from: PlainValue | null, to: PlainValue | null) {
  const endToEnd = endToEndOf(type, attribute)
  if (endToEnd === null) return 0
  if (!isNumberAttribute(attribute)) return endToEnd
  const range = rangeOf(type, attribute)
  return endToEnd * partBetween(range, numberOr(from, range.home), numberOr(to, range.home))
}

/** What is asked for in another way, as a pool or a spin is, may lie anywhere: null. */
function numberOr(value: PlainValue | null, home: number): number | null {
  if (value === null) return home
  return value.kind === 'number' ? value.number : null
}

/** How much of its range lies between two numbers, 0 to 1; all of it where one is not known. */
function partBetween({ min, max, unit }: AttributeRange, from: number | null, to: number | null): number {
  if (from === null || to === null) return 1
  if (max <= min) return 0
  const off = Math.abs(to - from)
  const shorter = unit === 'turn' ? Math.min(off % 360, 360 - (off % 360)) : off
  return Math.min(1, shorter / (max - min))
}
