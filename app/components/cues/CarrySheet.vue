<script setup lang="ts">
/**
 * Cues down, fixtures across by hang. Only what is in view is drawn: the rows as a list, their
 * cells on one canvas, so that a thousand cues of hundreds of fixtures scroll by.
 */
import { useDevicePixelRatio, useElementSize, useScroll } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch, watchPostEffect } from 'vue'
import type { SheetCell } from '#core/cues/carrySheet'
import type { CueInOrder } from '#core/cues/tracking'
import { valueInWords } from '#core/refocus/paletteLines'
import type { CueId, FixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { useSheetColumns, type SheetColumn } from '../../composables/useSheetColumns'
import { useTheme } from '../../composables/useTheme'
import { readSheetInks } from '../../drawing/inks'
import { drawCell } from '../../drawing/sheet'
import { useCueDesk } from '../../stores/cueDesk'
import { useWorkingSet } from '../../stores/workingSet'
import CueRow from './CueRow.vue'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ go: [cue: CueId] }>()
const desk = useCueDesk()
const workingSet = useWorkingSet()

const HEAD = 34
const LEFT = 272

const scroller = useTemplateRef<HTMLElement>('scroller')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { width: viewWidth, height: viewHeight } = useElementSize(scroller)
const { x: left, y: top } = useScroll(scroller)
const { pixelRatio } = useDevicePixelRatio()
const { isPaper } = useTheme()

const row = computed(() => desk.size.row)
const cell = computed(() => desk.size.cell)
const { laid, trouble } = useSheetColumns(
  () => props.show,
  () => cell.value,
  () => desk.entry,
)

/** Cues in which the palette asked for is seen, set or carried; all of them without one. */
const rows = computed<readonly (CueInOrder & { at: number })[]>(() => {
  const cues = (desk.list?.cues ?? []).map((cue, at) => ({ ...cue, at }))
  const { palette, sheet } = desk
  if (!palette || !sheet) return cues
  return cues.filter(({ at }) => laid.value.columns.some(({ id }) => sheet.cell(at, id)?.palette === palette))
})
const inView = computed(() => {
  const first = Math.max(0, Math.floor(top.value / row.value) - 1)
  const last = Math.min(rows.value.length, Math.ceil((top.value + viewHeight.value - HEAD) / row.value) + 1)
  return rows.value.slice(first, last).map((cue, i) => ({ ...cue, y: HEAD + (first + i) * row.value - top.value }))
})
const columnsInView = computed(() =>
  laid.value.columns.filter(({ x }) => x + cell.value > left.value && x < left.value + viewWidth.value - LEFT),
)
const chosenCues = computed(() => new Set<string>(desk.cells?.cues))
const chosenFixtures = computed(() => new Set<string>(desk.cells?.fixtures))

/** What stands in a cell, short enough for it. */
function wordsIn({ stored, palette }: SheetCell): string {
  const linked = palette && props.show.all.palette.get(palette)
  if (linked) return linked.name
  const [first] = stored
  if (!first) return ''
  const type = rigOf(props.show).get(first.fixture)?.type
  return valueInWords(props.show, first.value, first.attribute, type)
}

watchPostEffect(() => {
  const brush = canvas.value?.getContext('2d')
  const { sheet } = desk
  if (!canvas.value || !brush || !sheet || viewWidth.value === 0) return
  const inks = { isPaper: isPaper.value, ...readSheetInks() }
  const [width, height] = [viewWidth.value - LEFT, viewHeight.value]
  canvas.value.width = Math.round(width * pixelRatio.value)
  canvas.value.height = Math.round(height * pixelRatio.value)
  brush.setTransform(pixelRatio.value, 0, 0, pixelRatio.value, 0, 0)
  brush.clearRect(0, 0, width, height)
  drawChosen(brush, inks.coral)
  for (const { at, y } of inView.value)
    for (const { id, x } of columnsInView.value) {
      const found = sheet.cell(at, id)
      if (!found) continue
      const palette = found.palette && props.show.all.palette.get(found.palette)
      drawCell(brush, inks, desk.size, {
        x: x - left.value,
        y,
        cell: found,
        ink: palette ? inks.palettes[palette.colour] : desk.family === 'intensity' ? inks.words : null,
        isDark: sheet.isDark(at, id),
        isFaint: !workingSet.isIn(id) || (desk.palette !== null && found.palette !== desk.palette),
        words: desk.size.values ? wordsIn(found) : null,
      })
    }
  brush.clearRect(0, 0, width, HEAD)
  drawHeadings(brush, inks.words, inks.quiet)
})

