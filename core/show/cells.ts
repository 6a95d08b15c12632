/**
 * Fixtures with several light sources in a row. Each cell is a fixture by itself, so that whatever
 * holds values of fixtures holds those of cells; it has no place, type or address of its own.
 */
import { cellId } from './compositeIds'
import { touchedBy } from './changes'
import type { Draft } from './draft'
import { derived } from './derived'
import type { Fixture, FixtureType } from './entities'
import { asFixtureId, type FixtureId, type FixtureTypeId } from './ids'
import type { ShowPart } from './show'

type Parts = readonly [asWhole: FixtureType, asCell: FixtureType]
const partsOfTypes = new WeakMap<FixtureType, Parts>()

function partsOf(type: FixtureType): Parts {
  const known = partsOfTypes.get(type)
  if (known) return known
  const own = new Set<string>(type.cells?.has)
  const parts = [
    { ...type, has: type.has.filter((attribute) => !own.has(attribute)) },
    { ...type, has: type.has.filter((attribute) => own.has(attribute)) },
  ] as const
  partsOfTypes.set(type, parts)
  return parts
}

/** What a fixture of a type does as a whole: without what its cells do each by itself. */
export function typeAsWhole(type: FixtureType): FixtureType {
  return type.cells ? partsOf(type)[0] : type
}

/** What each cell of a type does; nothing of one without cells. */
export function typeOfCell(type: FixtureType): FixtureType {
  return partsOf(type)[1]
}

/** The fixture something belongs to: the bar of a cell, else itself. */
export function wholeOf(show: ShowPart<'fixture'>, fixture: FixtureId): FixtureId {
  return show.all.fixture.get(fixture)?.bar ?? fixture
}

/** The type of a fixture, of a cell that of its bar; null for one without. */
export function typeIdOf(show: ShowPart<'fixture'>, fixture: FixtureId): FixtureTypeId | null {
  return show.all.fixture.get(wholeOf(show, fixture))?.type ?? null
}

/** The fixtures some belong to, each once: what hangs, is numbered and patched as one. */
export function wholesAmong(show: ShowPart<'fixture'>, fixtures: readonly FixtureId[]): FixtureId[] {
  return [...new Set(fixtures.map((id) => wholeOf(show, id)))]
}

/** For each of some fixtures what it is counted as: its bar where that is among them, else itself. */
export function countedAs(
  show: ShowPart<'fixture'>,
  fixtures: readonly FixtureId[],
): ReadonlyMap<FixtureId, FixtureId> {
  const among = new Set(fixtures)
  return new Map(
    fixtures.map((id) => {
      const whole = wholeOf(show, id)
      return [id, among.has(whole) ? whole : id]
    }),
  )
}

/** The fixtures of a show that are no cells. */
export function wholeFixtures(show: ShowPart<'fixture'>): [FixtureId, Fixture][] {
  return [...show.all.fixture].flatMap(([id, fixture]) => (fixture.bar === null ? [[asFixtureId(id), fixture]] : []))
}

/** The cells that fixtures lack by their types. */
const missingCells = derived(['fixture', 'fixtureType'], ({ all }): readonly ReturnType<typeof cellOf>[] =>
  [...all.fixture].flatMap(([id, { bar, number, type }]) => {
    const count = bar === null ? (all.fixtureType.get(type ?? '')?.cells?.count ?? 0) : 0
    return Array.from({ length: count }, (_, i) => cellOf(asFixtureId(id), number, i + 1)).filter(
      ({ cell }) => !all.fixture.has(cellId(id, cell)),
    )
  }),
)

/**
 * Gives fixtures that a draft made or changed the cells of their type, under their numbers, and any
 * that lack some: undoing a change of a type can leave those behind that came in between. Cells that
 * a type has no more stay with all they hold; they are not there until the type has them again.
 */
export function keepCells(draft: Draft): void {
  const touched = touchedBy(draft.changes())
  const isConcerned = touched.has('fixture') || touched.has('fixtureType')
  if (!isConcerned && missingCells(draft.before).length === 0) return
  const after = draft.result()
  for (const cell of missingCells(after)) draft.put('fixture', cellId(cell.bar, cell.cell), cell)
  const { all } = after
  for (const [id, { bar, number }] of all.fixture) {
    const whole = bar === null ? undefined : all.fixture.get(bar)
    if (whole && whole.number !== number) draft.set('fixture', id, 'number', whole.number)
  }
}

function cellOf(bar: FixtureId, number: number, cell: number) {
  return { number, name: '', type: null, mode: null, universe: null, address: null, note: '', bar, cell }
}

type Numbered = Pick<Fixture, 'number' | 'cell'>

/** A fixture's number as people write it: "12", of a cell "12.3". */
export function fixtureNumber({ number, cell }: Numbered): string {
  return cell === null ? String(number) : `${number}.${cell}`
}

/** The number of a fixture by its id; "?" for one that is not there. */
export function numberOfFixture(show: ShowPart<'fixture'>, fixture: string | null | undefined): string {
  const known = show.all.fixture.get(fixture ?? '')
  return known ? fixtureNumber(known) : '?'
}

/** Sorts by number; cells come after their bar. */
export function byNumber(a: Numbered, b: Numbered): number {
  return a.number - b.number || (a.cell ?? 0) - (b.cell ?? 0)
}
