/** What a palette holds as a table: whom it serves down, attributes across, equal rows in one. */
import { group } from 'd3-array'
import { inCatalogueOrder, type Attribute } from '../attributes/attribute'
import { writtenFixtures } from '../selection/written'
import { numberOfFixture } from '../show/cells'
import type { FixtureId, PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { paletteLines, type PaletteLine } from './paletteLines'

export interface PaletteRow {
  /** "12-17", "every Tern 700", "any fixture". */
  readonly whom: string
  /** The fixtures of the row; none for a type or any. */
  readonly fixtures: readonly FixtureId[]
  /** What it holds for them, in words. */
  readonly cells: ReadonlyMap<Attribute, string>
}

export interface PaletteTable {
  readonly attributes: readonly Attribute[]
  readonly rows: readonly PaletteRow[]
}

/** A row for each whom, wide ones first, then fixtures by number; those that hold the same are folded together. */
export function paletteTable(show: Show, palette: PaletteId): PaletteTable {
  const lines = paletteLines(show, palette)
  const plain = [...group(lines, ({ fixture, whom }) => fixture ?? whom).values()].map(rowOf)
  const folded = group(plain, ({ fixtures, whom, cells }) => JSON.stringify([fixtures.length === 0 && whom, ...cells]))
  return {
    attributes: [...new Set(lines.map(({ attribute }) => attribute))].sort(inCatalogueOrder),
    rows: [...folded.values()].map((rows) => foldedRow(show, rows)),
  }
}

function rowOf(lines: readonly PaletteLine[]): PaletteRow {
  const [first] = lines
  return {
    whom: first?.whom ?? '',
    fixtures: first?.fixture ? [first.fixture] : [],
    cells: new Map(lines.map(({ attribute, value }) => [attribute, value])),
  }
}

function foldedRow(show: Show, rows: readonly PaletteRow[]): PaletteRow {
  const [first] = rows
  const isAlone = rows.length < 2
  const fixtures = rows.flatMap((row) => row.fixtures)
  return {
    whom: isAlone ? (first?.whom ?? '') : writtenFixtures(show, fixtures),
    fixtures,
    cells: first?.cells ?? new Map(),
  }
}

/** The rows that a folded one is made of, one a fixture. */
export function unfolded(show: Show, { fixtures, cells }: PaletteRow): PaletteRow[] {
  return fixtures.map((id) => ({ whom: numberOfFixture(show, id), fixtures: [id], cells }))
}
