import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { SheetPoint } from '#core/cues/carrySheet'
import { RecordedBrush, RecordedPath, type Drawn } from '../../tests/support/recordedBrush'
import type { SheetInks } from './inks'
import { drawCellWords, SheetDrawing, type DrawnCell } from './sheet'

beforeAll(() => vi.stubGlobal('Path2D', RecordedPath))
afterAll(() => vi.unstubAllGlobals())

const INKS: SheetInks = {
  ground: 'ground',
  row: 'row',
  looked: 'looked',
  line: 'line',
  words: 'words',
  quiet: 'quiet',
  coral: 'coral',
  palettes: {
    brass: 'brass',
    coral: 'coral',
    kelp: 'kelp',
    shoal: 'shoal',
    heather: 'heather',
    rose: 'rose',
    amber: 'amber',
    sail: 'sail',
  },
}
const SIZE = { cell: 14, row: 32 }
const POINT: SheetPoint = { at: 0, stored: [], palette: null, isLoose: false, isRest: false, mark: null, source: null }
/** A cell in the nth column of the first row. */
const cell = (column: number, how: Partial<DrawnCell> = {}): DrawnCell => ({
  x: column * SIZE.cell,
  y: 0,
  point: POINT,
  isSet: true,
  ink: 'brass',
  isDark: false,
  isFaint: false,
  ...how,
})

function drawn(...cells: readonly DrawnCell[]): Drawn[] {
  const brush = new RecordedBrush()
  const drawing = new SheetDrawing(brush, INKS, SIZE)
  for (const one of cells) drawing.add(one)
  drawing.draw()
  return brush.drawn
}

describe('cells of the carry sheet', () => {
  it('are blocks in the colour of their palette where they are set, one path for all that look alike', () => {
    const [fill, ...others] = drawn(cell(0), cell(1), cell(5))
    expect(others).toEqual([])
    expect(fill).toMatchObject({ how: 'fill', ink: 'brass', alpha: 1 })
    expect(fill?.pieces.map(({ numbers: [x] }) => x)).toEqual([0, 14, 70])
  })

  it('are one line where what is carried goes on, and two where something else stands between', () => {
    const carried = { isSet: false, ink: 'kelp' }
    const [line] = drawn(cell(0, carried), cell(1, carried), cell(2, carried))
    expect(line?.pieces).toHaveLength(1)
    expect(line?.pieces[0]?.numbers[2]).toBeGreaterThan(2 * SIZE.cell)
    const apart = drawn(cell(0, carried), cell(1), cell(2, carried))
    expect(apart.find(({ ink }) => ink === 'kelp')?.pieces).toHaveLength(2)
  })

  it('are a broken line, and faint, where what is carried has no light', () => {
    const dark = { isSet: false, ink: 'kelp', isDark: true }
    const [lit] = drawn(cell(0, { isSet: false, ink: 'kelp' }))
    const [line] = drawn(cell(0, dark), cell(1, dark))
    expect(line?.pieces).toHaveLength(2)
    for (const { numbers } of line?.pieces ?? []) expect(numbers[2]).toBeLessThan(SIZE.cell / 2)
    expect(line?.alpha).toBeLessThan(lit?.alpha ?? 0)
  })

  it('are dashed where a plain number stands, and solid where a palette gives part of it', () => {
    const loose = { ...POINT, isLoose: true }
    const [outline] = drawn(cell(0, { point: loose, ink: null }))
    expect(outline).toMatchObject({ how: 'stroke', ink: 'coral' })
    expect(outline?.dash.length).toBeGreaterThan(0)
    expect(drawn(cell(0, { point: loose }))).toMatchObject([{ how: 'fill', ink: 'brass' }])
  })

  it('are a ring where a value is let go of, and nothing after it', () => {
    const rest = { ...POINT, isRest: true }
    const [ring] = drawn(cell(0, { point: rest, ink: null }))
    expect(ring).toMatchObject({ how: 'stroke', ink: 'quiet', pieces: [{ kind: 'move' }, { kind: 'arc' }] })
    expect(drawn(cell(0, { point: rest, ink: null, isSet: false }))).toEqual([])
  })

  it('have a bar at the left where they are blocked and a hole where they are held, over the block', () => {
    const [, bar] = drawn(cell(0, { point: { ...POINT, mark: 'blocked' } }))
    expect(bar).toMatchObject({ ink: 'words', alpha: 1, pieces: [{ kind: 'rect' }] })
    expect(bar?.pieces[0]?.numbers[2]).toBeLessThan(SIZE.cell / 2)
    const [, hole] = drawn(cell(0, { point: { ...POINT, mark: 'held' } }))
    expect(hole).toMatchObject({ ink: 'ground', pieces: [{ kind: 'arc' }] })
  })

  it('take as many fills as there are looks, however many cells there are', () => {
    const many = Array.from({ length: 3000 }, (_, i) =>
      cell(i, { ink: i % 2 ? 'brass' : 'rose', isDark: i % 3 === 0, isFaint: i % 5 === 0 }),
    )
    expect(drawn(...many).length).toBeLessThanOrEqual(2 * 2 * 2)
  })
})

describe('words in a cell', () => {
  it('are cut where they do not fit, and stay whole where they do', () => {
    const brush = new RecordedBrush()
    drawCellWords(brush, INKS, SIZE.row, cell(0), 'Lantern gallery', 200)
    drawCellWords(brush, INKS, SIZE.row, cell(0, { isSet: false }), 'Lantern gallery', 66)
    expect(brush.drawn.map(({ words, ink }) => [words, ink])).toEqual([
      ['Lantern gallery', 'ground'],
      ['Lantern…', 'quiet'],
    ])
  })
})
