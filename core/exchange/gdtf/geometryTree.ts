/**
 * The geometry of a fixture type: a tree of parts, each with its frame in the one above. Metres. A
 * position is four rows of four numbers for column vectors, the translation last in each of the first three.
 */
import { UPRIGHT, within, type Frame } from '../../geometry/frame'
import { squared } from '../../geometry/rotation'
import { vec3 } from '../../geometry/vector'
import { attributeOf, childrenOf, numberFrom, NotReadable, type Element } from '../xml/xml'

/** Where the channels of a reference start, by break, from 1. */
export interface Break {
  readonly number: number
  readonly offset: number
}

/** A part as it stands in the fixture frame while nothing turns. */
export interface Part {
  readonly name: string
  readonly tag: string
  readonly element: Element
  readonly frame: Frame
  readonly above: Part | null
  /** The name channels of its template go by, and where they start; null for what is no reference. */
  readonly template: { readonly name: string; readonly breaks: readonly Break[] } | null
}

/** More parts than this are a tree made to swell by references to references. */
const MOST_PARTS = 5000

/** The parts below the top geometry of a mode, each reference as the part it stands for; throws NotReadable. */
export function partsBelow(geometries: Element | null, top: string): Part[] {
  const tops = new Map(childrenOf(geometries).map((one) => [attributeOf(one, 'Name'), one]))
  const root = tops.get(top) ?? childrenOf(geometries)[0]
  if (!root) throw new NotReadable('it has no geometry')
  const parts: Part[] = []
  place(root, UPRIGHT, null, [], parts, tops)
  return parts
}

function place(
  element: Element,
  outer: Frame,
  above: Part | null,
  inside: readonly string[],
  parts: Part[],
  tops: ReadonlyMap<string, Element>,
): void {
  if (parts.length > MOST_PARTS) throw new NotReadable(`its geometry has more than ${MOST_PARTS} parts`)
  const name = attributeOf(element, 'Name')
  const frame = within(outer, frameOf(attributeOf(element, 'Position')))
  const stands = element.localName === 'GeometryReference' ? attributeOf(element, 'Geometry') : null
  const shape = stands === null ? element : tops.get(stands)
  if (!shape) throw new NotReadable(`${name || 'a reference'} refers to the geometry “${stands}”, which is not there`)
  if (stands !== null && inside.includes(stands)) throw new NotReadable(`the geometry “${stands}” refers to itself`)
  const template = stands === null ? null : { name: stands, breaks: breaksOf(element) }
  const part = { name, tag: shape.localName ?? '', element: shape, frame, above, template }
  parts.push(part)
  for (const child of childrenOf(shape))
    if (child.localName !== 'Break')
      place(child, frame, part, stands === null ? inside : [...inside, stands], parts, tops)
}

function breaksOf(reference: Element): Break[] {
  return childrenOf(reference, 'Break').map((one) => ({
    number: numberFrom(attributeOf(one, 'DMXBreak')) ?? 1,
    offset: numberFrom(attributeOf(one, 'DMXOffset')) ?? 1,
  }))
}

/** The frame a position tells; upright where it is missing. Throws NotReadable for one that is no frame. */
export function frameOf(text: string): Frame {
  if (text === '') return UPRIGHT
  const n = [...text.matchAll(/\{([^{}]*)\}/g)].map(([, row = '']) =>
    row.split(',').map((one) => numberFrom(one.trim())),
  )
  const at = (row: number, column: number) => n[row]?.[column] ?? Number.NaN
  const column = (i: number) => vec3(at(0, i), at(1, i), at(2, i))
  const made = squared(column(0), column(1), column(2))
  const origin = column(3)
  if (!made || Number.isNaN(origin.x + origin.y + origin.z)) throw new NotReadable(`“${text}” is no position`)
  return { origin, rotation: made.rotation }
}
