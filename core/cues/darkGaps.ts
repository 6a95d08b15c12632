/** The times in a list during which a fixture has no light. */
import { LEADING } from '../attributes/catalogue'
import type { FixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { givenBy } from '../show/values'
import { atRest } from './atRest'
import { DARK, levelElsewhere, lightsOf, type LightKind } from './darkness'
import type { Beginning } from './darkTimes'
import { levelOf } from './level'
import { timingOf } from './times'
import { indexAt, timelineOf, type ListInOrder, type TimelinePoint } from './tracking'

/** From the cue in which its light goes out until that in which it comes again. */
export interface DarkGap {
  /** The place of the cue in which it goes out; -1 where it has had no light yet. */
  readonly since: number
  /** The place of the cue in which it comes. */
  readonly until: number
  /** Long ago where it has had none. */
  readonly darkAt: Beginning
  readonly lightAt: Beginning
}

/** The gaps of a fixture in a list that lights it, in order; what is dark to the end of the list needs to be nowhere. */
export function darkGapsOf(
  show: ShowPart<LightKind | 'cueTime'>,
  list: ListInOrder,
  rigged: RiggedFixture,
  beginnings: readonly Beginning[],
): readonly DarkGap[] {
  const lights = lightsOf(show, rigged).map((id) => new Light(show, list, id))
  const places = new Set(lights.flatMap(({ points }) => points.map(({ at }) => at)))
  const levelAt = brightestOf(lights)
  const gaps: DarkGap[] = []
  let out: Pick<DarkGap, 'since' | 'darkAt'> | null =
    levelAt(-1) > DARK ? null : { since: -1, darkAt: { run: 0, seconds: -Infinity } }
  for (const at of [...places].sort((a, b) => a - b)) {
    const begins = beginnings[at]
    if (!begins) continue
    const isLit = levelAt(at) > DARK
    if (isLit && out) {
      const delay = Math.min(...lights.flatMap((light) => light.risesAfter(at) ?? []))
      gaps.push({ ...out, until: at, lightAt: { ...begins, seconds: begins.seconds + delay } })
      out = null
    }
    if (!isLit && !out) {
      const fall = Math.max(...lights.map((light) => light.goneAfter(at)))
      out = { since: at, darkAt: { ...begins, seconds: begins.seconds + fall } }
    }
  }
  return gaps
}

const brightestOf = (lights: readonly Light[]) => (at: number) =>
  Math.max(0, ...lights.map((light) => light.levelAt(at)))

/** How bright a list has a fixture at a place, 0 to 1; of one it does not light, as bright as another ever has it. */
export function levelsOf(
  show: ShowPart<LightKind | 'cueTime'>,
  list: ListInOrder,
  rigged: RiggedFixture,
): (at: number) => number {
  const lights = lightsOf(show, rigged)
  const elsewhere = Math.max(0, ...lights.map((id) => levelElsewhere(show, list.id, id) ?? 0))
  const own = brightestOf(lights.map((id) => new Light(show, list, id)))
  return (at) => Math.max(elsewhere, own(at))
}

/** One intensity of a fixture down a list. */
class Light {
  readonly points: readonly TimelinePoint[]
  readonly #levels: readonly number[]
  readonly #rest: number

  constructor(
    private readonly show: ShowPart<LightKind | 'cueTime'>,
    private readonly list: ListInOrder,
    private readonly id: FixtureId,
  ) {
    this.points = timelineOf(show, list.id).get(`${id} ${LEADING.light}`) ?? []
    const rigged = rigOf(show).get(id)
    const resting = rigged ? atRest(show, rigged, LEADING.light) : null
    this.#rest = (resting && levelOf(show, id, resting)) ?? 0
    this.#levels = this.points.map(({ stored }) => {
      const value = givenBy(stored)
      return value ? (levelOf(show, id, value) ?? 0) : this.#rest
    })
  }

  levelAt(at: number): number {
    return this.#levels[indexAt(this.points, at)] ?? this.#rest
  }

  /** Seconds from the start of a cue until this comes up in it; null where it does not. */
  risesAfter(at: number): number | null {
    return this.levelAt(at) > this.levelAt(at - 1) ? (this.#timing(at, 'up')?.delay ?? 0) : null
  }

  /** Seconds from the start of a cue until this is gone, where the cue takes it away. */
  goneAfter(at: number): number {
    const timing = this.levelAt(at) < this.levelAt(at - 1) ? this.#timing(at, 'down') : null
    return timing ? timing.delay + timing.seconds : 0
  }

  #timing(at: number, way: 'up' | 'down') {
    const cue = this.list.cues[at]
    return cue ? timingOf(this.show, cue.id, cue.cue, this.id, LEADING.light, way) : null
  }
}
