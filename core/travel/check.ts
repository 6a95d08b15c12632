/** What of a show cannot be watched as it is meant: the whole of it, cue by cue. */
import { fixtureNumber } from '../show/cells'
import { listsInOrder } from '../cues/tracking'
import type { Show } from '../show/show'
import { tooFastIn, type TooFast } from './motors'

/** A move that is too fast, with list, cue and fixture as people call them; numbers as in `TooFast`. */
export interface MotorFinding extends Omit<TooFast, 'fixture'> {
  readonly list: string
  readonly cue: number
  readonly fixture: string
}

/** Every move of every list that the motors cannot make, in the order they play in. */
export function motorFindings(show: Show): MotorFinding[] {
  return listsInOrder(show).flatMap(({ list, cues }) =>
    cues.flatMap(({ id, cue }) =>
      tooFastIn(show, id).map(({ fixture, ...finding }) => ({
        list: list.name,
        cue: cue.number,
        fixture: fixtureNumber(fixture.rigged.fixture),
        ...finding,
      })),
    ),
  )
}
