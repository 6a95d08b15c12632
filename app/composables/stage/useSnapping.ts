/** Snaps what is dragged to the centre and setting line, to other things' places, and to a grid. */
import { add, type Vec3 } from '#core/geometry/vector'
import { snapPoint, type SnapLines } from '#core/rig/snap'
import { hangsOf } from '#core/show/rig'
import { setPiecesOf } from '#core/show/setPieces'
import type { Show } from '#core/show/show'
import { pointOn, targetsOf } from '#core/show/targets'
import { useStage } from '../../stores/stage'

/** Metres: the grid of a free drag, and the finest anybody sets by hand. */
export const GRID = 0.05
const FINE = 0.01
/** Pixels within which a line catches. */
const REACH = 7

/** The places of everything but the thing itself. */
function linesOf(show: Show, except: string): SnapLines {
  const places = [
    ...hangsOf(show).map(({ id, place }) => ({ id, at: place.origin })),
    ...setPiecesOf(show).map(({ id, place }) => ({ id, at: place.position })),
    ...[...targetsOf(show).values()].map((placed) => ({ id: placed.id, at: pointOn(placed, null) })),
  ].filter(({ id }) => id !== except)
  const on = (axis: 'x' | 'y' | 'z') => [0, ...places.map(({ at }) => at[axis])]
  return { x: on('x'), y: on('y'), z: on('z') }
}

export function useSnapping(scale: () => number) {
  const stage = useStage()
  let known: { show: Show; except: string; lines: SnapLines } | null = null

  /** Where a thing goes when it is dragged `by` so much; `isFree` (Alt held) catches on nothing. */
  function snapped(show: Show, thing: string, from: Vec3, by: Vec3, isFree: boolean): Vec3 {
    if (isFree) {
      stage.guides = null
      const fine = (n: number) => Math.round(n / FINE) * FINE
      const to = add(from, by)
      return { x: by.x ? fine(to.x) : to.x, y: by.y ? fine(to.y) : to.y, z: by.z ? fine(to.z) : to.z }
    }
    if (known?.show !== show || known.except !== thing) known = { show, except: thing, lines: linesOf(show, thing) }
    const { point, lines } = snapPoint(from, by, known.lines, REACH / scale(), GRID)
    stage.guides = lines
    return point
  }

  return { snapped, release: () => (stage.guides = null) }
}
