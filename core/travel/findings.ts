/** Everything that is wrong with the moves of a show, as people call lists, cues and fixtures. */
import type { Family } from '../attributes/families'
import type { DarkMove } from '../cues/darkMoves'
import type { StaysLive } from '../cues/darkPlace'
import { listsInOrder } from '../cues/tracking'
import { fixtureNumber } from '../show/cells'
import type { CueId, FixtureId } from '../show/ids'
import type { Show } from '../show/show'
import { acceptedSweeps, openSweeps } from './accepted'
import { faultyByCue, TravelCheck } from './check'
import { darkFaultOf } from './dark'
import type { TooFast } from './motors'
import type { Sweep } from './sweep'

/** Where something was found. */
interface Where {
  readonly list: string
  readonly cue: number
  readonly fixture: string
}

/** What is seen to come into place as the light does, and how many seconds it needs. */
interface SeenComing extends Where {
  readonly family: Family
  readonly needsSeconds: number
}

/** What is wrong, in the order it plays in; numbers as in `TooFast`, `Sweep` and `DarkMove`. */
export interface TravelFindings {
  readonly tooFast: readonly (Where & Omit<TooFast, 'fixture'>)[]
  readonly sweeps: readonly (Where & Sweep)[]
  /** Sweeps that are meant to be, with the reason. */
  readonly accepted: readonly (Where & Sweep & { readonly reason: string })[]
  /** What lights in another place, beam, colour or gobo than it then has, and why it is not there before. */
  readonly wrongPlaces: readonly (SeenComing & { readonly why: StaysLive })[]
  /** What was to move in the dark, and by how many seconds that is too short. */
  readonly noTime: readonly (SeenComing & { readonly shortSeconds: number })[]
}

export function travelFindings(show: Show): TravelFindings {
  const courses = [...new TravelCheck().check(show)].flatMap(({ course }) => course ?? [])
  const faulty = faultyByCue(courses)
  const found = listsInOrder(show).flatMap(({ cues }) =>
    cues.flatMap(({ id }) =>
      (faulty.get(id) ?? []).map((step) => ({ ...step, where: whereIs(show, id, step.fixture) })),
    ),
  )
  return {
    tooFast: found.flatMap(({ tooFast, where }) => (tooFast ? [{ ...tooFast, ...where }] : [])),
    sweeps: found.flatMap(({ where, ...step }) => openSweeps(show, step).map((sweep) => ({ ...sweep, ...where }))),
    accepted: found.flatMap(({ where, ...step }) =>
      acceptedSweeps(show, step).map(({ reason, sweep }) => ({ ...sweep, ...where, reason })),
    ),
    ...darkFindings(
      show,
      courses.flatMap(({ dark }) => dark),
    ),
  }
}

function darkFindings(show: Show, moves: readonly DarkMove[]): Pick<TravelFindings, 'wrongPlaces' | 'noTime'> {
  const numberOf = ({ cue }: DarkMove) => show.all.cue.get(cue)?.number ?? 0
  const found = moves.flatMap((move) => {
    const { cue, fixture, family, needs, place } = move
    if (place.kind === 'goes') return []
    const seen = { ...whereIs(show, cue, fixture), family, needsSeconds: needs }
    return [{ fault: darkFaultOf(move), seen, ...place, number: numberOf(move) }]
  })
  found.sort((a, b) => a.number - b.number)
  return {
    wrongPlaces: found.flatMap(({ fault, seen, why }) => (fault === 'wrongPlace' ? [{ ...seen, why }] : [])),
    noTime: found.flatMap(({ fault, seen, short }) =>
      fault === 'noTime' ? [{ ...seen, shortSeconds: short ?? 0 }] : [],
    ),
  }
}

function whereIs({ all }: Show, id: CueId, fixture: FixtureId): Where {
  const cue = all.cue.get(id)
  const record = all.fixture.get(fixture)
  return {
    list: all.cueList.get(cue?.list ?? '')?.name ?? '',
    cue: cue?.number ?? 0,
    fixture: record ? fixtureNumber(record) : '',
  }
}
