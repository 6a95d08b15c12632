<script setup lang="ts">
/**
 * The cells of a part of the carry sheet, drawn. It is larger than what is seen, so that scrolling a
 * little only moves it.
 */
import { useDevicePixelRatio } from '@vueuse/core'
import { computed, useTemplateRef, watchPostEffect } from 'vue'
import type { Sheet } from '#core/cues/carrySheet'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { SheetColumn } from '../../composables/sheet/useSheetColumns'
import { sheetWords } from '#core/exchange/sheetWords'
import { useTheme } from '../../composables/shell/useTheme'
import type { Brush } from '../../drawing/brush'
import { readSheetInks } from '../../drawing/inks'
import { drawCellWords, drawMovesAhead, SheetDrawing, type DrawnCell } from '../../drawing/sheet'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useTravelCheck } from '../../stores/travelCheck'
import { useWorkingSet } from '../../stores/workingSet'

const props = defineProps<{
  show: Show
  /** Rows with their place in the list, and where they stand on the canvas, pixels. */
  rows: readonly { readonly id: CueId; readonly at: number; readonly y: number }[]
  columns: readonly SheetColumn[]
  /** Pixels of the sheet left of the canvas. */
  left: number
  width: number
  height: number
}>()
const room = useCuesRoom()
const workingSet = useWorkingSet()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const check = useTravelCheck()
/** From which place to which one a fixture is ahead of the cue that sets it, in the family shown. */
const ahead = computed(
  () =>
    new Map(
      check.known.flatMap(({ list, fixture, dark }) => {
        const moves = dark.flatMap(({ family, place, at }) =>
          family === room.family && place.kind === 'goes' && place.at < at ? [{ from: place.at, until: at }] : [],
        )
        return list === room.list?.id && moves.length > 0 ? [[fixture, moves] as const] : []
      }),
    ),
)
const { pixelRatio } = useDevicePixelRatio()
const { isPaper } = useTheme()
const inks = computed(() => ({ isPaper: isPaper.value, ...readSheetInks() }))
const chosenCues = computed(() => new Set<string>(room.cells?.cues))
const chosenFixtures = computed(() => new Set<string>(room.cells?.fixtures))

function fit(sheet: HTMLCanvasElement) {
  const [across, down] = [Math.round(props.width * pixelRatio.value), Math.round(props.height * pixelRatio.value)]
  if (sheet.width !== across) sheet.width = across
  if (sheet.height !== down) sheet.height = down
}

watchPostEffect(() => {
  // Thousands of small shapes that then stand still are drawn faster without the graphics card.
  const brush = canvas.value?.getContext('2d', { willReadFrequently: true })
  if (!canvas.value || !brush || !room.sheet || props.width <= 0) return
  fit(canvas.value)
  brush.setTransform(pixelRatio.value, 0, 0, pixelRatio.value, 0, 0)
  brush.clearRect(0, 0, props.width, props.height)
  drawChosen(brush)
  const { sheet } = room
  const drawn = props.rows.map(({ at, y }) => cellsOf(sheet, at, y))
  const drawing = new SheetDrawing(brush, inks.value, room.size)
  for (const cells of drawn) for (const one of cells) if (one) drawing.add(one)
  drawing.draw()
  drawAhead(brush)
  if (room.size.values) for (const cells of drawn) writeRow(brush, cells)
})

/** The cells of a row, one a column; null where nothing has been set yet. */
function cellsOf(sheet: Sheet, at: number, y: number): (DrawnCell | null)[] {
  const palettes = props.show.all.palette
  const plain = room.family === 'intensity' ? inks.value.words : null
  return props.columns.map(({ id, x }) => {
    const point = sheet.point(at, id)
    if (!point) return null
    const palette = palettes.get(point.palette ?? point.source ?? '')
    return {
      x: x - props.left,
      y,
      point,
      isSet: point.at === at,
      ink: palette ? inks.value.palettes[palette.colour] : plain,
      isDark: sheet.isDark(at, id),
      isFaint: !workingSet.isIn(id) || (room.palette !== null && point.palette !== room.palette),
    }
  })
}

/** Says what stands in a row, once for cells side by side that hold the same. */
function writeRow(brush: Brush, cells: readonly (DrawnCell | null)[]) {
  const { cell, row } = room.size
  let begun: { drawn: DrawnCell; words: string; end: number } | null = null
  const end = () => {
    if (begun) drawCellWords(brush, inks.value, row, begun.drawn, begun.words, begun.end - begun.drawn.x)
    begun = null
  }
  for (const drawn of cells) {
    const words = drawn && sheetWords(props.show, drawn.point)
    const isAlike: boolean = begun !== null && begun.words === words && begun.drawn.isSet === drawn?.isSet
    if (begun && drawn && isAlike && begun.end === drawn.x) begun.end += cell
    else {
      end()
      if (drawn && words) begun = { drawn, words, end: drawn.x + cell }
    }
  }
  end()
}

/** What moves in the dark for a later cue: nobody set it there. */
function drawAhead(brush: Brush) {
  const moves = ahead.value
  if (moves.size === 0) return
  const marks = props.columns.flatMap(({ id, x }) =>
    (moves.get(id) ?? []).flatMap(({ from, until }) =>
      props.rows
        .filter(({ at }) => at >= from && at < until)
        .map(({ at, y }) => ({ x: x - props.left, y, begins: at === from })),
    ),
  )
  drawMovesAhead(brush, inks.value.palettes.shoal, room.size, marks)
}

function drawChosen(brush: Brush) {
  const { cell, row } = room.size
  brush.fillStyle = inks.value.coral
  brush.globalAlpha = 0.16
  for (const { id: cue, y } of props.rows)
    if (chosenCues.value.has(cue))
      for (const { id, x } of props.columns)
        if (chosenFixtures.value.has(id)) brush.fillRect(x - props.left - 1, y + 1, cell, row - 2)
  brush.globalAlpha = 1
}
</script>

<template>
  <canvas
    ref="canvas"
    class="absolute top-0 left-0"
    :style="{ width: `${width}px`, height: `${height}px` }"
    aria-hidden="true"
  />
</template>
