/** Hang plots: the rig in plan to a chosen scale, on as many sheets as it takes, which are joined at their marks. */
import { drawnHangs } from '../drawing/drawnHangs'
import { fixtureSign } from '../drawing/fixtureSign'
import { widthOf } from '../drawing/namePlaces'
import { PLAN, type StagePoint } from '../drawing/projections'
import { hangsOf } from '../show/rig'
import { setPiecesOf } from '../show/setPieces'
import { FORMS } from '../show/entities'
import { entity, showRecordOf, type Show } from '../show/show'
import { drawFloor } from './drawing/ground'
import { drawHangs, nameHangs } from './drawing/hangs'
import { inPoints, INKS, NAME_SIZE, Pen, UNIT_MM, viewAround, type Drawing } from './drawing/pen'
import { drawRuler } from './drawing/ruler'
import { drawSetInPlan, nameSet } from './drawing/set'
import { number, strong, words } from './cell'
import type { Column, Leaf, Row } from './leaf'
import { printedArea, type PageSize, type PrintedArea } from './pageSizes'
import { besideSheet, nameOfSheet, OVERLAP_MM, plotSheets, type PlotSheet } from './plotSheets'

/** Under the drawing of a sheet: its title block. Millimetres. */
const BLOCK_MM = 16
/** Above it, for title and facts. */
const ABOVE_MM = 8
/** Kept round what is drawn, metres. */
const SPARE = 1

const HANG_COLUMNS: readonly Column[] = [
  { title: 'hang' },
  { title: 'form' },
  { title: 'stage left', align: 'right' },
  { title: 'upstage', align: 'right' },
  { title: 'height', align: 'right' },
  { title: 'length', align: 'right' },
  { title: 'yaw', align: 'right' },
  { title: 'fixtures: where along it, m', width: 'rest' },
]

/** `wanted` is so many metres of the stage to one on paper; null for as large as goes on one sheet. */
export function* hangPlot(show: Show, size: PageSize, wanted: number | null): Generator<Leaf> {
  const area = printedArea(size, true)
  const paper = { widthMm: area.widthMm, heightMm: area.heightMm - BLOCK_MM - ABOVE_MM }
  const corners = plotCorners(show)
  const scale = wanted ?? viewAround(corners, PLAN, paper, SPARE).scale
  const plot = plotSheets(corners, paper, scale, SPARE)
  const isJoined = plot.sheets.length > 1
  for (const sheet of plot.sheets) {
    const name = nameOfSheet(sheet)
    const joined = isJoined ? `; joins ${besideSheet(sheet, plot).join(', ')}, ${OVERLAP_MM} mm over each other` : ''
    yield {
      key: `plot ${scale} ${name}`,
      title: isJoined ? `Hang plot, sheet ${name}` : 'Hang plot',
      under: `scale 1:${scale} on ${size}${joined}`,
      isLandscape: true,
      blocks: [
        { kind: 'drawings', drawings: [{ title: '', drawing: sheetDrawing(show, sheet, paper, scale) }] },
        {
          kind: 'drawings',
          drawings: [
            {
              title: '',
              drawing: titleBlock(show, paper.widthMm, `1:${scale}`, isJoined ? `sheet ${name}` : ''),
            },
          ],
        },
      ],
    }
  }
  yield hangTable(show)
}

/** Everything that hangs and stands, and the stage. */
function plotCorners(show: Show): StagePoint[] {
  const venue = entity(show, 'venue', showRecordOf(show).venue)
  return [
    ...venue.outline,
    ...drawnHangs(show).flatMap(({ from, to, fixtures }) => [from, to, ...fixtures.map((one) => one.at)]),
  ]
}

function sheetDrawing(show: Show, { left, bottom }: PlotSheet, paper: PrintedArea, scale: number): Drawing {
  const pen = new Pen({ projection: PLAN, left, bottom, scale, ...paper })
  drawRig(pen, show)
  drawJoins(pen)
  drawRuler(pen)
  return pen.finished()
}

