<script setup lang="ts">
/** What every fixture does down a list: cues across, as wide as they are long; fixtures down. Only what is seen is drawn. */
import { useDevicePixelRatio, useElementSize, useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch, watchEffect, watchPostEffect } from 'vue'
import { lengthOf } from '#core/cues/times'
import { byNumber, fixtureNumber } from '#core/show/cells'
import type { CueId, FixtureId } from '#core/show/ids'
import { hangsOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { acceptedSweepsOf, openSweeps } from '#core/travel/accepted'
import type { CheckedCourse } from '#core/travel/check'
import { useTheme } from '../../composables/shell/useTheme'
import { drawTravelCell, readTravelInks } from '../../drawing/travelCells'
import { courseAt, type CourseInOrder } from '../../drawing/travelCourse'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useSelection } from '../../stores/selection'
import { useTravelCheck } from '../../stores/travelCheck'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ go: [cue: CueId] }>()
const room = useCuesRoom()
const selection = useSelection()
const check = useTravelCheck()

const ROW = 20
const HEAD = 38
const LEFT = 132
/** Pixels of a cue: as it is called, and for every second, within these. */
const COLUMN = { least: 74, second: 11, most: 150, gap: 6 }

const scroller = useTemplateRef<HTMLElement>('scroller')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { width, height } = useElementSize(scroller)
const { pixelRatio } = useDevicePixelRatio()
const { isPaper } = useTheme()
const left = ref(0)
const top = ref(0)
useEventListener(scroller, 'scroll', () => {
  left.value = scroller.value?.scrollLeft ?? 0
  top.value = scroller.value?.scrollTop ?? 0
})

const columns = computed(() => {
  let x = 0
  return (room.list?.cues ?? []).map(({ id, cue }, at) => {
    const seconds = lengthOf(props.show, id)
    const wide = Math.min(COLUMN.most, COLUMN.least + COLUMN.second * seconds)
    const column = { id, cue, at, seconds, x, width: wide }
    x += wide + COLUMN.gap
    return column
  })
})
const across = computed(() => (columns.value.at(-1)?.x ?? 0) + (columns.value.at(-1)?.width ?? 0))

/** Courses in order, each once as long as the cues stand where they stand and the same sweeps are accepted. */
const inOrder = computed(() => {
  const places = new Map(columns.value.map(({ id, at }) => [id, at]))
  const known = new WeakMap<CheckedCourse, CourseInOrder>()
  const { show } = props
  return (course: CheckedCourse) => {
    const { fixture, steps } = course
    const open = () => steps.map((step) => ({ ...step, sweeps: openSweeps(show, { fixture, ...step }) }))
    const found = known.get(course) ?? courseAt(acceptedSweepsOf(show).size === 0 ? steps : open(), places)
    known.set(course, found)
    return found
  }
})
/** Fixtures of which the list sets anything, by hang; cells go with their bar. */
const rows = computed(() => {
  const courses = new Map(
    check.known.flatMap((course): [FixtureId, CourseInOrder][] =>
      course.list === room.list?.id && course.steps.length > 0 ? [[course.fixture, inOrder.value(course)]] : [],
    ),
  )
  return hangsOf(props.show).flatMap(({ hang, fixtures }) => {
    const own = fixtures.filter(({ id }) => courses.has(id)).sort((a, b) => byNumber(a.fixture, b.fixture))
    return own.map(({ id, fixture }, i) => ({
      id,
      number: fixtureNumber(fixture),
      hang: i === 0 ? hang.name : '',
      course: courses.get(id),
    }))
  })
})
const seenColumns = computed(() =>
  columns.value.filter((one) => one.x + one.width > left.value && one.x < left.value + width.value - LEFT),
)
const seenRows = computed(() => {
  const first = Math.floor(top.value / ROW)
  const last = Math.ceil((top.value + height.value - HEAD) / ROW)
  return rows.value.slice(first, last).map((row, i) => ({ ...row, y: (first + i) * ROW - top.value }))
})

watchPostEffect(() => {
  const brush = canvas.value?.getContext('2d')
  const [wide, high] = [width.value - LEFT, height.value - HEAD]
  if (!canvas.value || !brush || wide <= 0 || high <= 0) return
  canvas.value.width = Math.round(wide * pixelRatio.value)
  canvas.value.height = Math.round(high * pixelRatio.value)
  brush.setTransform(pixelRatio.value, 0, 0, pixelRatio.value, 0, 0)
  const inks = readTravelInks(isPaper.value)
  for (const column of seenColumns.value) {
    brush.fillStyle = column.id === room.cue?.id ? inks.looked : inks.ground
    brush.fillRect(column.x - left.value, 0, column.width, high)
    for (const { course, y } of seenRows.value)
      if (course)
        drawTravelCell(brush, inks, course.at(column.at), {
          x: column.x - left.value,
          y: y + ROW / 2,
          width: column.width,
          seconds: column.seconds,
        })
  }
})

