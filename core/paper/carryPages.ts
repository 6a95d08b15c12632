/** The carry sheet on paper: cues down, fixtures across by hang; what is set in a cue, carried, loose or let go. */
import { carrySheet, type SheetPoint } from '../cues/carrySheet'
import { listsInOrder, type CueInOrder, type ListInOrder } from '../cues/tracking'
import type { Family } from '../attributes/families'
import { widthOf } from '../drawing/namePlaces'
import { fixtureNumber } from '../show/cells'
import { hangsOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { inPoints, escaped, INKS, UNIT_MM, type Drawing } from './drawing/pen'
import type { Leaf } from './leaf'
import type { NumbersWanted } from './numbersWanted'
import { PALETTE_INKS } from './paletteInks'
import { printedArea, type PageSize } from './pageSizes'

/** Units of the drawing. */
const CELL = { width: 34, height: 20 }
const NAMES = 200
const HEADINGS = 46

interface FixtureColumn {
  readonly rigged: RiggedFixture
  readonly hang: string
}

export function* carryPages(show: Show, size: PageSize, wanted: NumbersWanted, family: Family): Generator<Leaf> {
  const area = printedArea(size, true)
  const across = Math.max(1, Math.floor((area.widthMm / UNIT_MM - NAMES) / CELL.width))
  const down = Math.max(1, Math.floor(((area.heightMm - 14) / UNIT_MM - HEADINGS) / CELL.height))
  const columns = hangsOf(show).flatMap(({ hang, fixtures }) =>
    fixtures.map((rigged): FixtureColumn => ({ rigged, hang: hang.name })),
  )
  for (const list of listsInOrder(show)) {
    const cues = list.cues.map((cue, at) => ({ ...cue, at })).filter(({ cue }) => wanted(cue.number))
    for (const some of inParts(cues, down))
      for (const of of inParts(columns, across)) yield pageOf(show, list, family, some, of)
  }
}

function inParts<T>(all: readonly T[], size: number): T[][] {
  return Array.from({ length: Math.ceil(all.length / size) }, (_, i) => all.slice(i * size, (i + 1) * size))
}

type CueAt = CueInOrder & { readonly at: number }

function pageOf(
  show: Show,
  { id, list }: ListInOrder,
  family: Family,
  cues: readonly CueAt[],
  columns: readonly FixtureColumn[],
): Leaf {
  const [first, last] = [cues[0]?.cue.number ?? '', cues.at(-1)?.cue.number ?? '']
  return {
    key: `carry ${id} ${family} ${cues[0]?.id ?? ''} ${columns[0]?.rigged.id ?? ''}`,
    title: `${list.name}, ${family}`,
    under: `carry sheet of cues ${first} to ${last}, fixtures ${numberOf(columns[0])} to ${numberOf(columns.at(-1))}; a field is set there by the palette of its number, a line is carried, ~ is loose, – lets go`,
    isLandscape: true,
    blocks: [{ kind: 'drawings', drawings: [{ title: '', drawing: sheetDrawing(show, id, family, cues, columns) }] }],
  }
}

const numberOf = (column: FixtureColumn | undefined) => (column ? fixtureNumber(column.rigged.fixture) : '')

function sheetDrawing(
  show: Show,
  list: ListInOrder['id'],
  family: Family,
  cues: readonly CueAt[],
  columns: readonly FixtureColumn[],
): Drawing {
  const sheet = carrySheet(show, list, family)
  const width = NAMES + columns.length * CELL.width
  const height = HEADINGS + cues.length * CELL.height
  const parts = [...headings(columns), ...cues.map((cue, i) => cueLine(cue, i, width))]
  cues.forEach(({ at }, row) =>
    columns.forEach(({ rigged }, column) => {
      const point = sheet.point(at, rigged.id)
      if (point) parts.push(cellDrawn(show, point, at, NAMES + column * CELL.width, HEADINGS + row * CELL.height))
    }),
  )
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${inPoints(width * UNIT_MM)}" height="${inPoints(height * UNIT_MM)}" viewBox="0 0 ${width} ${height}">${parts.join('')}</svg>`,
    widthMm: width * UNIT_MM,
    heightMm: height * UNIT_MM,
  }
}

function headings(columns: readonly FixtureColumn[]): string[] {
  return columns.flatMap(({ rigged, hang }, i) => {
    const x = NAMES + i * CELL.width
    const isFirst = columns[i - 1]?.hang !== hang
    return [
      text(x + CELL.width / 2, HEADINGS - 8, fixtureNumber(rigged.fixture), 'middle', true),
      isFirst ? text(x + 4, 14, fitting(hang, lengthOfRun(columns, i) * CELL.width - 6), 'start', false) : '',
      isFirst ? `<path d="M${x} 0V${HEADINGS}" stroke="${INKS.middle}" stroke-width="0.8"/>` : '',
    ]
  })
}

/** How many columns from one on are on the same hang. */
function lengthOfRun(columns: readonly FixtureColumn[], from: number): number {
  const end = columns.findIndex(({ hang }, i) => i > from && hang !== columns[from]?.hang)
  return (end < 0 ? columns.length : end) - from
}

/** As much of some words as goes into a width, with an ellipsis for the rest. */
function fitting(words: string, width: number): string {
  if (widthOf(words) <= width) return words
  const kept = [...words].findIndex((_, i, all) => widthOf(`${all.slice(0, i + 1).join('')}…`) > width)
  return `${words.slice(0, Math.max(0, kept))}…`
}

function cueLine({ cue }: CueAt, row: number, width: number): string {
  const y = HEADINGS + row * CELL.height
  return (
    `<path d="M0 ${y}H${width}" stroke="${INKS.faint}" stroke-width="0.6"/>` +
    text(2, y + 14, String(cue.number), 'start', true) +
    text(44, y + 14, fitting(cue.name, NAMES - 50), 'start', false)
  )
}

function cellDrawn(show: Show, point: SheetPoint, at: number, x: number, y: number): string {
  const palette = point.palette === null ? undefined : show.all.palette.get(point.palette)
  const ink = palette ? PALETTE_INKS[palette.colour] : INKS.middle
  if (point.at !== at)
    return `<path d="M${x + CELL.width / 2} ${y}v${CELL.height}" stroke="${ink}" stroke-width="2"${point.isLoose ? ' stroke-dasharray="3 3"' : ''}/>`
  const words = palette ? String(palette.number) : point.isRest ? '–' : '~'
  return (
    `<rect x="${x + 2}" y="${y + 2}" width="${CELL.width - 4}" height="${CELL.height - 4}" rx="3" fill="${ink}" fill-opacity="0.18" stroke="${ink}" stroke-width="1"/>` +
    text(x + CELL.width / 2, y + 14, words, 'middle', true)
  )
}

function text(x: number, y: number, words: string, anchor: 'start' | 'middle', isBold: boolean): string {
  return `<text x="${x}" y="${y}" font-size="11" fill="${INKS.line}" text-anchor="${anchor}"${isBold ? ' font-weight="bold"' : ''}>${escaped(words)}</text>`
}
