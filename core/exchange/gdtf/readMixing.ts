/** How a type mixes colours, off its emitters and filters. */
import { colourPart, USUAL_EMITTERS, USUAL_FLAGS, type UsualPart } from '../../attributes/colourPart'
import { whiteOf } from '../../colour/colour'
import type { FixtureType } from '../../show/entities'
import { attributeOf, childOf, childrenOf, type Element } from '../xml/xml'
import { readColour, type LightColour } from './colourText'
import type { Notes } from '../notes'
import type { ReadFunction } from './readChannels'
import { partOfStandard } from './standardAttributes'

export interface ReadMixing {
  readonly mixing: FixtureType['mixing']
  /** What each attribute that mixes is called here. */
  readonly names: ReadonlyMap<string, string>
}

/** The emitter that stands for the light before the flags. */
export const SOURCE = 'Source'
const MOST_PARTS = 12

/** Emitters where any adds, else flags; null where nothing mixes. Where a part's colour is not told, the usual one is taken. */
export function readMixing(
  type: Element,
  functions: readonly ReadFunction[],
  kelvin: number,
  notes: Notes,
): ReadMixing {
  const mixing = functions.filter(({ attribute }) => partOfStandard(attribute) !== null)
  const adds = mixing.some(({ attribute }) => partOfStandard(attribute)?.kind === 'emitters')
  const of = new Map(
    mixing
      .filter(({ attribute }) => partOfStandard(attribute)?.kind === (adds ? 'emitters' : 'flags'))
      .map((one) => [one.attribute, one]),
  )
  if (of.size === 0) return { mixing: null, names: new Map() }
  if (of.size > MOST_PARTS) notes.lost('colour', `is mixed of ${of.size} parts; the first ${MOST_PARTS} come in`)
  const described = coloursOf(type, adds ? ['Emitters', 'Emitter'] : ['Filters', 'Filter'])
  const names = new Map<string, string>()
  const parts = [...of.values()].slice(0, MOST_PARTS).map((one) => {
    const part = partFrom(one, adds, described, notes)
    names.set(one.attribute, part.name)
    return part
  })
  if (adds) return { mixing: { kind: 'emitters', choice: 'brightest', parts: within(parts, 100) }, names }
  const source = coloursOf(type, ['Emitters', 'Emitter']).get(SOURCE) ?? whiteOf(kelvin)
  return { mixing: { kind: 'flags', source: { x: source.x, y: source.y }, parts: within(parts, 1) }, names }
}

/** Of 100 where any is more than there can be: files differ in what they count by. */
function within<P extends { readonly flux: number }>(parts: readonly P[], most: number): P[] {
  const top = Math.max(...parts.map(({ flux }) => flux))
  if (top <= most) return [...parts]
  const by = Math.max(100, top) / most
  return parts.map((part) => ({ ...part, flux: part.flux / by }))
}

function coloursOf(type: Element, [list, item]: readonly [string, string]): ReadonlyMap<string, LightColour> {
  const described = childrenOf(childOf(childOf(type, 'PhysicalDescriptions'), list), item)
  return new Map(
    described.flatMap((one) => {
      const colour = readColour(attributeOf(one, 'Color'))
      return colour ? [[attributeOf(one, 'Name'), colour] as const] : []
    }),
  )
}

const PLAIN = { x: 0.3127, y: 0.329, flux: 1 }

function partFrom(
  { attribute, emitter, filter }: ReadFunction,
  adds: boolean,
  described: ReadonlyMap<string, LightColour>,
  notes: Notes,
) {
  const given = adds ? emitter : filter
  const told = described.get(given) ?? null
  const usual = usualPart(attribute, adds)
  const name = partName(usual?.name ?? (told ? given : ''), attribute)
  if (!told) notes.look(name, `its colour is not told; ${usual ? 'the usual one' : 'white'} is taken`)
  const { x, y } = told ?? usual ?? PLAIN
  const flux = told && told.luminance > 0 ? told.luminance : (usual ?? PLAIN).flux
  return { name, x, y, flux }
}

function usualPart(attribute: string, adds: boolean): UsualPart | null {
  const known = partOfStandard(attribute)
  return known?.usual ?? (adds ? USUAL_EMITTERS : USUAL_FLAGS).find(({ name }) => name === known?.ending) ?? null
}

/** What a part is called; what no name here may hold is left out. */
function partName(called: string, attribute: string): string {
  if (colourPart(called)) return called
  return (partOfStandard(attribute)?.ending ?? '').replaceAll(/[^A-Za-z0-9]/g, '') || 'Part'
}
