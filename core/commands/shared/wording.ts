/** Wording that several commands share. */
import type { StayingLoose } from '../../palettes/unserved'
import { numberOfFixture, wholesAmong } from '../../show/cells'
import type { FixtureId } from '../../show/ids'
import type { Show } from '../../show/show'
import { plural } from '../../show/counted'
import { listInWords } from '../../show/listInWords'

/** "fixture 12", "6 fixtures", "3 cells of fixture 12"; a fixture with its cells counts once. */
export function fixturesInWords(show: Show, fixtures: readonly FixtureId[]): string {
  const wholes = wholesAmong(show, fixtures)
  const [only] = wholes
  if (only === undefined || wholes.length !== 1) return `${wholes.length} fixtures`
  const [one] = fixtures
  if (fixtures.length === 1) return `fixture ${numberOfFixture(show, one)}`
  const cells = fixtures.includes(only) ? '' : `${fixtures.length} cells of `
  return `${cells}fixture ${numberOfFixture(show, only)}`
}

/** "Bar 1 and Bar 2", "Bar 1, Bar 2 and 4 more" */
export function namesInWords(names: readonly string[]): string {
  return listInWords(names.length > 3 ? [...names.slice(0, 2), `${names.length - 2} more`] : names)
}

/** "; 2 cue values and 1 in hand stay as they are, loose": what a change leaves behind; empty for nothing. */
export function looseInWords({ inCues, inHand }: StayingLoose): string {
  if (inCues + inHand === 0) return ''
  const parts = [inCues > 0 ? `${inCues} cue ${plural(inCues, 'value')}` : '', inHand > 0 ? `${inHand} in hand` : '']
  const stay = plural(inCues + inHand, 'stays as it is', 'stay as they are')
  return `; ${parts.filter(Boolean).join(' and ')} ${stay}, loose`
}
