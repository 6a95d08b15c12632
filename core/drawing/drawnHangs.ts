/**
 * Where fixtures are drawn in plan. On a boom they hang above each other, which a plan would draw
 * as one: there they are set apart upstage of it, joined by a dashed line.
 */
import { hangDirection } from '../geometry/frame'
import { add, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { HOME } from '../kinematics/head'
import type { FixtureId } from '../show/ids'
import { derived } from '../show/derived'
import type { FixtureType } from '../show/entities'
import {
  HANG_KINDS,
  hangsOf,
  rigOf,
  untypedOf,
  withCells,
  type HangKind,
  type RiggedFixture,
  type RiggedHang,
  type UntypedFixture,
} from '../show/rig'
import type { ShowPart } from '../show/show'

export interface DrawnFixture {
  readonly id: FixtureId
  readonly number: number
  /** Null for a fixture without a type. */
  readonly form: FixtureType['form'] | null
  readonly isStanding: boolean
  readonly at: Vec3
  /** All the fixtures this one sign stands for, and what is written at it. */
  readonly members: readonly FixtureId[]
  readonly label: string
  /** Its light sources, where it has several. */
  readonly cells: readonly DrawnCell[]
}

export interface DrawnCell {
  readonly id: FixtureId
  readonly at: Vec3
}
/** Always the same one, so that what is drawn of fixtures without stays as it is. */
export const NO_CELLS: readonly DrawnCell[] = []

export interface DrawnHang {
  readonly hang: RiggedHang
  readonly from: Vec3
  readonly to: Vec3
  readonly isUpright: boolean
  readonly fixtures: readonly DrawnFixture[]
}

const UPRIGHT_RISE = 45
const APART = 1.6

/** The hangs of the venue in play as a plan draws them; the same ones as long as the rig is. */
export const drawnHangs = derived(HANG_KINDS, (show): readonly DrawnHang[] =>
  hangsOf(show).map((hang) => {
    const isUpright = Math.abs(hang.place.rise) >= UPRIGHT_RISE
    const { origin, length } = hang.place
    if (!isUpright) {
      const half = scale(hangDirection(hang.place), length / 2)
      const fixtures = [
        ...hang.fixtures.map((rigged) => alone(show, rigged, rigged.mount.pivot)),
        ...untypedOf(show).flatMap((other) => (other.place.hang === hang.id ? [withoutType(other)] : [])),
      ]
      return { hang, from: add(origin, scale(half, -1)), to: add(origin, half), isUpright, fixtures }
    }
    const middle = (hang.fixtures.length - 1) / 2
    const fixtures = hang.fixtures.map((rigged, i) =>
      alone(show, rigged, add(origin, vec3(0, (i - middle) * APART, 0))),
    )
    const reach = vec3(0, (middle + 0.35) * APART, 0)
    return { hang, from: add(origin, scale(reach, -1)), to: add(origin, reach), isUpright, fixtures }
  }),
)

/** The cells of a fixture that is drawn at a spot. */
export function drawnCells(show: ShowPart<HangKind>, { cells, mount }: RiggedFixture, at: Vec3): readonly DrawnCell[] {
  if (cells.length === 0) return NO_CELLS
  return cells.flatMap((id) => {
    const cell = rigOf(show).get(id)
    return cell ? [{ id, at: add(at, subtract(beamAt(cell.mount, HOME).lens, mount.pivot)) }] : []
  })
}

function alone(show: ShowPart<HangKind>, rigged: RiggedFixture, at: Vec3): DrawnFixture {
  const { id, fixture, type, place } = rigged
  return {
    id,
    number: fixture.number,
    form: type.form,
    isStanding: isStanding(place.roll),
    at,
    members: withCells(show, id),
    label: String(fixture.number),
    cells: drawnCells(show, rigged, at),
  }
}

/** A fixture without a type, where it is mounted. */
export function withoutType({ id, fixture, place, at }: UntypedFixture): DrawnFixture {
  const { number } = fixture
  return {
    id,
    number,
    form: null,
    isStanding: isStanding(place.roll),
    at,
    members: [id],
    label: String(number),
    cells: NO_CELLS,
  }
}

export function isStanding(roll: number): boolean {
  return Math.abs(roll) > 90
}

/** The drawn spot of every fixture. */
export const drawnSpots = derived(
  HANG_KINDS,
  (show): ReadonlyMap<FixtureId, Vec3> =>
    new Map(
      drawnHangs(show).flatMap(({ fixtures }) =>
        fixtures.flatMap((one) => [one, ...one.cells]).map(({ id, at }) => [id, at]),
      ),
    ),
)