function drawChosen(brush: CanvasRenderingContext2D, ink: string) {
  brush.fillStyle = ink
  brush.globalAlpha = 0.16
  for (const { id: cue, y } of inView.value)
    if (chosenCues.value.has(cue))
      for (const { id, x } of columnsInView.value)
        if (chosenFixtures.value.has(id)) brush.fillRect(x - left.value - 1, y + 1, cell.value, row.value - 2)
  brush.globalAlpha = 1
}

function drawHeadings(brush: CanvasRenderingContext2D, words: string, quiet: string) {
  brush.textBaseline = 'alphabetic'
  brush.font = '11px "Atkinson Hyperlegible Next Variable", sans-serif'
  brush.fillStyle = words
  for (const { name, x } of laid.value.hangs) brush.fillText(name, x - left.value, 13)
  brush.font = '10px "Atkinson Hyperlegible Mono Variable", monospace'
  brush.fillStyle = quiet
  const apart = Math.ceil(16 / cell.value)
  for (const [i, { number, x }] of laid.value.columns.entries())
    if (i % apart === 0 || cell.value >= 16) brush.fillText(String(number), x - left.value, 27)
}

/** The cell under the pointer; null beside them. */
function cellAt({ clientX, clientY }: MouseEvent): { row: number; column: number } | null {
  const box = scroller.value?.getBoundingClientRect()
  if (!box) return null
  const x = clientX - box.left - LEFT + left.value
  const at = Math.floor((clientY - box.top - HEAD + top.value) / row.value)
  const column = laid.value.columns.findIndex((one) => x >= one.x && x < one.x + cell.value)
  return clientX - box.left < LEFT || clientY - box.top < HEAD || column < 0 || !rows.value[at]
    ? null
    : { row: at, column }
}

/** Where choosing began, and where it has come to. */
const anchor = ref<{ row: number; column: number } | null>(null)
const cursor = ref<{ row: number; column: number } | null>(null)
const isChoosing = ref(false)

function chooseTo(end: { row: number; column: number }) {
  const begin = anchor.value ?? end
  cursor.value = end
  const between = (a: number, b: number) => [Math.min(a, b), Math.max(a, b) + 1] as const
  desk.choose({
    cues: rows.value.slice(...between(begin.row, end.row)).map(({ id }) => id),
    fixtures: laid.value.columns.slice(...between(begin.column, end.column)).map(({ id }) => id),
  })
}
function press(event: PointerEvent) {
  const at = cellAt(event)
  if (!at || event.button !== 0) return
  if (!event.shiftKey) anchor.value = at
  isChoosing.value = true
  scroller.value?.setPointerCapture(event.pointerId)
  chooseTo(at)
}
function drag(event: PointerEvent) {
  const at = isChoosing.value ? cellAt(event) : null
  if (at && (at.row !== cursor.value?.row || at.column !== cursor.value.column)) chooseTo(at)
}

function step(rowsBy: number, columnsBy: number, isExtending: boolean) {
  const at = cursor.value ?? { row: rows.value.findIndex(({ id }) => id === desk.cue?.id), column: 0 }
  const limit = (n: number, count: number) => Math.min(count - 1, Math.max(0, n))
  const end = {
    row: limit(at.row + rowsBy, rows.value.length),
    column: limit(at.column + columnsBy, laid.value.columns.length),
  }
  if (!isExtending) anchor.value = end
  chooseTo(end)
  reveal(end.row)
}
function keyed(event: KeyboardEvent) {
  const arrows: Readonly<Record<string, readonly [number, number]>> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  }
  const by = arrows[event.key]
  if (!by || !desk.cells || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  step(...by, event.shiftKey)
}

