/**
 * Keeping some of what would follow a change out of it: values are held as they were before, marked
 * so, and remember the palette they would follow again. A held value that would carry on into cues
 * that are not kept out is given back there.
 */
import { LEADING } from '../attributes/catalogue'
import equal from 'fast-deep-equal'
import { SAME_PLACE } from '../geometry/tolerance'
import { distance, type Vec3 } from '../geometry/vector'
import { putCueValue } from '../cues/marks'
import { poseInCue } from '../cues/ways'
import { timelineOf, latestAt, listsInOrder, type TimelinePoint, type ListInOrder } from '../cues/tracking'
import { resolveValue } from '../palettes/resolve'
import { freeAim, solvePosition } from '../palettes/solve'
import type { Draft } from '../show/draft'
import type { CueValue } from '../show/entities'
import { familyOf, type Attribute } from '../attributes/attribute'
import { type Family } from '../attributes/families'
import type { CueId, FixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { aimPoint, freedAim, targetsOf } from '../show/targets'
import { givenBy, type AimValue, type PlainValue, type Value } from '../show/values'
import { stageOf } from '../venue/stage'

/** What stays out of a change: whatever is of one of these. */
export interface Exclusions {
  readonly fixtures: readonly FixtureId[]
  readonly cues: readonly CueId[]
  readonly families: readonly Family[]
}

export const NO_EXCLUSIONS: Exclusions = { fixtures: [], cues: [], families: [] }

export function hasExclusions({ fixtures, cues, families }: Exclusions): boolean {
  return fixtures.length + cues.length + families.length > 0
}

/**
 * A change with what is kept out of it held. `draft` starts from the show before and already holds
 * the change, `after` is what it leads to. Returns how many values are held.
 */
export function holdExclusions(draft: Draft, after: Show, kept: Exclusions): number {
  const before = draft.before
  let held = 0
  for (const list of listsInOrder(after))
    for (const points of timelineOf(after, list.id).values())
      held += holdCourse(draft, before, after, list, points, kept)
  return held
}

function holdCourse(
  draft: Draft,
  before: Show,
  after: Show,
  list: ListInOrder,
  points: readonly TimelinePoint[],
  kept: Exclusions,
): number {
  const [first] = points
  if (!first) return 0
  const { fixture, attribute } = first.stored
  const isWhole = kept.fixtures.includes(fixture) || kept.families.includes(familyOf(attribute))
  if (!isWhole && kept.cues.length === 0) return 0
  let held = 0
  /** What the cue before holds instead of following. */
  let holding: CueValue | null = null
  for (const [at, { id }] of list.cues.entries()) {
    const stored = latestAt(points, at)?.stored
    if (!stored) continue
    const isKept = isWhole || kept.cues.includes(id)
    const isSetHere = stored.cue === id
    const then = isKept && (isSetHere || holding !== stored) ? heldValue(before, after, id, stored) : null
    if (then) {
      const source = stored.value.kind === 'link' ? stored.value.palette : null
      putCueValue(draft, { ...stored, cue: id, value: then }, { mark: 'held', source })
      held += 1
      holding = stored
    } else if (!isKept) {
      if (holding === stored && !isSetHere) putCueValue(draft, { ...stored, cue: id })
      holding = null
    }
  }
  return held
}

/** A value as it was before, on its own; null when it does not follow the change anyway. */
function heldValue(before: Show, after: Show, cue: CueId, stored: CueValue): PlainValue | null {
  const { fixture, attribute } = stored
  const value = givenBy(stored)
  if (value === null) return null
  const plain = plainOf(before, fixture, attribute, value)
  const then = plainOf(after, fixture, attribute, value)
  if (!plain || !then) return null
  if (attribute !== LEADING.place) return equal(plain, then) ? null : plain
  return heldPlace(before, after, cue, fixture, plain, then)
}

function plainOf(show: Show, fixture: FixtureId, attribute: Attribute, value: Value): PlainValue | null {
  const rigged = rigOf(show).get(fixture)
  return rigged ? resolveValue(show, rigged, attribute, value).value : null
}

/**
 * The place lit before: at its target where that has not moved, else free of it, in every venue where
 * it was. Raw angles that stay the same cannot follow anyway.
 */
function heldPlace(
  before: Show,
  after: Show,
  cue: CueId,
  fixture: FixtureId,
  plain: PlainValue,
  then: PlainValue,
): PlainValue | null {
  const [was, is] = [rigOf(before).get(fixture), rigOf(after).get(fixture)]
  if (!was || !is || (plain.kind === 'angles' && equal(plain, then))) return null
  const solved = solvePosition(was.mount, stageOf(before), plain, poseInCue(before, fixture, cue))
  const now = solvePosition(is.mount, stageOf(after), then, poseInCue(after, fixture, cue))
  const isSamePlace = solved.point && now.point && distance(solved.point, now.point) < SAME_PLACE
  if (isSamePlace && solved.side === now.side) return null
  const choice = { side: solved.side, pan: solved.pose.pan }
  if (plain.kind === 'aim' && solved.point && isThere(after, plain, solved.point)) return { ...plain, choice }
  const free = plain.kind === 'angles' ? null : freeAim(solved)
  if (!free) return { kind: 'angles', ...solved.pose }
  return plain.kind === 'aim' ? { ...freedAim(inVenueOf(before, after), plain, free.offset), choice } : free
}

/** Whether an aim still lights a place after the change. */
function isThere(after: Show, aim: AimValue, place: Vec3): boolean {
  const now = aimPoint(targetsOf(after), aim)
  return now !== null && distance(now, place) < SAME_PLACE
}

/** The show before a change, as it is in the venue in play after it. */
function inVenueOf(before: Show, after: Show): Show {
  return { id: before.id, all: { ...before.all, show: after.all.show } }
}
