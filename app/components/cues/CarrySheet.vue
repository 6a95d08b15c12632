<script setup lang="ts">
/**
 * Cues down, fixtures across by hang. What scrolls is empty; rows, cells and headings lie over it
 * and are moved along. Only what is near is there, and it is drawn anew only now and then, so that a
 * thousand cues of hundreds of fixtures scroll by. With a virtualizer for the rows (as tables have) they
 * would be drawn at other moments than the cells: a frame of scrolling then took a quarter longer.
 */
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { CueInOrder } from '#core/cues/tracking'
import { sheetTable, sheetWords } from '#core/exchange/sheetWords'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useSheetChoice, type SheetSpot } from '../../composables/sheet/useSheetChoice'
import { useSheetColumns } from '../../composables/sheet/useSheetColumns'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useTravelCheck } from '../../stores/travelCheck'
import { useWorkingSet } from '../../stores/workingSet'
import TableOut from '../grid/TableOut.vue'
import CueRow from './CueRow.vue'
import SheetCanvas from './SheetCanvas.vue'
import SheetHeadings from './SheetHeadings.vue'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ go: [cue: CueId] }>()
const room = useCuesRoom()
const workingSet = useWorkingSet()
const check = useTravelCheck()

const HEAD = 34
const LEFT = 272
/** How far one scrolls until what lies over the sheet is drawn anew, pixels. */
const STRIDE = 256

const scroller = useTemplateRef<HTMLElement>('scroller')
const { width: viewWidth, height: viewHeight } = useElementSize(scroller)
const left = ref(0)
const top = ref(0)
useEventListener(scroller, 'scroll', () => {
  left.value = scroller.value?.scrollLeft ?? 0
  top.value = scroller.value?.scrollTop ?? 0
})

const row = computed(() => room.size.row)
const cell = computed(() => room.size.cell)
const { laid, trouble } = useSheetColumns(
  () => props.show,
  () => cell.value,
  () => room.entry,
)

/** Cues in which the palette asked for is seen, set or carried; all of them without one. */
const rows = computed<readonly (CueInOrder & { at: number })[]>(() => {
  const cues = (room.list?.cues ?? []).map((cue, at) => ({ ...cue, at }))
  const { palette, sheet } = room
  if (!palette || !sheet) return cues
  return cues.filter(({ at }) => laid.value.columns.some(({ id }) => sheet.point(at, id)?.palette === palette))
})

/** The part that is drawn: where it begins in the sheet, and how large it is. */
const fromTop = computed(() => Math.floor(top.value / STRIDE) * STRIDE)
const fromLeft = computed(() => Math.floor(left.value / STRIDE) * STRIDE)
const part = computed(() => ({
  width: Math.max(0, Math.min(viewWidth.value - LEFT + STRIDE, laid.value.width - fromLeft.value)),
  height: Math.max(0, viewHeight.value - HEAD + STRIDE),
}))
const near = computed(() => {
  const first = Math.floor(fromTop.value / row.value)
  const last = Math.ceil((fromTop.value + part.value.height) / row.value)
  return rows.value.slice(first, last).map((cue, i) => ({ ...cue, y: (first + i) * row.value - fromTop.value }))
})
const columnsNear = computed(() =>
  laid.value.columns.filter(({ x }) => x + cell.value > fromLeft.value && x < fromLeft.value + part.value.width),
)
const shift = computed(() => ({ x: fromLeft.value - left.value, y: fromTop.value - top.value }))

/** The cell under the pointer; null beside them. */
function under({ clientX, clientY }: MouseEvent): SheetSpot | null {
  const box = scroller.value?.getBoundingClientRect()
  if (!box || clientX - box.left < LEFT || clientY - box.top < HEAD) return null
  const x = clientX - box.left - LEFT + left.value
  const at = Math.floor((clientY - box.top - HEAD + top.value) / row.value)
  const column = laid.value.columns.findIndex((one) => x >= one.x && x < one.x + cell.value)
  return column < 0 || !rows.value[at] ? null : { row: at, column }
}

function reveal(at: number) {
  const box = scroller.value
  if (!box || at < 0 || viewHeight.value === 0) return
  const y = at * row.value
  const seen = viewHeight.value - HEAD
  if (y < box.scrollTop) box.scrollTop = y
  else if (y + 2 * row.value > box.scrollTop + seen) box.scrollTop = y + 2 * row.value - seen
}
const choice = useSheetChoice(
  () => rows.value,
  () => laid.value.columns,
  under,
  reveal,
)
watch(
  [() => room.cue?.id, row, () => room.list?.id, () => viewHeight.value > 0],
  async () => {
    await nextTick()
    reveal(rows.value.findIndex(({ id }) => id === room.cue?.id))
  },
  { immediate: true, flush: 'post' },
)

