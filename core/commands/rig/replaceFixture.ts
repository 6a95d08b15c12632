/** Puts a fixture in another's place everywhere: palettes, groups, cues, hands. The other is left with nothing. */
import { cueTimeId, handValueId, memberId, paletteValueId } from '../../show/compositeIds'
import { z } from 'zod'
import { putCueValue } from '../../cues/marks'
import { forgetRecorded, noteRecorded } from '../../palettes/recorded'
import { solvePosition } from '../../palettes/solve'
import { HOME } from '../../kinematics/head'
import { fixtureNumber } from '../../show/cells'
import { putTouchUp, removeTouchUp } from '../../palettes/touchUps'
import { Draft } from '../../show/draft'
import { fixtureId, type FixtureId } from '../../show/ids'
import { rigOf, withCells, type RiggedFixture } from '../../show/rig'
import type { Show } from '../../show/show'
import type { AimValue, CueContent } from '../../show/values'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'
import { stageOf } from '../../venue/stage'

/** An aim keeps its place and is solved anew for another head; everything else is taken as it is. */
function forFixture<V extends CueContent>(show: Show, value: V, to: RiggedFixture): V | AimValue {
  const aim: CueContent = value
  if (aim.kind !== 'aim') return value
  const free: AimValue = { ...aim, choice: null }
  const solved = solvePosition(to.mount, stageOf(show), free, HOME)
  return solved.point === null ? free : { ...free, choice: { side: solved.side, pan: solved.pose.pan } }
}

export const replaceFixture = command({
  input: z.strictObject({ from: fixtureId, to: fixtureId }),
  undoable: true,
  run(show, { from, to }) {
    const [before, after] = [show.all.fixture.get(from), show.all.fixture.get(to)]
    const rigged = rigOf(show).get(to)
    if (!before) return gone('fixture', 'from')
    if (!after || !rigged) return gone('fixture', 'to')
    if (from === to) return refuse('same fixture', {}, 'to')
    const draft = new Draft(show)
    let angles = 0
    for (const [one, other] of pairs(withCells(show, from), withCells(show, to))) {
      const takes = rigOf(show).get(other)
      if (!takes) continue
      angles += moveValues(show, draft, one, takes)
      moveMemberships(show, draft, one, other)
    }
    const raw = angles > 0 ? `; ${angles} raw angles stay as they are and will point elsewhere` : ''
    return done(draft, `put fixture ${fixtureNumber(after)} in the place of ${fixtureNumber(before)}${raw}`)
  },
})

/**
 * Who takes the place of whom among two fixtures with their cells. What had no cells gives the same to
 * all of the other's; what has none takes that of the first cell.
 */
function pairs(gives: readonly FixtureId[], takes: readonly FixtureId[]): (readonly [FixtureId, FixtureId])[] {
  const [from, first] = gives
  const [to] = takes
  if (!from || !to) return []
  if (!first) return takes.map((id) => [from, id])
  if (takes.length === 1) return [from, first].map((id) => [id, to])
  return gives.flatMap((id, i) => {
    const other = takes[i]
    return other ? [[id, other] as const] : []
  })
}

/** Returns how many raw angles went over as they were. */
function moveValues(show: Show, draft: Draft, from: FixtureId, to: RiggedFixture): number {
  let angles = 0
  const has = (attribute: string) => to.type.has.some((known) => known === attribute)
  const solved = <V extends CueContent>(value: V): V | AimValue => {
    if (value.kind === 'angles') angles += 1
    return forFixture(show, value, to)
  }
  for (const [id, stored] of show.all.cueValue) {
    if (stored.fixture !== from) continue
    draft.remove('cueValue', id)
    if (has(stored.attribute)) putCueValue(draft, { ...stored, fixture: to.id, value: solved(stored.value) }, stored)
  }
  for (const [id, stored] of show.all.paletteValue) {
    if (stored.fixture !== from) continue
    draft.remove('paletteValue', id)
    if (has(stored.attribute))
      draft.put('paletteValue', paletteValueId(stored.palette, stored.attribute, { own: to.id }), {
        ...stored,
        fixture: to.id,
        value: solved(stored.value),
      })
  }
  for (const touchUp of show.all.touchUp.values()) {
    if (touchUp.fixture !== from) continue
    removeTouchUp(draft, touchUp)
    putTouchUp(draft, { ...touchUp, fixture: to.id })
  }
  for (const [id, held] of show.all.handValue) {
    if (held.fixture !== from) continue
    draft.remove('handValue', id)
    if (has(held.attribute))
      draft.put('handValue', handValueId(held.person, to.id, held.attribute), {
        ...held,
        fixture: to.id,
        value: solved(held.value),
      })
  }
  return angles
}

function moveMemberships(show: Show, draft: Draft, from: FixtureId, to: FixtureId): void {
  for (const { palette, fixture } of show.all.recordedFixture.values()) {
    if (fixture !== from) continue
    forgetRecorded(show, draft, palette, (recorded) => recorded === from)
    noteRecorded(draft, palette, [to])
  }
  for (const [id, member] of show.all.groupMember) {
    if (member.fixture !== from) continue
    const isMember = [...show.all.groupMember.values()].some((m) => m.fixture === to && m.group === member.group)
    draft.remove('groupMember', id)
    if (!isMember) draft.put('groupMember', memberId(member.group, to), { ...member, fixture: to })
  }
  for (const [id, member] of show.all.workingSetMember) {
    if (member.fixture !== from) continue
    const isMember = [...show.all.workingSetMember.values()].some(
      (m) => m.fixture === to && m.workingSet === member.workingSet,
    )
    draft.remove('workingSetMember', id)
    if (!isMember) draft.put('workingSetMember', memberId(member.workingSet, to), { ...member, fixture: to })
  }
  for (const [id, time] of show.all.cueTime) {
    if (time.fixture !== from) continue
    draft.remove('cueTime', id).put('cueTime', cueTimeId(time.cue, to, time.family), { ...time, fixture: to })
  }
}
