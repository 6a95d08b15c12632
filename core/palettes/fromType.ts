/** Palettes a type asks for by itself: one a gobo, one a colour of its wheel, and those of its beam. */
import { z } from 'zod'
import { numberAttributeId, isNumberAttribute, familyOf } from '../attributes/attribute'
import { zoomRange } from '../light/optics'
import { wheelOf } from '../show/attributeRange'
import type { FixtureType, Palette } from '../show/entities'
import type { Shelf } from '../attributes/families'
import type { FixtureTypeId } from '../show/ids'
import type { Show } from '../show/show'
import { colourDifference, colourOfHex } from '../colour/colour'
import { completed, EMPTY, type ChosenSlot } from './meanings'
import type { ReachingValue } from './reach'

/** A wheel of a type, by the attribute that turns it, or its beam. */
export const typePart = z.union([numberAttributeId, z.literal('beam')])
export type TypePart = z.infer<typeof typePart>

/** The parts of a type that offer palettes. */
export function partsOfType(show: Show, id: FixtureTypeId): TypePart[] {
  const wheels = (show.all.fixtureType.get(id)?.has ?? []).filter(isNumberAttribute)
  return [...wheels, 'beam' as const].filter((part) => palettesOfType(show, id, part).length > 0)
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

/** What a part of a type offers, in the order of its slots; empty when it has none. */
export function palettesOfType(show: Show, id: FixtureTypeId, part: TypePart): OfferedPalette[] {
  const type = show.all.fixtureType.get(id)
  if (!type) return []
  if (part === 'beam') return beamPalettes(type, id)
  const wheel = type.has.includes(part) ? wheelOf(type, part) : null
  if (!wheel) return []
  return wheel.slots.map((slot, number) => {
    const stored: ReachingValue = { whom: { kind: id }, attribute: part, value: { kind: 'number', number } }
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

function beamPalettes(type: FixtureType, id: FixtureTypeId): OfferedPalette[] {
  const zoom = zoomRange(type.optics)
  const offered = (name: string, attribute: 'zoom' | 'edge' | 'iris', number: number): OfferedPalette[] =>
    type.has.includes(attribute)
      ? [
          {
            name,
            shelf: 'beam',
            colour: 'shoal',
            swatch: null,
            values: [{ whom: { kind: id }, attribute, value: { kind: 'number', number } }],
            chosen: [],
          },
        ]
      : []
  return [
    ...(zoom && zoom.max > zoom.min
      ? [
          ...offered('Narrow', 'zoom', zoom.min),
          ...offered('Medium', 'zoom', (zoom.min + zoom.max) / 2),
          ...offered('Wide', 'zoom', zoom.max),
        ]
      : []),
    ...offered('Hard edge', 'edge', 0),
    ...offered('Soft edge', 'edge', 1),
    ...offered('Iris half', 'iris', 0.5),
  ]
}

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
