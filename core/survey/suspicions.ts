/** What no small error of the rig explains: a head hung the other way round, an axis that runs the other way, a wrong address. */
import { length } from '../geometry/vector'
import { AXES_RIGHT, mechanicalPose } from '../kinematics/axesOff'
import { fixtureFrame } from '../geometry/frame'
import { mountHead } from '../kinematics/head'
import { estimateRig, missOf, PRIOR_ALONE, type Seen } from '../refocus/trueUp'
import type { FixtureId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import type { Mistakes } from './corrections'
import { itself } from './sightings'

/** A mistake that explains the sightings of a head, and how far they are off without and with it, metres; or none that does. */
export type Suspicion =
  | { readonly kind: keyof Mistakes; readonly before: number; readonly after: number }
  /** `neighbours` are those of its mode, nearest by address first: it may listen where one of them does. */
  | { readonly kind: 'address'; readonly before: number; readonly neighbours: readonly FixtureId[] }

/** Sightings of one head that cost more are explained by no small error; those that cost less are. */
const SUSPECT = 50
/** A mistake explains them where they cost little with it, and less than this part of what they cost without. */
const EXPLAINED = 0.4
/** What costs less than this many times the least explains as well, or less than this much more. */
const AS_WELL = { times: 1.5, more: 10 }
const NEIGHBOURS = 2
/** The likeliest first. */
const MISTAKES = ['isTurnedRound', 'isPanInverted', 'isTiltInverted'] as const

/** What is to be suspected of a head, by its own sightings; null where small errors explain them. */
export function suspicionOf(show: Show, rigged: RiggedFixture, sightings: readonly Seen[]): Suspicion | null {
  if (sightings.length === 0) return null
  const now = judged(sightings)
  if (now.cost < SUSPECT) return null
  const tried = MISTAKES.map((kind) => ({ kind, ...judged(sightings.map((seen) => asMistaken(seen, kind))) }))
  const least = Math.min(...tried.map(({ cost }) => cost))
  // A tilt that runs the other way lights what a head hung the other way round does: of what explains it as well, the likelier.
  const best = tried.find(({ cost }) => cost <= Math.max(least * AS_WELL.times, least + AS_WELL.more))
  if (best && best.cost < Math.min(SUSPECT * 2, now.cost * EXPLAINED))
    return { kind: best.kind, before: now.off, after: best.off }
  return { kind: 'address', before: now.off, neighbours: neighboursOf(show, rigged) }
}

/** What the sightings of one head cost when it is hung to fit them best, and how far off the worst of them is as it is drawn, metres. */
function judged(sightings: readonly Seen[]): { readonly cost: number; readonly off: number } {
  const off = Math.max(...sightings.map((seen) => length(missOf(seen))))
  return { cost: estimateRig(sightings, PRIOR_ALONE).cost, off }
}

const mistaken = new WeakMap<RiggedFixture, RiggedFixture>()

/** A sighting as it would be were a head hung or driven the other way. */
function asMistaken(seen: Seen, kind: (typeof MISTAKES)[number]): Seen {
  const { rigged, pose } = seen
  if (kind !== 'isTurnedRound') {
    const off = { ...AXES_RIGHT, [kind]: true }
    return { ...seen, pose: mechanicalPose(rigged.type, off, pose) }
  }
  const place = { ...rigged.place, yaw: rigged.place.yaw + 180 }
  const mount = mountHead(rigged.type, fixtureFrame(rigged.hangPlace, place))
  const turned = mistaken.get(rigged) ?? { ...rigged, place, mount }
  mistaken.set(rigged, turned)
  return { ...seen, rigged: turned }
}

function neighboursOf({ all }: Show, rigged: RiggedFixture): FixtureId[] {
  const { mode, universe, address } = rigged.fixture
  const own = itself(rigged)
  return [...all.fixture]
    .flatMap(([id, one]) =>
      id !== own && one.bar === null && one.mode === mode && one.universe === universe && one.address !== null
        ? [{ id, off: Math.abs(one.address - (address ?? 0)) }]
        : [],
    )
    .sort((a, b) => a.off - b.off)
    .slice(0, NEIGHBOURS)
    .flatMap(({ id }) => all.fixturePlace.get(`${rigged.place.venue}.${id}`)?.fixture ?? [])
}
