/** When a movement is where: by the clock that all servers share, with nothing remembered. */
import { comesBack, type Movement, type Running, type Tempo, type Wave } from './movement'
import { ofRound } from './place'

const MINUTE = 60_000
/** Rounds are counted from here, and not from 1970: the fewer there are, the finer a number tells their parts. */
const BEGINNING = Date.UTC(2026, 0, 1)

/** The tapped tempo: at the instant `at`, milliseconds since 1970, so many beats were over. */
export interface Beat {
  readonly perMinute: number
  readonly at: number
  readonly beats: number
}
/** Where nobody tapped. */
export const FIRST_BEAT: Beat = { perMinute: 120, at: BEGINNING, beats: 0 }

/** The beats that are over at an instant. */
export function beatsAt({ perMinute, at, beats }: Beat, now: number): number {
  return beats + ((now - at) / MINUTE) * perMinute
}

/** Another tempo from an instant on; the beats go on from where they are. */
export function tapped(beat: Beat, perMinute: number, now: number): Beat {
  return { perMinute, at: now, beats: beatsAt(beat, now) }
}

/** The pace of taps, beats a minute, from the instants of the last few; null for fewer than two, or ones too far apart. */
export function paceOfTaps(taps: readonly number[]): number | null {
  const [first, last] = [taps[0], taps.at(-1)]
  if (first === undefined || last === undefined || last <= first) return null
  return ((taps.length - 1) * MINUTE) / (last - first)
}

/** The rounds the clock has run in a tempo. */
function clockRounds(tempo: Tempo, beat: Beat, now: number): number {
  return tempo.by === 'minute' ? ((now - BEGINNING) / MINUTE) * tempo.rounds : beatsAt(beat, now) / tempo.beats
}

/**
 * The rounds a fixture has run at an instant, from any beginning: those of one place differ by the rounds
 * between. Of a path that comes back only the part of the last counts.
 */
export function roundsAt({ start, tempo, backwards, lag }: Running, beat: Beat, now: number): number {
  const rounds = start + clockRounds(tempo, beat, now)
  return (backwards ? -rounds : rounds) - lag
}

/** The rounds a minute a movement makes. */
export function roundsAMinute({ tempo }: Pick<Running, 'tempo'>, { perMinute }: Pick<Beat, 'perMinute'>): number {
  return tempo.by === 'minute' ? tempo.rounds : perMinute / tempo.beats
}

/**
 * What comes round in another tempo or direction from an instant on: it is at that instant where it was, and goes
 * on from there.
 */
export function inTempo<R extends Movement | Wave>(
  run: R,
  { tempo, backwards }: Pick<Running, 'tempo' | 'backwards'>,
  beat: Beat,
  now: number,
): R {
  const wanted = roundsAt(run, beat, now) + run.lag
  const start = (backwards ? -wanted : wanted) - clockRounds(tempo, beat, now)
  return { ...run, tempo, backwards, start: comesBack(run) ? ofRound(start) : start }
}