/** The row and the column under the pointer. */
function under({ clientX, clientY }: MouseEvent) {
  const box = scroller.value?.getBoundingClientRect()
  if (!box) return null
  const x = clientX - box.left - LEFT + left.value
  const row = rows.value[Math.floor((clientY - box.top - HEAD + top.value) / ROW)]
  return { column: columns.value.find((one) => x >= one.x && x < one.x + one.width + COLUMN.gap), row }
}
function press(event: MouseEvent) {
  const found = under(event)
  if (found?.column) room.look(found.column.id)
  if (found?.row) selection.set([found.row.id])
}

/** Whether everything was found once: rows come one by one as the list is looked through. */
const isFilled = ref(false)
watchEffect(() => (isFilled.value ||= check.part === null && rows.value.length > 0))
watch(
  [() => room.cue?.id, () => width.value > 0, isFilled],
  async () => {
    await nextTick()
    const box = scroller.value
    const column = columns.value.find(({ id }) => id === room.cue?.id)
    if (!box || !column) return
    const seen = width.value - LEFT
    // Something of what moves in the cue is to be seen.
    const moves = rows.value.findIndex(({ course }) => course?.at(column.at).step?.turns)
    const isSeen = seenRows.value.some(({ course }) => course?.at(column.at).step?.turns)
    if (moves >= 0 && !isSeen) box.scrollTop = moves * ROW
    if (column.x < box.scrollLeft) box.scrollLeft = column.x - COLUMN.least
    else if (column.x + column.width > box.scrollLeft + seen)
      box.scrollLeft = column.x + column.width + COLUMN.least - seen
  },
  { immediate: true, flush: 'post' },
)
function wheel({ deltaX, deltaY, deltaMode }: WheelEvent) {
  const by = deltaMode === 0 ? 1 : ROW
  scroller.value?.scrollBy(deltaX * by, deltaY * by)
}
</script>

<template>
  <div class="relative overflow-hidden">
    <canvas
      ref="canvas"
      class="pointer-events-none absolute"
      :style="{ left: `${LEFT}px`, top: `${HEAD}px`, width: `${width - LEFT}px`, height: `${height - HEAD}px` }"
      aria-hidden="true"
    />
    <div
      ref="scroller"
      class="absolute inset-0 overflow-auto"
      :style="{ clipPath: `inset(${HEAD}px 0 0 ${LEFT}px)` }"
      tabindex="0"
      role="group"
      aria-label="Moves of every fixture, cue by cue"
      @click="press"
    >
      <div :style="{ width: `${LEFT + across + 24}px`, height: `${HEAD + (rows.length + 1) * ROW}px` }" />
    </div>
    <ul
      class="absolute top-0 right-0 overflow-hidden"
      :style="{ left: `${LEFT}px`, height: `${HEAD}px` }"
      aria-label="Cues"
      @wheel.passive="wheel"
    >
      <li
        v-for="column in seenColumns"
        :key="column.id"
        class="absolute top-0 h-full"
        :style="{ left: `${column.x - left}px`, width: `${column.width}px` }"
      >
        <button
          type="button"
          class="grid size-full grid-cols-[auto_1fr] content-start gap-x-1 overflow-hidden px-1.5 pt-1 text-left leading-tight"
          :class="column.id === room.cue?.id ? 'bg-plank-2' : 'bg-deck hover:bg-plank'"
          :aria-current="column.id === room.cue?.id ? 'true' : undefined"
          @click="room.look(column.id)"
          @dblclick="emit('go', column.id)"
        >
          <span class="font-semibold" :class="column.id === room.list?.list.onStage ? 'text-coral' : ''">{{
            column.cue.number
          }}</span>
          <span class="text-right text-xs whitespace-nowrap text-haze"
            ><span v-if="column.cue.quiet" class="mr-1 text-shoal">quiet</span
            ><span class="font-mono">{{ Number(column.seconds.toFixed(1)) }} s</span></span
          >
          <span class="col-span-2 truncate text-xs text-mist">{{ column.cue.name }}</span>
        </button>
      </li>
    </ul>
    <div
      class="absolute bottom-0 left-0 overflow-hidden bg-night text-sm"
      :style="{ top: `${HEAD}px`, width: `${LEFT}px` }"
      @wheel.passive="wheel"
    >
      <button
        v-for="row in seenRows"
        :key="row.id"
        type="button"
        class="absolute flex w-full items-center justify-between pr-3 pl-4 text-left hover:bg-plank"
        :class="selection.order.has(row.id) ? 'text-coral' : ''"
        :style="{ top: `${row.y}px`, height: `${ROW}px` }"
        :aria-pressed="selection.order.has(row.id)"
        :aria-label="`Fixture ${row.number}`"
        @click="selection.set([row.id])"
      >
        <span class="truncate text-xs text-haze">{{ row.hang }}</span>
        <span class="font-mono">{{ row.number }}</span>
      </button>
    </div>
  </div>
</template>
