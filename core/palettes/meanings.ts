/**
 * Values that mean the same on other types: a mixed colour as the nearest slot of a colour wheel and
 * the other way round, a gobo as the slot of the same pattern.
 */
import { LEADING } from '../attributes/catalogue'
import { wheelOf } from '../show/attributeRange'
import type { FixtureType } from '../show/entities'
import { asFixtureTypeId, type FixtureTypeId } from '../show/ids'
import { kindOf, type Attribute, type NumberAttribute } from '../attributes/attribute'
import type { Show } from '../show/show'
import type { Colour } from '../colour/colour'
import { nearestSlot } from '../colour/nearestSlot'
import { colourWheelOf, coloursOf } from '../show/colours'
import type { ReachingValue } from './reach'

/** A slot that was chosen for a type; `distance` is how far its colour is off, ΔE 2000, 0 for the same gobo. */
export interface ChosenSlot {
  readonly type: FixtureTypeId
  readonly slot: string
  readonly distance: number
}

export interface Completed {
  readonly values: readonly ReachingValue[]
  readonly chosen: readonly ChosenSlot[]
}

const isGobo = (attribute: Attribute): attribute is NumberAttribute => kindOf(attribute).wheel === 'gobo'

/** The colour that values say for any fixture, or by the slot of a type. */
function colourSaid(show: Show, values: readonly ReachingValue[]): Colour | null {
  const said = values.find(({ whom, value }) => whom === 'any' && value.kind === 'colour')?.value
  if (said?.kind === 'colour') return said
  for (const { whom, attribute, value } of values) {
    if (attribute !== LEADING.glass || whom === 'any' || !('kind' in whom) || value.kind !== 'number') continue
    const type = show.all.fixtureType.get(whom.kind)
    const wheel = type && colourWheelOf(type)
    const colour = wheel && coloursOf(wheel)[value.number]
    if (colour) return colour
  }
  return null
}

/** What may be added to values: what masks let through, and a palette does not hold already. */
export interface Room {
  takes(attribute: Attribute): boolean
  /** Whether something is held for a type, or for any, already. */
  holds(whom: FixtureTypeId | 'any', attribute: Attribute): boolean
}

/** A palette yet to be made, without a mask. */
export const EMPTY: Room = { takes: () => true, holds: () => false }

/** Values for types and for any, with what they mean on the types they leave out. Nothing recorded is written over. */
export function completed(show: Show, values: readonly ReachingValue[], room: Room): Completed {
  const added: ReachingValue[] = []
  const chosen: ChosenSlot[] = []
  const isFree = (whom: FixtureTypeId | 'any', attribute: Attribute) =>
    room.takes(attribute) && !room.holds(whom, attribute) && !isSaid(values, attribute, whom)
  const colour = colourSaid(show, values)
  if (colour && isFree('any', LEADING.colour))
    added.push({
      whom: 'any',
      attribute: LEADING.colour,
      value: { kind: 'colour', x: colour.x, y: colour.y, level: colour.level },
    })
  for (const [key, type] of show.all.fixtureType) {
    const kind = asFixtureTypeId(key)
    if (colour && isFree(kind, LEADING.glass)) addColour(type, kind, colour, added, chosen)
    for (const attribute of type.has.filter(isGobo)) {
      const pattern = patternSaid(show, values, attribute)
      const wheel = wheelOf(type, attribute)
      const slot = pattern && wheel ? wheel.slots.findIndex((s) => s.pattern === pattern) : -1
      if (slot < 0 || !isFree(kind, attribute)) continue
      added.push({ whom: { kind }, attribute, value: { kind: 'number', number: slot } })
      chosen.push({ type: kind, slot: wheel?.slots[slot]?.name ?? '', distance: 0 })
    }
  }
  return { values: [...values, ...added], chosen }
}

function isSaid(values: readonly ReachingValue[], attribute: Attribute, whom: FixtureTypeId | 'any'): boolean {
  return values.some(
    (v) => v.attribute === attribute && (v.whom === 'any' ? whom === 'any' : 'kind' in v.whom && v.whom.kind === whom),
  )
}

function addColour(
  type: FixtureType,
  kind: FixtureTypeId,
  colour: Colour,
  added: ReachingValue[],
  chosen: ChosenSlot[],
) {
  const wheel = colourWheelOf(type)
  if (!wheel || type.has.includes(LEADING.colour) || !type.has.includes(LEADING.glass)) return
  const nearest = nearestSlot(coloursOf(wheel), colour)
  if (!nearest) return
  added.push({ whom: { kind }, attribute: LEADING.glass, value: { kind: 'number', number: nearest.slot } })
  chosen.push({ type: kind, slot: wheel.slots[nearest.slot]?.name ?? '', distance: nearest.difference })
}

function patternSaid(show: Show, values: readonly ReachingValue[], attribute: NumberAttribute) {
  for (const { whom, attribute: of, value } of values) {
    if (of !== attribute || whom === 'any' || !('kind' in whom) || value.kind !== 'number') continue
    const type = show.all.fixtureType.get(whom.kind)
    const pattern = type && wheelOf(type, attribute)?.slots[value.number]?.pattern
    if (pattern) return pattern
  }
  return null
}

/** "Heron 180: Amber, 12 off": slots chosen by colour, as they are told. */
export function chosenInWords(show: Show, chosen: readonly ChosenSlot[]): string {
  return chosen
    .map(({ type, slot, distance }) => {
      const name = show.all.fixtureType.get(type)?.name ?? ''
      return `${name}: ${slot}${distance < 1 ? '' : `, ${Math.round(distance)} off`}`
    })
    .join('; ')
}
