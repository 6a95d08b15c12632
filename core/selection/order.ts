/** Orders a selection can be brought into. Fans and patterns run in this order. */
import type { FixtureId } from '../show/ids'
import { beamAt } from '../kinematics/forward'
import { HOME } from '../kinematics/head'
import { byNumber } from '../show/cells'
import type { RiggedFixture } from '../show/rig'

export const ORDERS = ['reverse', 'shuffle', 'by number', 'across the stage'] as const
export type Order = (typeof ORDERS)[number]

type Rig = ReadonlyMap<FixtureId, RiggedFixture>

/** As the house sees it: from stage right to stage left; what stands one behind the other from the house upstage. */
function acrossTheStage(a: RiggedFixture, b: RiggedFixture): number {
  const [here, there] = [spotOf(a), spotOf(b)]
  return here.x - there.x || here.y - there.y || byNumber(a.fixture, b.fixture)
}

/** A cell sits where its lens is while its bar is home. */
const spotOf = ({ mount, bar }: RiggedFixture) => (bar ? beamAt(mount, HOME).lens : mount.pivot)

/** Every order has each as likely (Fisher and Yates). `random` gives 0 up to, not including, 1. */
function shuffled<T>(items: readonly T[], random: () => number): T[] {
  const deck = [...items]
  for (let last = deck.length - 1; last > 0; last--) {
    const pick = Math.floor(random() * (last + 1))
    const [a, b] = [deck[last], deck[pick]]
    if (a === undefined || b === undefined) continue
    deck[last] = b
    deck[pick] = a
  }
  return deck
}

/** The same fixtures in another order; those without a place in this venue come last. */
export function ordered(
  fixtures: readonly FixtureId[],
  order: Order,
  rig: Rig,
  random: () => number = Math.random,
): FixtureId[] {
  if (order === 'reverse') return [...fixtures].reverse()
  if (order === 'shuffle') return shuffled(fixtures, random)
  const placed = fixtures.flatMap((id) => rig.get(id) ?? [])
  placed.sort(order === 'by number' ? (a, b) => byNumber(a.fixture, b.fixture) : acrossTheStage)
  return [...placed.map(({ id }) => id), ...fixtures.filter((id) => !rig.has(id))]
}

/** Everything that is not selected, by number. */
export function inverted(fixtures: readonly FixtureId[], rig: Rig): FixtureId[] {
  const chosen = new Set(fixtures)
  const others = [...rig.values()].filter(({ id }) => !chosen.has(id))
  return others.sort((a, b) => byNumber(a.fixture, b.fixture)).map(({ id }) => id)
}

/** Every fixture that hangs where one of these does, or is of a type with one of them, by number; these come first. */
export function alike(fixtures: readonly FixtureId[], by: 'type' | 'hang', rig: Rig): FixtureId[] {
  const keyOf = (rigged: RiggedFixture) => (by === 'type' ? rigged.fixture.type : rigged.place.hang)
  const keys = new Set(fixtures.flatMap((id) => rig.get(id) ?? []).map(keyOf))
  const found = [...rig.values()].filter((rigged) => keys.has(keyOf(rigged)))
  found.sort((a, b) => byNumber(a.fixture, b.fixture))
  return [...new Set([...fixtures, ...found.map(({ id }) => id)])]
}
