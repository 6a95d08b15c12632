/** Focus charts by fixture: a leaf for each head, with all the palettes that give it a place. */
import type { StageFixture } from '../cues/onStage'
import { paletteLight } from '../cues/paletteLight'
import { cueCounts } from '../palettes/use'
import { palettesInOrder } from '../palettes/resolve'
import { valueInWords } from '../refocus/paletteLines'
import { LEADING } from '../attributes/catalogue'
import { fixtureNumber } from '../show/cells'
import type { FixtureId, PaletteId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { offsetInWords } from '../geometry/lengthInWords'
import { ROOM, strong, TICK, words } from './cell'
import { LIGHT_COLUMNS, lightCells } from './chartLine'
import { planDrawing } from './drawing/stageDrawings'
import type { Column, Leaf, Row } from './leaf'
import type { NumbersWanted } from './numbersWanted'
import { printedArea, type PageSize } from './pageSizes'

const COLUMNS: readonly Column[] = [
  { title: '' },
  { title: 'palette' },
  { title: 'lights' },
  ...LIGHT_COLUMNS,
  { title: 'cues', align: 'right' },
  { title: 'note', width: 'rest' },
]
const DRAWN_PART = 0.34
const WRITING_LINES = 3

interface InPalette {
  readonly palette: PaletteId
  readonly light: StageFixture
}

/** One leaf after the other, by number. */
export function* fixtureCharts(show: Show, size: PageSize, wanted: NumbersWanted): Generator<Leaf> {
  const inPalettes = palettesOfFixtures(show)
  for (const rigged of rigOf(show).values()) {
    const lights = inPalettes.get(rigged.id)
    if (lights && wanted(rigged.fixture.number)) yield fixtureChart(show, size, rigged, lights)
  }
}

function palettesOfFixtures(show: Show): ReadonlyMap<FixtureId, readonly InPalette[]> {
  const found = new Map<FixtureId, InPalette[]>()
  for (const { id } of palettesInOrder(show))
    for (const light of paletteLight(show, id)) {
      const known = found.get(light.rigged.id)
      if (known) known.push({ palette: id, light })
      else found.set(light.rigged.id, [{ palette: id, light }])
    }
  return found
}

function fixtureChart(show: Show, size: PageSize, rigged: RiggedFixture, lights: readonly InPalette[]): Leaf {
  const { fixture, type, mount } = rigged
  const facts: [string, string][] = [
    ['type', `${type.maker} ${type.name}`],
    ['hangs on', show.all.hang.get(rigged.place.hang)?.name ?? ''],
    ['turns about', offsetInWords(mount.pivot) || 'the origin'],
  ]
  if (fixture.universe !== null && fixture.address !== null)
    facts.push(['patched', `universe ${fixture.universe}, address ${fixture.address}`])
  if (fixture.note) facts.push(['note', fixture.note])
  const area = printedArea(size, false)
  const drawing = planDrawing(
    show,
    { light: lights.map(({ light }) => light), places: namedPlaces(show, lights) },
    { widthMm: area.widthMm, heightMm: area.heightMm * DRAWN_PART },
  )
  return {
    key: `fixture ${rigged.id}`,
    title: `${fixtureNumber(fixture)}  ${fixture.name || type.name}`,
    under: fixture.name ? type.name : '',
    isLandscape: false,
    blocks: [
      { kind: 'facts', facts },
      { kind: 'drawings', drawings: [{ title: 'in plan, places by the numbers of their palettes', drawing }] },
      { kind: 'table', columns: COLUMNS, rows: lights.map((one) => rowOf(show, rigged, one)) },
      { kind: 'writing', lines: WRITING_LINES },
    ],
  }
}

/** The places a fixture lights, by the numbers of the palettes that take it there. */
function namedPlaces(show: Show, lights: readonly InPalette[]) {
  return lights.flatMap(({ palette, light }) => {
    const number = show.all.palette.get(palette)?.number
    return light.position.point && number !== undefined ? [{ name: String(number), at: light.position.point }] : []
  })
}

function rowOf(show: Show, rigged: RiggedFixture, { palette, light }: InPalette): Row {
  const known = show.all.palette.get(palette)
  const { positionValue } = light
  return {
    key: `fixture ${rigged.id} palette ${palette}`,
    cells: [
      TICK,
      strong(`${known?.number ?? ''} ${known?.name ?? ''}`),
      words(positionValue ? valueInWords(show, positionValue, LEADING.place, rigged.type) : ''),
      ...lightCells(show, palette, light),
      words(String(cueCounts(show).get(palette) ?? 0)),
      ROOM,
    ],
  }
}
