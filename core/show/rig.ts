/** The rig as it hangs in the venue the show plays: a mount for every placed fixture. */
import { LEADING } from '../attributes/catalogue'
import { group, rollup } from 'd3-array'
import { byNumber, typeAsWhole, typeOfCell, wholeFixtures } from './cells'
import { cellId, placeId } from './compositeIds'
import type { FixtureType } from './entities'
import { fixtureFrame, mountingPoint } from '../geometry/frame'
import { fixtureOff, hangOff } from '../geometry/rigErrors'
import type { Vec3 } from '../geometry/vector'
import { AXES_RIGHT, withAxesOff, type AxesOff } from '../kinematics/axesOff'
import { mountHead, type Mount } from '../kinematics/head'
import { derived } from './derived'
import type { EntityOf } from './kinds'
import { asFixtureId, type FixtureId, type HangId } from './ids'
import { showRecordOf, type ShowPart } from './show'

/** A fixture with all that is needed to aim it. `place` and `hangPlace` are of the venue in play, as they really are: with their corrections. */
export interface RiggedFixture {
  readonly id: FixtureId
  /** The substitute that plays its values here; null where it hangs itself. */
  readonly by: FixtureId | null
  readonly fixture: EntityOf['fixture']
  readonly type: EntityOf['fixtureType']
  readonly place: EntityOf['fixturePlace']
  readonly hangPlace: EntityOf['hangPlace']
  readonly mount: Mount
  /** How its axes stand off from what they are asked. */
  readonly axes: AxesOff
  /** The fixture it is a cell of, whose place and position it shares; null for what hangs by itself. */
  readonly bar: RiggedFixture | null
  /** Its cells, in order. */
  readonly cells: readonly FixtureId[]
}

/** Whether a fixture turns; any other points where it was hung. */
export function isHead({ type }: Pick<RiggedFixture, 'type'>): boolean {
  return type.has.includes(LEADING.place)
}

/** What the rig is worked out from. */
export const RIG_KINDS = [
  ...(['hangPlace', 'fixturePlace', 'fixture', 'fixtureType'] as const),
  ...(['hangCorrection', 'fixtureCorrection', 'substitute', 'show'] as const),
] as const
export type RigKind = (typeof RIG_KINDS)[number]

/** Every placed fixture by id, in order of number. Fixtures without a place in this venue are not in it. */
export const rigOf = derived(RIG_KINDS, (show): ReadonlyMap<FixtureId, RiggedFixture> => {
  const { venue } = showRecordOf(show)
  const placed: RiggedFixture[] = []
  const plays = playedBy(show, venue)
  for (const drawn of show.all.fixturePlace.values()) {
    if (drawn.venue !== venue) continue
    const own = show.all.fixture.get(drawn.fixture)
    const type = own?.type && show.all.fixtureType.get(own.type)
    const hangPlace = hangPlaceOf(show, placeId(venue, drawn.hang))
    if (!own || !type || !hangPlace) continue
    const { place, axes } = correctedPlace(show, drawn)
    const mount = mountHead(withAxesOff(type, axes), fixtureFrame(hangPlace, place))
    const id = plays.get(place.fixture) ?? place.fixture
    const by = id === place.fixture ? null : place.fixture
    const fixture = by === null ? own : asSubstitute(show.all.fixture.get(id) ?? own, own)
    const cells = cellIds(show, id, type)
    const whole = { id, by, fixture, type: typeAsWhole(type), place, hangPlace, mount, axes, bar: null, cells }
    placed.push(whole, ...cells.flatMap((cell, i) => cellRigged(show, whole, type, cell, i)))
  }
  placed.sort((a, b) => byNumber(a.fixture, b.fixture))
  return new Map(placed.map((fixture) => [fixture.id, fixture]))
})

/** A hang's place as it really is. */
function hangPlaceOf({ all }: ShowPart<'hangPlace' | 'hangCorrection'>, id: string): EntityOf['hangPlace'] | undefined {
  const [drawn, correction] = [all.hangPlace.get(id), all.hangCorrection.get(id)]
  return drawn && correction ? { ...drawn, ...hangOff(drawn, correction) } : drawn
}

/** A fixture's place on its hang as it really is, and how its axes stand. */
function correctedPlace({ all }: ShowPart<'fixtureCorrection'>, drawn: EntityOf['fixturePlace']) {
  const correction = all.fixtureCorrection.get(placeId(drawn.venue, drawn.fixture))
  if (!correction) return { place: drawn, axes: AXES_RIGHT }
  const hung = fixtureOff(drawn, correction)
  const yaw = hung.yaw + (correction.isTurnedRound ? 180 : 0)
  return { place: { ...drawn, ...hung, yaw }, axes: correction }
}

/** By what hangs in a venue as a substitute, the fixture that has no place there itself and whose values it plays. */
export function playedBy(
  { all }: ShowPart<'substitute' | 'fixturePlace' | 'fixture'>,
  venue: string,
): ReadonlyMap<FixtureId, FixtureId> {
  const found = new Map<FixtureId, FixtureId>()
  for (const { venue: where, fixture, by } of all.substitute.values())
    if (where === venue && !all.fixturePlace.has(placeId(venue, fixture))) found.set(by, fixture)
  return found
}

