/** What of a drawing can lie under the plan of the venue in play, layer by layer, and where it lies. */
import { vec3 } from '../../geometry/vector'
import type { Underlay } from '../../show/entities'
import { normalisedName } from '../../show/names'
import type { Show } from '../../show/show'
import type { UnderlayPlace } from '../../show/underlays'
import { underlaysOf } from '../../show/underlays'
import { onStage, type Placement } from '../mvr/placement'
import { keyOf, type RigItem } from '../mvr/rigItem'
import type { ReadUnderlay } from '../mvr/rigReading'
import type { LinesFile } from './linesFile'

/** A picture is one thing, under this key. */
const PICTURE = keyOf('underlay', 'picture')
const keyOfLayer = (name: string) => keyOf('underlay', `layer ${name}`)

/** What can be laid under the plan: where a layer has bodies too these are suggested, and not its lines. */
export function underlayItems(show: Show, read: ReadUnderlay): RigItem[] {
  const isKnown = underlaysOf(show).some(([, { name }]) => normalisedName(name) === normalisedName(read.name))
  const words = read.form === 'picture' ? 'a picture' : 'lines to trace on'
  const item = (key: string, name: string, suggested: boolean): RigItem => ({
    key,
    kind: 'underlay',
    name,
    what: 'new',
    before: '',
    after: isKnown ? `${words}, in place of those there` : words,
    suggested,
  })
  if (read.form === 'picture') return [item(PICTURE, read.name, true)]
  return read.layers.map(({ name, hasLines }) => ({
    ...item(keyOfLayer(name), name || 'in no layer', hasLines),
    layer: name,
  }))
}

/** The lines of the layers that are taken; null where none is, or it is a picture. */
export function linesTaken(read: ReadUnderlay, isTaken: (key: string) => boolean): LinesFile | null {
  const layers = read.layers.filter(({ name }) => isTaken(keyOfLayer(name)))
  return layers.length > 0 ? { layers: layers.map(({ name, path }) => ({ name, path })) } : null
}

export const isPictureTaken = (read: ReadUnderlay, isTaken: (key: string) => boolean) =>
  read.form === 'picture' && isTaken(PICTURE)

/** Where it lies once the drawing is placed. */
export function underlayPlaced({ corner }: ReadUnderlay, placement: Placement): UnderlayPlace {
  const { scale, mirrored, turn } = placement
  const { x, y } = onStage(placement, vec3(corner.x, corner.y, 0))
  return { scale, mirrored, turn, x, y }
}

/** What the record of an underlay says of what was read, besides the file and the venue. */
export function underlayFields(
  read: ReadUnderlay,
  placement: Placement,
): Pick<Underlay, 'name' | 'form' | 'width' | 'height' | keyof UnderlayPlace> {
  const { name, form, width, height } = read
  return { name, form, width, height, ...underlayPlaced(read, placement) }
}