/** The names lie over what scrolls: what is turned over them is handed on. */
function wheel({ deltaX, deltaY, deltaMode }: WheelEvent) {
  const by = deltaMode === 0 ? 1 : row.value
  scroller.value?.scrollBy(deltaX * by, deltaY * by)
}

const cursorWords = computed(() => {
  const at = choice.cursor.value
  const cue = at && rows.value[at.row]
  const column = at && laid.value.columns[at.column]
  if (!cue || !column) return ''
  const point = room.sheet?.point(cue.at, column.id)
  const what = point ? `${point.at === cue.at ? 'set' : 'carried'}, ${sheetWords(props.show, point)}` : 'nothing yet'
  return `Cue ${cue.cue.number}, fixture ${column.number}: ${what}`
})
/** The sheet as it is filtered: its cues and its fixtures. */
function asTable(): string[][] {
  const fixtures = laid.value.columns.map(({ id }) => id)
  return room.sheet ? sheetTable(props.show, room.sheet, rows.value, fixtures) : []
}
const isShutOut = computed(
  () => laid.value.columns.length > 0 && laid.value.columns.every(({ id }) => !workingSet.isIn(id)),
)
defineExpose({ trouble })
</script>

<template>
  <div class="relative min-h-0 flex-1 overflow-hidden">
    <ul
      class="absolute top-0 left-0 will-change-transform"
      :style="{ width: `${viewWidth}px`, transform: `translateY(${HEAD + shift.y}px)` }"
      aria-label="Cues"
    >
      <CueRow
        v-for="{ id, cue, y } in near"
        :key="id"
        :cue="cue"
        :y="y"
        :height="row"
        :left="LEFT"
        :is-on-stage="id === room.list?.list.onStage"
        :is-looked="id === room.cue?.id"
        :is-quiet="isShutOut"
        :trouble="check.troubleOf(id)"
        @look="room.look(id)"
        @go="emit('go', id)"
        @wheel.passive="wheel"
      />
    </ul>
    <div
      class="pointer-events-none absolute right-0 bottom-0 overflow-hidden"
      :style="{ left: `${LEFT}px`, top: `${HEAD}px` }"
    >
      <div class="will-change-transform" :style="{ transform: `translate(${shift.x}px, ${shift.y}px)` }">
        <SheetCanvas
          :show="show"
          :rows="near"
          :columns="columnsNear"
          :left="fromLeft"
          :width="part.width"
          :height="part.height"
        />
      </div>
    </div>
    <div
      class="pointer-events-none absolute top-0 right-0 overflow-hidden border-b border-rule bg-night"
      :style="{ left: `${LEFT}px`, height: `${HEAD}px` }"
    >
      <SheetHeadings
        class="will-change-transform"
        :style="{ transform: `translateX(${-left}px)` }"
        :columns="laid.columns"
        :hangs="laid.hangs"
        :width="laid.width"
        :height="HEAD"
        :cell="cell"
      />
    </div>
    <div
      class="absolute top-0 left-0 flex items-end gap-2 border-b border-rule bg-night pb-1 pl-4 text-sm text-haze"
      :style="{ width: `${LEFT}px`, height: `${HEAD}px` }"
      aria-hidden="true"
    >
      <span class="w-11">cue</span><span class="flex-1">name</span><span class="pr-4">time</span>
    </div>
    <TableOut
      v-if="room.list && rows.length"
      class="absolute! top-1"
      :style="{ left: `${LEFT - 84}px` }"
      :name="`${room.list.list.name}, ${room.family}`"
      :cells="asTable"
    />
    <!-- Over the cells and empty: it has the scroll bars, and takes the pointer beside the names. -->
    <div
      ref="scroller"
      class="absolute inset-0 overflow-auto"
      :style="{ clipPath: `inset(0 0 0 ${LEFT}px)` }"
      tabindex="0"
      role="group"
      aria-label="Cells of the carry sheet; arrows move, with Shift they choose more"
      @pointerdown="choice.press"
      @pointermove="choice.drag"
      @pointerup="choice.end"
      @pointercancel="choice.end"
      @pointerleave="choice.end"
      @keydown="choice.keyed"
    >
      <div :style="{ width: `${LEFT + laid.width}px`, height: `${HEAD + (rows.length + 1) * row}px` }" />
    </div>
    <p class="sr-only" aria-live="polite">{{ cursorWords }}</p>
    <p v-if="rows.length === 0" class="absolute inset-x-0 top-16 text-center text-mist">
      No cue of this list shows it. Take the filter away to see all.
    </p>
  </div>
</template>
