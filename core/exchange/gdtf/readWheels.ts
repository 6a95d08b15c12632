/** Wheels as they are written, in the order of what turns them here: the first gobo wheel for gobo 1. */
import type { NumberAttribute } from '../../attributes/attribute'
import { kindOf, nthOf } from '../../attributes/attribute'
import { WHEEL_KINDS, type WheelKind } from '../../attributes/catalogue'
import { GOBO_PATTERNS } from '../../light/goboOpenings'
import type { Wheel } from '../../show/entities'
import { attributeOf, childOf, childrenOf, type Element } from '../xml/xml'
import { hexOfLight, readColour } from './colourText'
import type { Notes } from '../notes'
import type { ReadFunction } from './readChannels'

/** A function that picks the slots of a wheel, and what it does here. */
export interface WheelUse {
  readonly role: NumberAttribute
  readonly by: ReadFunction
}

const MOST_SLOTS = 40

/** The wheels that modes turn, each kind in its order. A wheel that is not described is made of its steps. */
export function readWheels(type: Element, uses: readonly WheelUse[], notes: Notes): Wheel[] {
  const described = new Map(childrenOf(childOf(type, 'Wheels'), 'Wheel').map((one) => [attributeOf(one, 'Name'), one]))
  return WHEEL_KINDS.flatMap((kind) => wheelsOf(kind, uses, described, notes))
}

function wheelsOf(
  kind: WheelKind,
  uses: readonly WheelUse[],
  described: ReadonlyMap<string, Element>,
  notes: Notes,
): Wheel[] {
  const ofKind = uses.filter(({ role }) => kindOf(role).wheel === kind)
  const most = Math.max(0, ...ofKind.map(({ role }) => nthOf(role)))
  return Array.from({ length: most }, (_, i) => {
    const turned = ofKind.filter(({ role }) => nthOf(role) === i + 1)
    const name = turned.find(({ by }) => by.wheel !== '')?.by.wheel ?? ''
    const element = described.get(name)
    const slots = element ? slotsOf(element, kind) : slotsOfSteps(turned, kind)
    const shown = name || `${kind} wheel ${i + 1}`
    if (slots.length > MOST_SLOTS) notes.lost(shown, `has ${slots.length} slots; the first ${MOST_SLOTS} come in`)
    while (slots.length < 2) slots.push(slotNamed(slots.length === 0 ? 'Open' : 'Slot 2', kind))
    return { kind, name: shown.slice(0, 120), slots: slots.slice(0, MOST_SLOTS) }
  })
}

type Slot = Wheel['slots'][number]

function slotNamed(name: string, kind: WheelKind, colour: string | null = null): Slot {
  return { name: name.slice(0, 120) || 'Slot', colour: kind === 'colour' ? (colour ?? '#ffffff') : null, pattern: null }
}

function slotsOf(wheel: Element, kind: WheelKind): Slot[] {
  return childrenOf(wheel, 'Slot').map((slot, i) => {
    const colour = readColour(attributeOf(slot, 'Color'))
    const made = slotNamed(attributeOf(slot, 'Name') || `Slot ${i + 1}`, kind, colour && hexOfLight(colour))
    if (kind === 'gobo') return { ...made, pattern: patternOf(attributeOf(slot, 'MediaFileName'), made.name) }
    const facets = childrenOf(slot, 'Facet').length
    return facets > 0 ? { ...made, facets: Math.min(64, facets) } : made
  })
}

/** Our own pictures have the names of the patterns; an open slot has none. */
function patternOf(picture: string, name: string): Slot['pattern'] {
  const known = GOBO_PATTERNS.find((pattern) => pattern === picture.replace(/\.\w+$/, ''))
  return known ?? (picture === '' && /^(open|white|none)$/i.test(name) ? 'open' : null)
}

function slotsOfSteps(turned: readonly WheelUse[], kind: WheelKind): Slot[] {
  const names: string[] = []
  for (const { by } of turned) for (const { name, slot } of by.sets) if (slot !== null) names[slot] ??= name
  return Array.from(names, (name, i) => slotNamed(name ?? `Slot ${i + 1}`, kind))
}
