/** The rig as it hangs in the venue the show plays: a mount for every placed fixture. */
import { group, rollup } from 'd3-array'
import { placeId } from './compositeIds'
import { fixtureFrame, mountingPoint } from '../geometry/frame'
import type { Vec3 } from '../geometry/vector'
import { mountHead, type Mount } from '../kinematics/head'
import { derived } from './derived'
import type { EntityOf } from './kinds'
import { asFixtureId, type FixtureId, type HangId } from './ids'
import { showRecordOf } from './show'

/** A fixture with all that is needed to aim it. `place` and `hangPlace` are of the venue in play. */
export interface RiggedFixture {
  readonly id: FixtureId
  readonly fixture: EntityOf['fixture']
  readonly type: EntityOf['fixtureType']
  readonly place: EntityOf['fixturePlace']
  readonly hangPlace: EntityOf['hangPlace']
  readonly mount: Mount
}

/** Whether a fixture turns; any other points where it was hung. */
export function isHead({ type }: Pick<RiggedFixture, 'type'>): boolean {
  return type.has.includes('position')
}

/** What the rig is worked out from. */
export const RIG_KINDS = ['hangPlace', 'fixturePlace', 'fixture', 'fixtureType', 'show'] as const
export type RigKind = (typeof RIG_KINDS)[number]

/** Every placed fixture by id, in order of number. Fixtures without a place in this venue are not in it. */
export const rigOf = derived(RIG_KINDS, (show): ReadonlyMap<FixtureId, RiggedFixture> => {
  const { venue } = showRecordOf(show)
  const placed: RiggedFixture[] = []
  for (const place of show.all.fixturePlace.values()) {
    if (place.venue !== venue) continue
    const fixture = show.all.fixture.get(place.fixture)
    const type = fixture?.type && show.all.fixtureType.get(fixture.type)
    const hangPlace = show.all.hangPlace.get(placeId(venue, place.hang))
    if (!fixture || !type || !hangPlace) continue
    const mount = mountHead(type, fixtureFrame(hangPlace, place))
    placed.push({ id: place.fixture, fixture, type, place, hangPlace, mount })
  }
  placed.sort((a, b) => a.fixture.number - b.fixture.number)
  return new Map(placed.map((fixture) => [fixture.id, fixture]))
})

/** A fixture that can hold values, wherever it hangs. */
export type TypedFixture = Pick<RiggedFixture, 'id' | 'fixture' | 'type'>

/** Every fixture with a type by id, by number: also those that hang in another venue only. */
export const typedFixtures = derived(['fixture', 'fixtureType'], (show): ReadonlyMap<FixtureId, TypedFixture> => {
  const typed: TypedFixture[] = []
  for (const [id, fixture] of show.all.fixture) {
    const type = fixture.type === null ? undefined : show.all.fixtureType.get(fixture.type)
    if (type) typed.push({ id: asFixtureId(id), fixture, type })
  }
  typed.sort((a, b) => a.fixture.number - b.fixture.number)
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
  const fixturesOn = group(rigOf(show).values(), ({ place }) => place.hang)
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
