/** Sweeps that are accepted in the venue in play. */
import { derived } from '../show/derived'
import { acceptedSweepId, type CueId, type FixtureId } from '../show/ids'
import { showRecordOf, type Show } from '../show/show'
import type { Sweep } from './sweep'

export interface AcceptedSweep {
  readonly id: ReturnType<typeof acceptedSweepId.parse>
  readonly reason: string
}

/** The key of a fixture's sweep of a zone in a cue. */
export const sweepKey = (cue: CueId, fixture: FixtureId, zone: string) => `${cue} ${fixture} ${zone}`

export const acceptedSweepsOf = derived(['acceptedSweep', 'show'], (show): ReadonlyMap<string, AcceptedSweep> => {
  const { venue } = showRecordOf(show)
  return new Map(
    [...show.all.acceptedSweep].flatMap(([id, one]) =>
      one.venue === venue
        ? [[sweepKey(one.cue, one.fixture, one.zone), { id: acceptedSweepId.parse(id), reason: one.reason }] as const]
        : [],
    ),
  )
})

/** A step of a fixture, and what it sweeps. */
interface Swept {
  readonly cue: CueId
  readonly fixture: FixtureId
  readonly sweeps: readonly Sweep[]
}

/** The sweeps of a step that nobody has accepted. */
export function openSweeps(show: Show, { cue, fixture, sweeps }: Swept): readonly Sweep[] {
  const accepted = acceptedSweepsOf(show)
  return accepted.size === 0 ? sweeps : sweeps.filter(({ zone }) => !accepted.has(sweepKey(cue, fixture, zone)))
}

/** The sweeps of a step that are accepted, each with why. */
export function acceptedSweeps(show: Show, { cue, fixture, sweeps }: Swept) {
  const accepted = acceptedSweepsOf(show)
  return sweeps.flatMap((sweep) => {
    const known = accepted.get(sweepKey(cue, fixture, sweep.zone))
    return known ? [{ ...known, sweep }] : []
  })
}
