/** Drawings and pictures that lie under the plan, and where each of their places is on the stage. */
import type { Underlay } from './entities'
import { asUnderlayId, type UnderlayId } from './ids'
import { showRecordOf, type Show } from './show'
import { DEGREE } from '../geometry/rotation'

/** Where an underlay lies; see its schema. */
export type UnderlayPlace = Pick<Underlay, 'scale' | 'mirrored' | 'turn' | 'x' | 'y'>

/** Those of the venue in play, by name. */
export function underlaysOf(show: Show): [id: UnderlayId, underlay: Underlay][] {
  const { venue } = showRecordOf(show)
  return [...show.all.underlay]
    .filter(([, underlay]) => underlay.venue === venue)
    .sort(([, a], [, b]) => a.name.localeCompare(b.name))
    .map(([id, underlay]) => [asUnderlayId(id), underlay])
}

/** What a step of one of its own units along each of its edges is on the stage, metres. */
export function underlayAxes({ scale, mirrored, turn }: Omit<UnderlayPlace, 'x' | 'y'>) {
  const [c, s] = [Math.cos(turn * DEGREE) * scale, Math.sin(turn * DEGREE) * scale]
  const way = mirrored ? -1 : 1
  return { right: { x: way * c + 0, y: way * s + 0 }, up: { x: -s + 0, y: c } }
}

/** A place of an underlay, in its own units from its lower left corner, on the stage, metres. */
export function underlayPoint(place: UnderlayPlace, along: number, up: number): { x: number; y: number } {
  const axes = underlayAxes(place)
  return {
    x: place.x + along * axes.right.x + up * axes.up.x,
    y: place.y + along * axes.right.y + up * axes.up.y,
  }
}
