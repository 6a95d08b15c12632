/** Blocks of a leaf as pdfmake lays them out. */
import type { Column as PdfColumn, Content, CustomTableLayout, TableCell } from 'pdfmake/interfaces'
import type { LeafChanges, Mark } from './changes'
import { inPoints, INKS } from './drawing/pen'
import type { Block, Card, Column, PaperCell, Row } from './leaf'

/** Sizes of letters, points. */
export const SIZE = { title: 15, under: 8.5, words: 7.8, head: 6.8, foot: 7 } as const
/** Of a box to tick, and between lines to write on; points. */
const TICK_SIZE = 7
const WRITING = 19
/** Between blocks, and between drawings beside each other; points. */
const GAP = 7
const BESIDE = inPoints(4)
const MARK_WORDS: Readonly<Record<Mark, string>> = { new: 'new', changed: 'other' }
const MARK_FILL = '#fbeee6'

const LINES: CustomTableLayout = {
  hLineWidth: (i) => (i <= 1 ? 0.7 : 0.35),
  vLineWidth: () => 0,
  hLineColor: (i) => (i <= 1 ? INKS.middle : INKS.faint),
  paddingLeft: () => 2,
  paddingRight: () => 2,
  paddingTop: () => 2,
  paddingBottom: () => 1.6,
}

/** `changes` is null where nothing is known of a print before; `width` what of the page can be filled, points. */
export function blockLaidOut(block: Block, changes: LeafChanges | null, width: number): Content {
  switch (block.kind) {
    case 'words':
      return { text: block.words, bold: true, fontSize: SIZE.under, margin: [0, GAP, 0, 2] }
    case 'facts':
      return { text: factsLine(block.facts), margin: [0, 0, 0, GAP] }
    case 'drawings':
      return { columns: block.drawings.map(drawingLaidOut), columnGap: BESIDE, margin: [0, 0, 0, GAP] }
    case 'table':
      return tableLaidOut(block.columns, block.rows, changes)
    case 'cards':
      return cardsLaidOut(block.cards, block.across, changes, width)
    case 'writing':
      return { stack: Array.from({ length: block.lines }, () => writingLine(width)), margin: [0, GAP, 0, 0] }
  }
}

function factsLine(facts: readonly (readonly [string, string])[]): Content[] {
  return facts.flatMap(([name, value], i) => [
    { text: `${i === 0 ? '' : '     '}${name} `, color: INKS.middle },
    { text: value },
  ])
}

function drawingLaidOut({ title, drawing }: Extract<Block, { kind: 'drawings' }>['drawings'][number]): PdfColumn {
  const svg: Content = { svg: drawing.svg, width: inPoints(drawing.widthMm), height: inPoints(drawing.heightMm) }
  const stack: Content[] = title ? [{ text: title, color: INKS.middle, fontSize: SIZE.head }, svg] : [svg]
  return { width: inPoints(drawing.widthMm), stack }
}

/** Where a paper was printed before, a column at the left tells what is new or other than then. */
function tableLaidOut(columns: readonly Column[], rows: readonly Row[], changes: LeafChanges | null): Content {
  const head = columns.map(({ title, align }) => headCell(title, align))
  const widths = columns.map(({ width }) => (width === 'rest' ? '*' : width === undefined ? 'auto' : inPoints(width)))
  const isMarked = changes !== null
  const body = rows.map((row) => {
    const mark = changes?.marks.get(row.key)
    const cells = row.cells.map((cell, i) => cellLaidOut(cell, columns[i], mark))
    return isMarked ? [markCell(mark), ...cells] : cells
  })
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: isMarked ? [inPoints(8), ...widths] : widths,
      body: [isMarked ? [headCell('', undefined), ...head] : head, ...body],
    },
    layout: LINES,
    margin: [0, 0, 0, GAP],
  }
}

const ALIGNMENTS = { right: 'right', centre: 'center' } as const
const alignmentOf = (align: Column['align']) => (align ? ALIGNMENTS[align] : 'left')

function headCell(title: string, align: Column['align']): TableCell {
  return { text: title, fontSize: SIZE.head, color: INKS.middle, alignment: alignmentOf(align) }
}

function markCell(mark: Mark | undefined): TableCell {
  return mark
    ? { text: MARK_WORDS[mark], color: INKS.mark, bold: true, fontSize: SIZE.head, fillColor: MARK_FILL }
    : { text: '' }
}

function cellLaidOut(cell: PaperCell, column: Column | undefined, mark: Mark | undefined): TableCell {
  const alignment = alignmentOf(column?.align)
  const fill = mark ? { fillColor: MARK_FILL } : {}
  switch (cell.kind) {
    case 'words':
      return { text: cell.words, bold: cell.isStrong === true, alignment, ...fill }
    case 'drawing': {
      const { svg, widthMm } = cell.drawing
      return { svg, width: inPoints(widthMm), alignment, ...fill }
    }
    case 'tick':
      return {
        canvas: [{ type: 'rect', x: 0, y: 1, w: TICK_SIZE, h: TICK_SIZE, lineWidth: 0.6, lineColor: INKS.middle }],
        ...fill,
      }
    case 'room':
      return { text: '', ...fill }
  }
}

function writingLine(width: number): Content {
  return {
    canvas: [{ type: 'line', x1: 0, y1: WRITING, x2: width, y2: WRITING, lineWidth: 0.4, lineColor: INKS.faint }],
  }
}

function cardsLaidOut(cards: readonly Card[], across: number, changes: LeafChanges | null, width: number): Content {
  const rows = Array.from({ length: Math.ceil(cards.length / across) }, (_, i) =>
    Array.from({ length: across }, (_, j) => cardLaidOut(cards[i * across + j], changes)),
  )
  return {
    table: { dontBreakRows: true, widths: Array.from({ length: across }, () => width / across - 9), body: rows },
    layout: {
      hLineWidth: () => 0.5,
      vLineWidth: () => 0.5,
      hLineColor: () => INKS.faint,
      vLineColor: () => INKS.faint,
      paddingTop: () => 3,
      paddingBottom: () => 3,
    },
  }
}

function cardLaidOut(card: Card | undefined, changes: LeafChanges | null): TableCell {
  if (!card) return { text: '' }
  const mark = changes?.marks.get(card.key)
  const stripe: Content[] = card.colour
    ? [{ canvas: [{ type: 'rect', x: 0, y: 0, w: 30, h: 3, color: card.colour }], margin: [0, 0, 0, 2] }]
    : []
  const drawn: Content[] = card.drawing
    ? [{ svg: card.drawing.svg, width: inPoints(card.drawing.widthMm), margin: [0, 2, 0, 0] }]
    : []
  return {
    stack: [
      ...stripe,
      {
        text: [
          { text: card.title, bold: true },
          ...(mark ? [{ text: `  ${MARK_WORDS[mark]}`, color: INKS.mark }] : []),
        ],
      },
      { text: card.words, fontSize: SIZE.head, color: INKS.middle },
      ...drawn,
    ],
    ...(mark ? { fillColor: MARK_FILL } : {}),
  }
}
