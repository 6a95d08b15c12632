/**
 * Values as they are stored: what the database would hold otherwise than memory does is made alike
 * before it is written.
 */
import type { Json } from './json'

/** Numbers of groups, palettes, lists and cues are kept to three decimals. */
export function asEntryNumber(number: number): number {
  return Math.round(number * 1000) / 1000
}

/** Kinds whose number is such a one, by the start of their registers. */
const NUMBERED = ['group/', 'palette/', 'cueList/', 'cue/']

/** What a register comes to hold when a value is written to it; the value itself where it is fit already. */
export function asStored(register: string, value: Json | undefined): Json | undefined {
  const isEntryNumber =
    typeof value === 'number' && register.endsWith('/number') && NUMBERED.some((kind) => register.startsWith(kind))
  if (isEntryNumber) return asEntryNumber(value)
  return value !== undefined && hasNegativeZero(value) ? withoutNegativeZero(value) : value
}

function hasNegativeZero(value: Json): boolean {
  if (typeof value === 'number') return Object.is(value, -0)
  return typeof value === 'object' && value !== null && Object.values(value).some(hasNegativeZero)
}

/** Zero has no sign in a table. */
function withoutNegativeZero(value: Json): Json {
  if (typeof value === 'number') return value + 0
  if (typeof value !== 'object' || value === null) return value
  if (Array.isArray(value)) return value.map(withoutNegativeZero)
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, withoutNegativeZero(inner)]))
}
