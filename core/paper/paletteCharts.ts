/** Focus charts by palette: a leaf for each palette that gives a place. */
import { group } from 'd3-array'
import type { StageFixture } from '../cues/onStage'
import { paletteLight } from '../cues/paletteLight'
import { palettesInOrder } from '../palettes/resolve'
import { cuesUsing, servesInWords } from '../palettes/use'
import { valueInWords } from '../refocus/paletteLines'
import { LEADING } from '../attributes/catalogue'
import { counted } from '../show/counted'
import type { PaletteId } from '../show/ids'
import { pointOn } from '../show/targets'
import type { Show } from '../show/show'
import { stageOf } from '../venue/stage'
import { ROOM, strong, TICK, words } from './cell'
import { fixtureInWords, LIGHT_COLUMNS, lightCells } from './chartLine'
import { planDrawing, sideDrawing, type NamedPlace } from './drawing/stageDrawings'
import type { Block, Column, Leaf, Row } from './leaf'
import type { NumbersWanted } from './numbersWanted'
import { printedArea, type PageSize } from './pageSizes'

const COLUMNS: readonly Column[] = [
  { title: '' },
  { title: 'no.' },
  { title: 'type' },
  { title: 'on, at' },
  ...LIGHT_COLUMNS,
  { title: 'note', width: 'rest' },
]
/** So much of the width is the plan's; the view from the side has the rest. */
const PLAN_PART = 0.56
const GAP_MM = 4
/** So much of the page's height is for drawings. */
const DRAWN_PART = 0.36
/** Palettes with as many places as this are drawn without their names. */
const MOST_NAMES = 12
/** Of more places than this only their number is said. */
const MOST_PLACES = 4
const WRITING_LINES = 3

/** One leaf after the other, so that whoever waits sees how far it is. */
export function* paletteCharts(show: Show, size: PageSize, wanted: NumbersWanted): Generator<Leaf> {
  for (const { id, palette } of palettesInOrder(show)) {
    if (!wanted(palette.number)) continue
    const light = paletteLight(show, id)
    if (light.length > 0) yield paletteChart(show, size, id, light)
  }
}

function paletteChart(show: Show, size: PageSize, id: PaletteId, light: readonly StageFixture[]): Leaf {
  const palette = show.all.palette.get(id)
  const cues = cuesUsing(show, id)
  const { recorded, wider } = servesInWords(show, id)
  const facts: [string, string][] = [
    ['lights', placesInWords(show, light)],
    ['for', [recorded, wider].filter(Boolean).join(', ')],
    ['in', cues.length === 0 ? 'no cue' : `${counted(cues.length, 'cue')}: ${cueNumbers(show, cues)}`],
  ]
  if (palette?.note) facts.push(['note', palette.note])
  return {
    key: `palette ${id}`,
    title: `${palette?.number ?? ''}  ${palette?.name ?? ''}`,
    under: palette?.shelf ?? '',
    isLandscape: false,
    blocks: [
      { kind: 'facts', facts },
      drawingsOf(show, size, light),
      { kind: 'table', columns: COLUMNS, rows: light.map((fixture) => rowOf(show, id, fixture)) },
      { kind: 'writing', lines: WRITING_LINES },
    ],
  }
}

function rowOf(show: Show, id: PaletteId, fixture: StageFixture): Row {
  const { number, type, hang } = fixtureInWords(show, fixture)
  return {
    key: `palette ${id} fixture ${fixture.rigged.id}`,
    cells: [TICK, strong(number), words(type), words(hang), ...lightCells(show, id, fixture), ROOM],
  }
}

function drawingsOf(show: Show, size: PageSize, light: readonly StageFixture[]): Block {
  const { widthMm, heightMm } = printedArea(size, false)
  const tall = heightMm * DRAWN_PART
  const planWidth = (widthMm - GAP_MM) * PLAN_PART
  const shown = { light, places: namedPlaces(show, light) }
  return {
    kind: 'drawings',
    drawings: [
      { title: 'in plan', drawing: planDrawing(show, shown, { widthMm: planWidth, heightMm: tall }) },
      {
        title: 'from stage left',
        drawing: sideDrawing(show, shown, { widthMm: widthMm - GAP_MM - planWidth, heightMm: tall }),
      },
    ],
  }
}

/** The targets some light is aimed at, by name, with the place on it that is lit first. */
function namedPlaces(show: Show, light: readonly StageFixture[]): NamedPlace[] {
  const aimed = light.flatMap(({ positionValue }) =>
    positionValue?.kind === 'aim' && positionValue.target !== null ? [positionValue.target] : [],
  )
  const places = [...new Set(aimed)].flatMap((id) => {
    const placed = stageOf(show).targets.get(id)
    const name = show.all.target.get(id)?.name
    return placed && name ? [{ name, at: pointOn(placed, null) }] : []
  })
  return places.length > MOST_NAMES ? [] : places
}

/** Where its light goes: each place once, with the fixtures where there are several. */
function placesInWords(show: Show, light: readonly StageFixture[]): string {
  const byPlace = group(light, ({ rigged, positionValue }) =>
    positionValue ? valueInWords(show, positionValue, LEADING.place, rigged.type) : '',
  )
  if (byPlace.size > MOST_PLACES) return `${byPlace.size} places`
  const many = byPlace.size > 1
  return [...byPlace]
    .map(([place, fixtures]) => {
      const numbers = fixtures.map(({ rigged }) => rigged.fixture.number).join(', ')
      return many ? `${place} (${numbers})` : place
    })
    .join('; ')
}

/** Cues by number; those of several lists with the name of their list. */
function cueNumbers(show: Show, cues: readonly string[]): string {
  const known = cues.flatMap((id) => show.all.cue.get(id) ?? [])
  const byList = group(known, ({ list }) => list)
  return [...byList]
    .map(([list, of]) => {
      const numbers = of
        .map(({ number }) => number)
        .sort((a, b) => a - b)
        .join(', ')
      return byList.size > 1 ? `${show.all.cueList.get(list)?.name ?? ''} ${numbers}` : numbers
    })
    .join('; ')
}
