/** What of a show lights before it is in place, and what is brought there in the dark: in lines people read. */
import { group } from 'd3-array'
import { FAMILIES, type Family } from '../attributes/families'
import type { DarkMove } from '../cues/darkMoves'
import type { StaysLive } from '../cues/darkPlace'
import type { CueId, FixtureId } from '../show/ids'

/** What is wrong with something that stays live: it is seen on its way though there might be time, or there is not. */
export type DarkFault = 'wrongPlace' | 'noTime'

/** What is wrong with it; null where it moves in the dark, or stays live on purpose. */
export function darkFaultOf({ place }: DarkMove): DarkFault | null {
  if (place.kind === 'goes' || place.why === 'on purpose') return null
  return place.why === 'no time' ? 'noTime' : 'wrongPlace'
}

/** Fixtures that do the same for the same cue. */
export interface DarkLine {
  /** The same as long as these do the same for this cue. */
  readonly key: string
  /** The cue in which they light. */
  readonly cue: CueId
  readonly at: number
  readonly fixtures: readonly FixtureId[]
  readonly families: readonly Family[]
  /** The cue they go in, and seconds after it has started, the last of them; null for what stays live. */
  readonly goesIn: { readonly cue: CueId; readonly delay: number } | null
  readonly why: StaysLive | null
  readonly fault: DarkFault | null
  /** Seconds the slowest needs, and by how many its time is too short at most; null where it is not, or not known. */
  readonly needs: number
  readonly short: number | null
}

/** Moves in the dark and what stays live, those alike in one line, in the order of the cues they light in, what moves first. */
export function darkLines(moves: readonly DarkMove[]): DarkLine[] {
  const outcomeOf = ({ place }: DarkMove) => (place.kind === 'goes' ? `in ${place.cue}` : place.why)
  const ofFixture = group(moves, (move) => `${move.cue} ${move.fixture} ${outcomeOf(move)}`)
  const alike = group(
    [...ofFixture.values()],
    ([first, ...rest]) => first && `${first.cue} ${outcomeOf(first)} ${familiesOf([first, ...rest]).join(' ')}`,
  )
  return [...alike.values()]
    .flatMap((groups) => lineOf(groups.flat()) ?? [])
    .sort((a, b) => a.at - b.at || Number(a.why !== null) - Number(b.why !== null))
}

const familiesOf = (moves: readonly DarkMove[]) =>
  FAMILIES.filter((family) => moves.some((move) => move.family === family))

function lineOf(moves: readonly DarkMove[]): DarkLine | null {
  const [first] = moves
  if (!first) return null
  const delays = moves.flatMap(({ place }) => (place.kind === 'goes' ? [place.delay] : []))
  const shorts = moves.flatMap(({ place }) => (place.kind === 'stays' ? (place.short ?? []) : []))
  const { place } = first
  return {
    key: [first.cue, ...familiesOf(moves), first.fixture].join(' '),
    cue: first.cue,
    at: first.at,
    fixtures: [...new Set(moves.map(({ fixture }) => fixture))],
    families: familiesOf(moves),
    goesIn: place.kind === 'goes' ? { cue: place.cue, delay: Math.max(...delays) } : null,
    why: place.kind === 'stays' ? place.why : null,
    fault: darkFaultOf(first),
    needs: Math.max(...moves.map(({ needs }) => needs)),
    short: shorts.length > 0 ? Math.max(...shorts) : null,
  }
}
