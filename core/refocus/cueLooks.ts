/**
 * What a change of cues themselves does to how they look: cues moved, copied, taken out, or given
 * other values, and the later ones that carry from them. What palettes and the stage do to cues
 * whose values stay as they are is told elsewhere.
 */
import { LEADING } from '../attributes/catalogue'
import equal from 'fast-deep-equal'
import { HOME } from '../kinematics/head'
import { timelineOf, latestAt, listsInOrder, placeOfCue, type TimelinePoint, type ListInOrder } from '../cues/tracking'
import { resolveValue } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import type { CueValue } from '../show/entities'
import { familyOf } from '../attributes/attribute'
import { FAMILIES, type Family } from '../attributes/families'
import type { CueId, FixtureId } from '../show/ids'
import { atRest } from '../cues/atRest'
import { rigOf, typedFixtures } from '../show/rig'
import type { Show } from '../show/show'
import { givenBy, type PlainValue } from '../show/values'
import { isSamePlace, shiftBetween } from './shift'
import { stageOf } from '../venue/stage'

/** A cue that looks different: of whom and in what, and how far its light moves at most, metres; null where none lands. */
export interface LookEffect {
  readonly cue: CueId
  readonly fixtures: readonly FixtureId[]
  readonly families: readonly Family[]
  readonly shiftMetres: number | null
}

interface Growing {
  readonly fixtures: Set<FixtureId>
  readonly families: Set<Family>
  shiftMetres: number | null
}

/** The cues of both shows that look different, in the order of the show after. */
export function changedLooks(before: Show, after: Show): LookEffect[] {
  const isSame = (['cueValue', 'cue', 'cueList'] as const).every((kind) => before.all[kind] === after.all[kind])
  if (isSame) return []
  const found = new Map<CueId, Growing>()
  const inOrder = new Set([...typedFixtures(before).keys(), ...typedFixtures(after).keys()])
  for (const list of listsInOrder(after)) {
    const moved = list.cues.filter(({ id, cue }) => isMoved(before, id, cue.number, list))
    const origins = moved.flatMap(({ id }) => placeOfCue(before, id)?.list.id ?? [])
    const keys = new Set([
      ...[...new Set([list.id, ...origins])].flatMap((from) => [...timelineOf(before, from).keys()]),
      ...timelineOf(after, list.id).keys(),
    ])
    for (const key of keys) compare(before, after, list, key, moved, found)
  }
  return listsInOrder(after).flatMap(({ cues }) =>
    cues.flatMap(({ id }) => {
      const look = found.get(id)
      if (!look) return []
      const fixtures = [...inOrder].filter((fixture) => look.fixtures.has(fixture))
      const families = FAMILIES.filter((family) => look.families.has(family))
      return [{ cue: id, fixtures, families, shiftMetres: look.shiftMetres }]
    }),
  )
}

function isMoved(before: Show, cue: CueId, number: number, list: ListInOrder): boolean {
  const known = before.all.cue.get(cue)
  return known !== undefined && (known.number !== number || known.list !== list.id)
}

const NONE: readonly TimelinePoint[] = []

function compare(
  before: Show,
  after: Show,
  list: ListInOrder,
  key: string,
  moved: ListInOrder['cues'],
  found: Map<CueId, Growing>,
) {
  const then = timelineOf(before, list.id).get(key) ?? NONE
  const now = timelineOf(after, list.id).get(key) ?? NONE
  const isSame = then.length === now.length && then.every(({ stored }, i) => stored === now[i]?.stored)
  const isUntouched = isSame && !now.some(({ stored }) => moved.some(({ id }) => id === stored.cue))
  for (const { id } of isUntouched ? moved : list.cues) {
    const was = placeOfCue(before, id)
    const is = placeOfCue(after, id)
    if (!was || !is) continue
    const pointsThen = was.list.id === list.id ? then : (timelineOf(before, was.list.id).get(key) ?? NONE)
    note(before, after, id, latestAt(pointsThen, was.at)?.stored, latestAt(now, is.at)?.stored, found)
  }
}

function note(
  before: Show,
  after: Show,
  cue: CueId,
  was: CueValue | undefined,
  is: CueValue | undefined,
  found: Map<CueId, Growing>,
) {
  const either = is ?? was
  if (!either || was === is || (was && is && equal(was.value, is.value))) return
  const then = was ? plainOf(before, was) : null
  const now = is ? plainOf(after, is) : null
  if (equal(then, now)) return
  const shift =
    either.attribute === LEADING.place && then && now ? shiftOf(before, after, either.fixture, then, now) : null
  if (shift === 0) return
  const look = found.get(cue) ?? { fixtures: new Set(), families: new Set(), shiftMetres: null }
  found.set(cue, look)
  look.fixtures.add(either.fixture)
  look.families.add(familyOf(either.attribute))
  if (shift !== null) look.shiftMetres = Math.max(look.shiftMetres ?? 0, shift)
}

function plainOf(show: Show, stored: CueValue): PlainValue | null {
  const { fixture, attribute } = stored
  const rigged = rigOf(show).get(fixture)
  const value = rigged && (givenBy(stored) ?? atRest(show, rigged, attribute))
  return rigged && value ? resolveValue(show, rigged, attribute, value).value : null
}

/**
 * How far the light of a fixture moves, metres; 0 where it stays in its place, null where it lands
 * nowhere or the head turns the other way round.
 */
function shiftOf(before: Show, after: Show, fixture: FixtureId, then: PlainValue, now: PlainValue): number | null {
  const [was, is] = [rigOf(before).get(fixture), rigOf(after).get(fixture)]
  if (!was || !is) return null
  const from = solvePosition(was.mount, stageOf(before), then, HOME)
  const to = solvePosition(is.mount, stageOf(after), now, HOME)
  if (!isSamePlace(from, to)) return shiftBetween(from, to)
  return from.side === to.side ? 0 : null
}
