/** A selection as one would type it. */
import { byNumber, fixtureNumber } from '../show/cells'
import type { Fixture } from '../show/entities'
import type { FixtureId } from '../show/ids'
import { rigOf, type RigKind } from '../show/rig'
import type { ShowPart } from '../show/show'

type Numbered = Pick<Fixture, 'number' | 'cell'>

interface Run {
  readonly first: Numbered
  last: Numbered
  count: number
}

/** How far one number lies from the next, among fixtures or among the cells of one; null between those. */
function stepBetween(from: Numbered, to: Numbered): number | null {
  if (from.cell === null && to.cell === null) return to.number - from.number
  return from.number === to.number && from.cell !== null && to.cell !== null ? to.cell - from.cell : null
}

function goesOn({ first, last }: Run, next: Numbered): boolean {
  const step = stepBetween(last, next)
  if (step !== 1 && step !== -1) return false
  return first === last || step === Math.sign(stepBetween(first, last) ?? 0)
}

/**
 * Fixture numbers in their order as an entry that selects them: "11-14, 21, 19-17, 12.1-8". Runs of
 * three and more neighbours become ranges; what is left out after `most` parts is counted.
 */
export function writtenSelection(numbers: readonly Numbered[], most = 6): string {
  const runs: Run[] = []
  for (const number of numbers) {
    const run = runs.at(-1)
    if (run && goesOn(run, number)) {
      run.last = number
      run.count += 1
    } else runs.push({ first: number, last: number, count: 1 })
  }
  const parts = runs.flatMap(({ first, last, count }) => {
    if (count > 2) return `${fixtureNumber(first)}-${last.cell ?? last.number}`
    return count === 2 ? [fixtureNumber(first), fixtureNumber(last)] : fixtureNumber(first)
  })
  return parts.length > most ? `${parts.slice(0, most).join(', ')} and more` : parts.join(', ')
}

/** Some fixtures without those cells that are all there beside their bar: its number means them too. */
export function namedByNumber(show: ShowPart<RigKind>, fixtures: readonly FixtureId[]): FixtureId[] {
  const chosen = new Set(fixtures)
  const isWhole = (bar: FixtureId) =>
    chosen.has(bar) &&
    rigOf(show)
      .get(bar)
      ?.cells.every((id) => chosen.has(id))
  return fixtures.filter((id) => {
    const bar = rigOf(show).get(id)?.bar
    return !bar || !isWhole(bar.id)
  })
}

/** Fixtures by number, each once: "11-14, 71.2". */
export function numbersInWords(show: ShowPart<RigKind>, fixtures: Iterable<FixtureId>): string {
  const numbers = namedByNumber(show, [...new Set(fixtures)]).flatMap((id) => show.all.fixture.get(id) ?? [])
  return writtenSelection(numbers.sort(byNumber), Infinity)
}

/** Fixtures as an entry that selects them; those that are not there any more are left out. */
export function writtenFixtures(show: ShowPart<RigKind>, fixtures: readonly FixtureId[], most?: number): string {
  const numbers = namedByNumber(show, fixtures).flatMap((id) => show.all.fixture.get(id) ?? [])
  return writtenSelection(numbers, most)
}
