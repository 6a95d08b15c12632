/** Palettes a type asks for by itself: one a slot of its wheels, and steps over the range of whatever else it has. */
import { ticks } from 'd3-array'
import { attributeName, familyOf, isNumberAttribute, kindOf, type NumberAttribute } from '../attributes/attribute'
import { amountInWords } from '../show/amountInWords'
import { rangeOf, wheelOf } from '../show/attributeRange'
import type { FixtureType, Palette } from '../show/entities'
import type { Shelf } from '../attributes/families'
import type { FixtureTypeId } from '../show/ids'
import type { Show } from '../show/show'
import { colourDifference, colourOfHex } from '../colour/colour'
import { completed, EMPTY, type ChosenSlot } from './meanings'
import type { ReachingValue } from './reach'
import type { Amount } from '../show/values'

/** The parts of a type that offer palettes: the attributes of its own that hold amounts. */
export function partsOfType(show: Show, id: FixtureTypeId): NumberAttribute[] {
  const parts = (show.all.fixtureType.get(id)?.has ?? []).filter(isNumberAttribute)
  return parts.filter((part) => palettesOfType(show, id, part).length > 0)
}

/** A palette that could be made, with the slots chosen for other types. */
export interface OfferedPalette {
  readonly name: string
  readonly shelf: Shelf
  readonly colour: Palette['colour']
  /** The colour of its slot, as #rrggbb. */
  readonly swatch: string | null
  readonly values: readonly ReachingValue[]
  readonly chosen: readonly ChosenSlot[]
}

/**
 * What an attribute of a type offers, from its lowest to its highest: every slot of a wheel, else
 * steps over its range, and of what turns spins both ways. Empty where there is nothing to choose.
 */
export function palettesOfType(show: Show, id: FixtureTypeId, part: NumberAttribute): OfferedPalette[] {
  const type = show.all.fixtureType.get(id)
  if (!type?.has.includes(part)) return []
  const whom: ReachingValue['whom'] = kindOf(part).serves === 'any' ? 'any' : { kind: id }
  return wheelOf(type, part) ? slotPalettes(show, type, part, whom) : rangePalettes(type, part, whom)
}

function slotPalettes(
  show: Show,
  type: FixtureType,
  part: NumberAttribute,
  whom: ReachingValue['whom'],
): OfferedPalette[] {
  return (wheelOf(type, part)?.slots ?? []).map((slot, number) => {
    const stored: ReachingValue = { whom, attribute: part, value: { kind: 'number', number } }
    const { values, chosen } = completed(show, [stored], EMPTY)
    return {
      name: slot.name,
      shelf: familyOf(part),
      colour: markFor(slot.colour),
      swatch: slot.colour,
      values,
      chosen,
    }
  })
}

function rangePalettes(type: FixtureType, part: NumberAttribute, whom: ReachingValue['whom']): OfferedPalette[] {
  return amountsOf(type, part).map((value) => ({
    name: capitalised(`${attributeName(part)} ${amountInWords(value, part, type)}`.replace('.0', '')),
    shelf: familyOf(part),
    colour: 'shoal',
    swatch: null,
    values: [{ whom, attribute: part, value }],
    chosen: [],
  }))
}

const STEPS = 5
/** Angles something stands at, degrees, and spins, turns a minute: as far as a type goes. */
const EIGHTHS = [-135, -90, -45, 0, 45, 90, 135, 180]
const SPINS = [-30, -10, -2, 2, 10, 30]

function amountsOf(type: FixtureType, part: NumberAttribute): Amount[] {
  const { min, max, fastest } = rangeOf(type, part)
  if (max <= min) return []
  const standing = kindOf(part).unit === 'turn' ? EIGHTHS : [...new Set([min, ...ticks(min, max, STEPS), max])]
  const spins = fastest === null ? [] : SPINS.filter((rpm) => Math.abs(rpm) <= fastest)
  return [
    ...standing
      .filter((number) => number >= min && number <= max)
      .map((number) => ({ kind: 'number', number }) as const),
    ...spins.map((rpm) => ({ kind: 'spin', rpm }) as const),
  ]
}

const capitalised = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** Roughly what the mark colours of palettes look like, for choosing the one nearest to a slot. */
const MARKS: Readonly<Record<Palette['colour'], string>> = {
  brass: '#e0bb62',
  coral: '#ff8364',
  kelp: '#86c79a',
  shoal: '#7cc0cf',
  heather: '#a99be0',
  rose: '#e58bb0',
  amber: '#f0a04b',
  sail: '#eef2ea',
}

function markFor(colour: string | null): Palette['colour'] {
  const wanted = colour === null ? null : colourOfHex(colour)
  if (!wanted) return 'heather'
  const marks: readonly Palette['colour'][] = ['brass', 'coral', 'kelp', 'shoal', 'heather', 'rose', 'amber', 'sail']
  const off = (mark: Palette['colour']) => {
    const marked = colourOfHex(MARKS[mark])
    return marked ? colourDifference(wanted, marked) : Number.POSITIVE_INFINITY
  }
  return marks.reduce((best, mark) => (off(mark) < off(best) ? mark : best), 'sail')
}
