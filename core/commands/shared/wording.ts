/** Wording that several commands share. */
import type { StayingLoose } from '../../palettes/unserved'
import type { FixtureId } from '../../show/ids'
import type { Show } from '../../show/show'
import { plural } from '../../show/counted'

/** "fixture 12" or "6 fixtures". */
export function fixturesInWords(show: Show, fixtures: readonly FixtureId[]): string {
  const [only] = fixtures
  if (only === undefined || fixtures.length !== 1) return `${fixtures.length} fixtures`
  return `fixture ${show.all.fixture.get(only)?.number ?? only}`
}

/** "; 2 cue values and 1 in hand stay as they are, loose": what a change leaves behind; empty for nothing. */
export function looseInWords({ inCues, inHand }: StayingLoose): string {
  if (inCues + inHand === 0) return ''
  const parts = [inCues > 0 ? `${inCues} cue ${plural(inCues, 'value')}` : '', inHand > 0 ? `${inHand} in hand` : '']
  const stay = plural(inCues + inHand, 'stays as it is', 'stay as they are')
  return `; ${parts.filter(Boolean).join(' and ')} ${stay}, loose`
}
