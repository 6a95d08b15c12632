/** Fixtures that can be turned. What hangs without pan and tilt points where it was hung. */
import { LEADING } from '../../attributes/catalogue'
import { isHead, rigOf } from '../../show/rig'
import type { FixtureId } from '../../show/ids'
import type { Show } from '../../show/show'
import { refuse, type Outcome } from '../command'

/** Those of fixtures that turn, in their order: also those that have no place here. */
export function headsAmong(show: Show, fixtures: readonly FixtureId[]): FixtureId[] {
  return fixtures.filter((id) => {
    const rigged = rigOf(show).get(id)
    return !rigged || isHead(rigged)
  })
}

/** What is said where nothing of a selection turns. */
export const refuseToTurn = (): Outcome => refuse('not able', { attribute: LEADING.place }, 'fixtures')