function drawRig(pen: Pen, show: Show): void {
  const hangs = drawnHangs(show)
  drawFloor(pen, entity(show, 'venue', showRecordOf(show).venue))
  drawSetInPlan(pen, setPiecesOf(show))
  drawHangs(pen, hangs, () => true)
  nameHangs(pen, hangs)
  nameSet(pen, setPiecesOf(show))
}

/** The plot on one sheet as large as it needs, as a drawing (SVG) whose millimetres are true to the scale. */
export function hangPlotSvg(show: Show, scale: number): string {
  const corners = plotCorners(show)
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)]
  const [left, bottom] = [Math.min(...xs) - SPARE, Math.min(...ys) - SPARE]
  const mm = (metres: number) => (metres * 1000) / scale
  const [widthMm, heightMm] = [mm(Math.max(...xs) + SPARE - left), mm(Math.max(...ys) + SPARE - bottom)]
  const pen = new Pen({ projection: PLAN, left, bottom, scale, widthMm, heightMm })
  drawRig(pen, show)
  drawRuler(pen)
  const { svg } = pen.finished()
  const [width, height] = [widthMm, heightMm].map((length) => length.toFixed(3))
  const box = `0 0 ${inPoints(widthMm)} ${inPoints(heightMm)}`
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="${box}">${svg}</svg>\n`
}

/** Crosses in the corners where the neighbouring sheets have theirs. */
function drawJoins(pen: Pen): void {
  const lap = OVERLAP_MM / 2 / UNIT_MM
  for (const x of [lap, pen.width - lap])
    for (const y of [lap, pen.height - lap])
      pen.path(`M${x - 8} ${y}h16M${x} ${y - 8}v16`, { stroke: INKS.middle, width: 0.15 })
}

/** What the signs mean, beside each other, and at the right what is drawn and how. */
function titleBlock(show: Show, widthMm: number, scale: string, sheet: string): Drawing {
  const pen = new Pen({ projection: PLAN, left: 0, bottom: 0, scale: 100, widthMm, heightMm: BLOCK_MM - 4 })
  const middle = pen.height / 2
  let x = 14
  for (const form of FORMS) {
    const types = [...show.all.fixtureType.values()].filter((type) => type.form === form).map(({ name }) => name)
    if (types.length === 0) continue
    const said = `${form}: ${types.join(', ')}`
    pen.path(fixtureSign(form, { x, y: middle }, 1, false), { fill: INKS.paper, stroke: INKS.line, width: 0.2 })
    pen.text({ x: x + 14, y: middle + 4 }, said)
    x += 40 + widthOf(said)
  }
  const { name, venue } = showRecordOf(show)
  const house = entity(show, 'venue', venue).name
  const under = [house, 'hang plot', scale, sheet, 'metres'].filter(Boolean).join(', ')
  const left = pen.width - Math.max(widthOf(name) * 1.2, widthOf(under)) - 24
  pen.path(`M${left} 0V${pen.height}`, { stroke: INKS.faint, width: 0.2 })
  pen.text({ x: left + 12, y: middle - 4 }, name, { isBold: true, size: NAME_SIZE + 2 })
  pen.text({ x: left + 12, y: middle + 14 }, under, { colour: INKS.middle })
  return pen.finished()
}

/** Where every hang is, and what hangs on it where. */
function hangTable(show: Show): Leaf {
  const rows = hangsOf(show).map(({ id, hang, place, fixtures }): Row => {
    const { origin, length, yaw } = place
    const heads = fixtures.map(({ fixture, place: own }) => `${fixture.number} at ${own.along.toFixed(2)}`)
    return {
      key: `hang ${id}`,
      cells: [
        strong(hang.name),
        words(hang.form),
        number(origin.x, 2, ' m'),
        number(origin.y, 2, ' m'),
        number(origin.z, 2, ' m'),
        number(length, 2, ' m'),
        number(yaw, 1, '°'),
        words(heads.join(', ')),
      ],
    }
  })
  return {
    key: 'hang table',
    title: 'Hangs',
    under: 'middle of each from the centre line, the setting line and the floor',
    isLandscape: true,
    blocks: [{ kind: 'table', columns: HANG_COLUMNS, rows }],
  }
}