/** A fixture as another plays it: with the type, mode and address of that one. */
function asSubstitute(played: EntityOf['fixture'], { type, mode, universe, address }: EntityOf['fixture']) {
  return { ...played, type, mode, universe, address }
}

/** The cells of a fixture that are there, by its type. */
function cellIds({ all }: ShowPart<'fixture'>, fixture: FixtureId, type: FixtureType): FixtureId[] {
  return Array.from({ length: type.cells?.count ?? 0 }, (_, i) => cellId(fixture, i + 1))
    .filter((id) => all.fixture.has(id))
    .map(asFixtureId)
}

/** A cell where it hangs: its bar's head, with the lens where the cell has it. */
function cellRigged(
  { all }: ShowPart<'fixture'>,
  bar: RiggedFixture,
  type: FixtureType,
  id: FixtureId,
  place: number,
): RiggedFixture[] {
  const fixture = all.fixture.get(id)
  if (!fixture || !type.cells) return []
  const { count, pitch } = type.cells
  const { head } = bar.mount
  const lens = { ...head.lens, across: head.lens.across + (place - (count - 1) / 2) * pitch }
  const mount = { ...bar.mount, head: { ...head, lens } }
  return [
    { ...bar, id, fixture: { ...fixture, type: bar.fixture.type }, type: typeOfCell(type), mount, bar, cells: [] },
  ]
}

/** A fixture with its cells: what is meant by its number. */
export function withCells(show: ShowPart<RigKind>, fixture: FixtureId): readonly FixtureId[] {
  return [fixture, ...(rigOf(show).get(fixture)?.cells ?? [])]
}

/** A fixture that can hold values, wherever it hangs. */
export type TypedFixture = Pick<RiggedFixture, 'id' | 'fixture' | 'type'>

/** Every fixture with a type by id, by number: also those that hang in another venue only. */
export const typedFixtures = derived(['fixture', 'fixtureType'], (show): ReadonlyMap<FixtureId, TypedFixture> => {
  const typed: TypedFixture[] = []
  for (const [id, fixture] of wholeFixtures(show)) {
    const type = fixture.type === null ? undefined : show.all.fixtureType.get(fixture.type)
    if (!type) continue
    typed.push({ id, fixture, type: typeAsWhole(type) })
    for (const cell of cellIds(show, id, type)) {
      const own = show.all.fixture.get(cell)
      if (own) typed.push({ id: cell, fixture: { ...own, type: fixture.type }, type: typeOfCell(type) })
    }
  }
  typed.sort((a, b) => byNumber(a.fixture, b.fixture))
  return new Map(typed.map((fixture) => [fixture.id, fixture]))
})

/** A fixture that hangs, but has no type and so cannot be aimed. */
export interface UntypedFixture {
  readonly id: FixtureId
  readonly fixture: EntityOf['fixture']
  readonly place: EntityOf['fixturePlace']
  /** Where it is mounted. */
  readonly at: Vec3
}

/** Every fixture without a type that hangs in the venue in play. */
export const untypedOf = derived(
  ['hangPlace', 'fixturePlace', 'fixture', 'show'],
  (show): readonly UntypedFixture[] => {
    const { venue } = showRecordOf(show)
    return [...show.all.fixturePlace.values()].flatMap((place) => {
      const fixture = show.all.fixture.get(place.fixture)
      const hang = show.all.hangPlace.get(placeId(venue, place.hang))
      if (place.venue !== venue || !fixture || fixture.type !== null || !hang) return []
      return [{ id: place.fixture, fixture, place, at: mountingPoint(hang, place) }]
    })
  },
)

/** What the hangs are worked out from. */
export const HANG_KINDS = [...RIG_KINDS, 'hang'] as const
export type HangKind = (typeof HANG_KINDS)[number]

/** The hangs of the venue in play, with their fixtures in order along the line. */
export interface RiggedHang {
  readonly id: HangId
  readonly hang: EntityOf['hang']
  readonly place: EntityOf['hangPlace']
  readonly fixtures: readonly RiggedFixture[]
}

export const hangsOf = derived(HANG_KINDS, (show): readonly RiggedHang[] => {
  const { venue } = showRecordOf(show)
  const wholes = [...rigOf(show).values()].filter(({ bar }) => bar === null)
  const fixturesOn = group(wholes, ({ place }) => place.hang)
  const hangs: RiggedHang[] = []
  for (const place of show.all.hangPlace.values()) {
    const hang = show.all.hang.get(place.hang)
    if (place.venue !== venue || !hang) continue
    const fixtures = [...(fixturesOn.get(place.hang) ?? [])].sort((a, b) => a.place.along - b.place.along)
    hangs.push({ id: place.hang, hang, place, fixtures })
  }
  return hangs.sort((a, b) => b.place.origin.y - a.place.origin.y)
})

/** Fixtures of a group in their stored order. */
export const membersOf = derived(['groupMember'], (show): ReadonlyMap<string, readonly FixtureId[]> =>
  rollup(
    show.all.groupMember.values(),
    (members) => members.sort((a, b) => a.order - b.order).map(({ fixture }) => fixture),
    ({ group }) => group,
  ),
)