function reveal(at: number) {
  const box = scroller.value
  if (!box || at < 0) return
  const y = at * row.value
  if (y < box.scrollTop) box.scrollTop = y
  else if (y + row.value > box.scrollTop + viewHeight.value - HEAD)
    box.scrollTop = y + row.value - viewHeight.value + HEAD
}
watch(
  [() => desk.cue?.id, () => row.value, () => desk.list?.id],
  async () => {
    await nextTick()
    reveal(rows.value.findIndex(({ id }) => id === desk.cue?.id))
  },
  { immediate: true, flush: 'post' },
)

const cursorWords = computed(() => {
  const at = cursor.value
  const cue = at && rows.value[at.row]
  const column: SheetColumn | undefined = at ? laid.value.columns[at.column] : undefined
  const found = cue && column ? desk.sheet?.cell(cue.at, column.id) : null
  if (!cue || !column) return ''
  const what = found ? `${found.how}, ${wordsIn(found)}` : 'nothing yet'
  return `Cue ${cue.cue.number}, fixture ${column.number}: ${what}`
})
const isShutOut = (fixtures: readonly { readonly id: FixtureId }[]) =>
  fixtures.length > 0 && fixtures.every(({ id }) => !workingSet.isIn(id))
defineExpose({ trouble })
</script>

<template>
  <div class="relative min-h-0 flex-1">
    <div
      ref="scroller"
      class="absolute inset-0 overflow-auto"
      tabindex="0"
      role="group"
      aria-label="Cells of the carry sheet; arrows move, with Shift they choose more"
      @pointerdown="press"
      @pointermove="drag"
      @pointerup="isChoosing = false"
      @pointercancel="isChoosing = false"
      @keydown="keyed"
    >
      <div :style="{ width: `${LEFT + laid.width}px`, height: `${HEAD + rows.length * row}px` }">
        <div
          class="sticky top-0 left-0 overflow-hidden"
          :style="{ width: `${viewWidth}px`, height: `${viewHeight}px` }"
        >
          <ul aria-label="Cues">
            <CueRow
              v-for="{ id, cue, y } in inView"
              :key="id"
              :cue="cue"
              :y="y"
              :height="row"
              :left="LEFT"
              :is-on-stage="id === desk.list?.list.onStage"
              :is-looked="id === desk.cue?.id"
              :is-quiet="isShutOut(laid.columns)"
              @look="desk.look(id)"
              @go="emit('go', id)"
            />
          </ul>
          <canvas
            ref="canvas"
            class="pointer-events-none absolute top-0"
            :style="{ left: `${LEFT}px`, width: `${viewWidth - LEFT}px`, height: `${viewHeight}px` }"
            aria-hidden="true"
          />
          <div
            class="absolute top-0 left-0 flex items-end gap-2 border-b border-rule bg-night pb-1 pl-4 text-sm text-haze"
            :style="{ width: `${LEFT}px`, height: `${HEAD}px` }"
            aria-hidden="true"
          >
            <span class="w-11">cue</span><span class="flex-1">name</span><span class="pr-4">time</span>
          </div>
          <div
            class="pointer-events-none absolute right-0 border-b border-rule"
            :style="{ left: `${LEFT}px`, top: `${HEAD - 1}px` }"
          />
        </div>
      </div>
    </div>
    <p class="sr-only" aria-live="polite">{{ cursorWords }}</p>
    <p v-if="rows.length === 0" class="absolute inset-x-0 top-16 text-center text-mist">
      No cue of this list shows it. Take the filter away to see all.
    </p>
  </div>
</template>
