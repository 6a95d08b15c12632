/**
 * Hangs in a section: where they truly are. A bar seen end on draws all its fixtures at one spot,
 * so those that would lie on each other are drawn once, with the range of their numbers.
 */
import { hangDirection } from '../geometry/frame'
import { add, scale } from '../geometry/vector'
import { derived } from '../show/derived'
import type { FixtureId } from '../show/ids'
import {
  HANG_KINDS,
  hangsOf,
  untypedOf,
  withCells,
  type HangKind,
  type RiggedFixture,
  type RiggedHang,
} from '../show/rig'
import type { ShowPart } from '../show/show'
import { drawnCells, isStanding, NO_CELLS, withoutType, type DrawnFixture, type DrawnHang } from './drawnHangs'
import { FRONT, SIDE, type Projection } from './projections'

/** Nearer than this on the drawing, two fixtures are drawn as one; metres. */
const ONE_SPOT = 0.2

/** The hangs of the venue in play from either side; the same ones as long as the rig is. */
export const SECTION_HANGS = {
  side: derived(HANG_KINDS, (show) => hangsSeen(show, SIDE)),
  front: derived(HANG_KINDS, (show) => hangsSeen(show, FRONT)),
} as const

function hangsSeen(show: ShowPart<HangKind>, { project }: Projection): readonly DrawnHang[] {
  return hangsOf(show).map((hang) => {
    const { origin, length } = hang.place
    const half = scale(hangDirection(hang.place), length / 2)
    const from = add(origin, scale(half, -1))
    const to = add(origin, half)
    const untyped = untypedOf(show).flatMap((other) => (other.place.hang === hang.id ? [withoutType(other)] : []))
    return { hang, from, to, isUpright: false, fixtures: [...clusters(show, hang, project), ...untyped] }
  })
}

function clusters(show: ShowPart<HangKind>, hang: RiggedHang, project: Projection['project']): DrawnFixture[] {
  const groups: { at: { across: number; up: number }; members: RiggedFixture[] }[] = []
  for (const rigged of hang.fixtures) {
    const at = project(rigged.mount.pivot)
    const near = groups.find((g) => Math.hypot(g.at.across - at.across, g.at.up - at.up) < ONE_SPOT)
    if (near) near.members.push(rigged)
    else groups.push({ at, members: [rigged] })
  }
  return groups.flatMap(({ members }) => {
    const [first] = members
    if (!first) return []
    return [
      {
        id: first.id,
        number: first.fixture.number,
        form: first.type.form,
        isStanding: isStanding(first.place.roll),
        at: first.mount.pivot,
        members: members.flatMap(({ id }) => withCells(show, id)),
        label: labelOf(members),
        cells: members.length === 1 ? drawnCells(show, first, first.mount.pivot) : NO_CELLS,
      },
    ]
  })
}

function labelOf(members: readonly RiggedFixture[]): string {
  const numbers = members.map(({ fixture }) => fixture.number).sort((a, b) => a - b)
  const first = String(numbers[0] ?? '')
  return numbers.length === 1 ? first : `${first}–${numbers.at(-1) ?? ''}`
}

/** The drawn spot of every fixture in a section. */
export function sectionSpots(hangs: readonly DrawnHang[]): ReadonlyMap<FixtureId, RiggedFixture['mount']['pivot']> {
  const heads = hangs.flatMap(({ hang }) => hang.fixtures.map(({ id, mount }) => [id, mount.pivot] as const))
  const cells = hangs.flatMap(({ fixtures }) =>
    fixtures.flatMap((one) => one.cells.map(({ id, at }) => [id, at] as const)),
  )
  return new Map([...heads, ...cells])
}
