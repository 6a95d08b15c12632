/** Wording that several commands share. */
import type { FixtureId } from '../show/ids'
import type { Show } from '../show/show'

/** "fixture 12" or "6 fixtures". */
export function fixturesInWords(show: Show, fixtures: readonly FixtureId[]): string {
  const [only] = fixtures
  if (only === undefined || fixtures.length !== 1) return `${fixtures.length} fixtures`
  return `fixture ${show.all.fixture.get(only)?.number ?? only}`
}

/** "position, beam and colour". */
export function listInWords(words: readonly string[]): string {
  if (words.length < 2) return words.join('')
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`
}

/** "; 2 cue values stay as they are, loose": what a change leaves behind in cues; empty for nothing. */
export function looseInWords(count: number): string {
  if (count === 0) return ''
  return count === 1 ? '; 1 cue value stays as it is, loose' : `; ${count} cue values stay as they are, loose`
}
