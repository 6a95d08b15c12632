/** What could be done about the moves of a cue that are too fast or sweep, and what each would leave. */
import { timesOf } from '#core/cues/times'
import { travelOf } from '#core/cues/travel'
import type { Outcome } from '#core/commands/command'
import type { CommandInput } from '#core/commands/registry'
import { numbersInWords } from '#core/selection/written'
import type { CueId, FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { rigOf } from '#core/show/rig'
import { openSweeps } from '#core/travel/accepted'
import { faultsIn, type FixtureStep } from '#core/travel/check'
import { otherSideIn } from '#core/travel/otherSide'
import { DARK } from '#core/cues/darkness'

/** Commands that change how a cue moves. */
type Helping = 'changeCues' | 'setCueTimes' | 'setWays' | 'insertDarkMoment'
export type Attempt = <N extends Helping>(name: N, input: CommandInput<N>) => Outcome
export type Send = <N extends Helping>(name: N, input: CommandInput<N>) => Promise<boolean>

/** Something that could be done. */
export interface Remedy {
  readonly label: string
  readonly why: string
  /** What it would do, nothing done. */
  attempt(by: Attempt): Outcome
  send(by: Send): Promise<boolean>
}

function remedy<N extends Helping>(label: string, why: string, name: N, input: CommandInput<N>): Remedy {
  return { label, why, attempt: (by) => by(name, input), send: (by) => by(name, input) }
}

/** To a tenth of a second, upwards: what is rounded down would be too fast again. */
const roundedUp = (seconds: number) => Math.ceil(seconds * 10 - 1e-9) / 10

/** Everything that may help with what is wrong in a cue; whether it does is seen by trying. */
export function remediesFor(show: Show, cue: CueId, faults: readonly FixtureStep[]): Remedy[] {
  return [
    ...otherTravel(show, cue),
    ...moreTime(show, cue, faults),
    ...otherPace(show, cue, faults),
    ...byAngle(show, cue, faults),
    ...laterLight(show, cue, faults),
    ...otherSide(show, cue, faults),
    ...momentDark(show, cue, faults),
  ]
}

function otherTravel(show: Show, cue: CueId): Remedy[] {
  const { travel } = travelOf(show, cue)
  const other = travel === 'straight' ? 'angle' : 'straight'
  const label = travel === 'straight' ? 'By angle instead of straight' : 'Straight instead of by angle'
  return [remedy(label, 'For the whole cue', 'changeCues', { cues: [cue], travel: other })]
}

/** The time in which all of them could; nothing where times of their own decide for some. */
function moreTime(show: Show, cue: CueId, faults: readonly FixtureStep[]): Remedy[] {
  const hasOwn = timesOf(show, cue).some(({ seconds }) => seconds !== null)
  const longest = Math.max(0, ...faults.map(({ tooFast }) => tooFast?.shortestSeconds ?? 0))
  if (hasOwn || longest === 0) return []
  const move = roundedUp(longest)
  const isShared = show.all.cue.get(cue)?.move === null
  const why = isShared ? 'So far everything moves as intensity rises' : 'For everything that moves in it'
  return [remedy(`Move in ${move.toFixed(1)} s`, why, 'changeCues', { cues: [cue], move })]
}

/** Half and twice the time: light that comes or goes meanwhile is then elsewhere on its way. */
function otherPace(show: Show, cue: CueId, faults: readonly FixtureStep[]): Remedy[] {
  const known = show.all.cue.get(cue)
  const hasOwn = timesOf(show, cue).some(({ seconds }) => seconds !== null)
  const seconds = known?.move ?? known?.rise ?? 0
  const isLate = faults.some(({ tooFast }) => tooFast)
  if (hasOwn || isLate || seconds === 0 || faults.every(({ sweeps }) => sweeps.length === 0)) return []
  return [
    { name: 'Faster', move: roundedUp(seconds / 2) },
    { name: 'Slower', move: roundedUp(seconds * 2) },
  ].map(({ name, move }) =>
    remedy(`${name}: in ${move.toFixed(1)} s`, 'For everything that moves in it', 'changeCues', { cues: [cue], move }),
  )
}

/** Those that could not go straight in any time. */
function byAngle(show: Show, cue: CueId, faults: readonly FixtureStep[]): Remedy[] {
  const fixtures = withoutOwn(
    show,
    cue,
    faults.filter(({ tooFast }) => tooFast?.shortestSeconds === null),
  )
  if (fixtures.length === 0) return []
  const input: CommandInput<'setCueTimes'> = {
    ...{ cues: [cue], fixtures, family: 'position' },
    ...{ seconds: null, delay: null, travel: 'angle' },
  }
  const why = 'Straight they pass their own pan axis, which no motor could follow'
  return [remedy(`${numbersInWords(show, fixtures)} by angle`, why, 'setCueTimes', input)]
}

/** Light that only comes up in the cue can wait until the beam has left what is kept clear. */
function laterLight(show: Show, cue: CueId, faults: readonly FixtureStep[]): Remedy[] {
  const rising = faults.filter(
    ({ levels, sweeps }) => levels[0] <= DARK && sweeps.some(({ untilSeconds }) => untilSeconds !== null),
  )
  const fixtures = withoutOwn(show, cue, rising)
  if (fixtures.length === 0) return []
  const until = rising.flatMap(({ sweeps }) => sweeps.map(({ untilSeconds }) => untilSeconds ?? 0))
  const delay = roundedUp(Math.max(...until))
  const input: CommandInput<'setCueTimes'> = { cues: [cue], fixtures, family: 'intensity', seconds: null, delay }
  return [
    remedy(
      `Light ${delay.toFixed(1)} s later`,
      `${numbersInWords(show, fixtures)} are dark until then`,
      'setCueTimes',
      input,
    ),
  ]
}

/** The heads of what is wrong: cells turn with their bar. */
function headsOf(show: Show, faults: readonly FixtureStep[]): FixtureId[] {
  const rig = rigOf(show)
  return [...new Set(faults.map(({ fixture }) => rig.get(fixture)?.bar?.id ?? fixture))]
}

/** Another way round may go past what is kept clear, or be quicker. */
function otherSide(show: Show, cue: CueId, faults: readonly FixtureStep[]): Remedy[] {
  const ways = otherSideIn(show, cue, headsOf(show, faults))
  if (ways.length === 0) return []
  const who = numbersInWords(
    show,
    ways.map(({ fixture }) => fixture),
  )
  return [
    remedy('The other side', `${who} the other way round in this cue`, 'setWays', { ways: [...ways], byHand: true }),
  ]
}

/** In how many seconds light goes for a moment. */
const MOMENT_OUT = 0.5

/** What is lit before and after can move while it is not. */
function momentDark(show: Show, cue: CueId, faults: readonly FixtureStep[]): Remedy[] {
  const lit = faults.filter(({ turns, levels }) => turns && Math.min(...levels) > DARK)
  if (lit.length === 0) return []
  const fixtures = headsOf(show, lit)
  const why = `${numbersInWords(show, fixtures)} go out in a cue before, and come in place`
  return [remedy('A moment dark', why, 'insertDarkMoment', { cue, fixtures, out: MOMENT_OUT })]
}

function withoutOwn(show: Show, cue: CueId, faults: readonly FixtureStep[]): FixtureId[] {
  const own = new Set(timesOf(show, cue).map(({ fixture }) => fixture))
  return faults.map(({ fixture }) => fixture).filter((id) => !own.has(id))
}

/** How much is wrong: fixtures too fast, and fixtures that sweep unaccepted. */
export interface Wrong {
  readonly tooFast: number
  readonly sweeps: number
}

export function wrongIn(show: Show, faults: readonly FixtureStep[]): Wrong {
  return {
    tooFast: faults.filter(({ tooFast }) => tooFast).length,
    sweeps: faults.filter((step) => openSweeps(show, step).length > 0).length,
  }
}

/** A show as a remedy would make it, and what would still be wrong in the cue. */
export interface TriedRemedy {
  readonly label: string
  readonly show: Show
  readonly faults: readonly FixtureStep[]
}

/** What a remedy comes to; null where it cannot be done, or makes nothing better. */
export function triedRemedy(one: Remedy, by: Attempt, cue: CueId, now: Wrong): TriedRemedy | null {
  const outcome = one.attempt(by)
  if (!outcome.ok || outcome.changes.length === 0) return null
  const show = outcome.after()
  const faults = faultsIn(show, cue)
  const left = wrongIn(show, faults)
  return left.tooFast < now.tooFast || left.sweeps < now.sweeps ? { label: one.label, show, faults } : null
}
