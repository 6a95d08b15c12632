<script setup lang="ts">
/** Hangs and their fixtures in plan, with numbers and the order of selection. */
import { computed } from 'vue'
import type { FixtureId, HangId } from '#core/show/ids'
import type { DrawnFixture, DrawnHang } from '../../composables/stage/fixtureSpots'
import { useFixtureLook } from '../../composables/stage/useFixtureLook'
import { usePlan } from '../../composables/stage/planKey'
import { signSize } from '../../drawing/signSize'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import PlanFixtures, { NO_SEEN_CELLS, type SeenCell, type SeenFixture } from './PlanFixtures.vue'

const props = defineProps<{
  hangs: readonly DrawnHang[]
  marked: ReadonlySet<FixtureId>
  /** Whether hangs answer the pointer, and whether they can be dragged. */
  grabbable: boolean
  movable: boolean
  chosen: string | null
}>()
const selection = useSelection()
const stage = useStage()
const lookOf = useFixtureLook()
const entryPreview = computed(() => new Set(stage.entryPreview))
const emit = defineEmits<{
  pick: [event: PointerEvent, fixtures: readonly FixtureId[]]
  grabHang: [event: PointerEvent, hang: HangId]
}>()
const { toScreen, scale } = usePlan()

interface HangLabel {
  readonly x: number
  y: number
  readonly anchor: 'start' | 'middle' | 'end'
  readonly width: number
}

/** Pixels: a hang shorter than this on the drawing is seen end on; a letter of a name; a digit with a gap; a line of text. */
const END_ON = 20
const LETTER = 6
const DIGIT = 7.5
const LINE = 13
/** Pixels a cell takes at least to be drawn by itself, and at most. */
const SMALLEST_CELL = 5
const LARGEST_CELL = 11
/** How far a name is lifted over its hang at most. */
const MOST_RAISED = 30

const drawn = computed(() => {
  const labels: HangLabel[] = []
  return props.hangs.map((hang) => ({
    id: hang.hang.id,
    name: hang.hang.hang.name,
    isUpright: hang.isUpright,
    from: toScreen(hang.from),
    to: toScreen(hang.to),
    label: labelFor(hang, labels),
    fixtures: seenFixtures(hang),
  }))
})

/** The fixtures of a hang on the screen; where they stand too close, only some are numbered. */
function seenFixtures(hang: DrawnHang): SeenFixture[] {
  let clear = { x: -Infinity, y: -Infinity }
  return hang.fixtures.map((fixture) => {
    const at = toScreen(fixture.at)
    const width = fixture.label.length * DIGIT
    const isNumbered = at.x - width / 2 >= clear.x || Math.abs(at.y - clear.y) >= LINE
    if (isNumbered) clear = { x: at.x + width / 2, y: at.y }
    return {
      ...fixture,
      at,
      size: signSize(scale.value),
      cells: seenCells(fixture),
      isNumbered,
      order: selection.order.get(fixture.members.find((member) => selection.order.has(member)) ?? fixture.id),
      look: lookOf(fixture.members),
      isMarked: fixture.members.some((member) => props.marked.has(member)),
      isMeant: fixture.members.some((member) => entryPreview.value.has(member)),
    }
  })
}

/** Cells on the screen; none where they would be too small to be told apart. */
function seenCells({ cells }: DrawnFixture): readonly SeenCell[] {
  const [first, second] = cells
  if (!first || !second) return NO_SEEN_CELLS
  const [one, other] = [toScreen(first.at), toScreen(second.at)]
  const apart = Math.hypot(other.x - one.x, other.y - one.y)
  if (apart < SMALLEST_CELL) return NO_SEEN_CELLS
  const size = Math.min(apart * 0.8, LARGEST_CELL)
  return cells.map(({ id, at }) => ({ id, at: toScreen(at), size, look: lookOf([id]), order: selection.order.get(id) }))
}

/** A hang's name: below a boom in plan, above what is seen end on or upright, else at its left end, or its right where heads of others are in the way. */
function labelFor(hang: DrawnHang, placed: HangLabel[]): HangLabel {
  const [from, to] = [toScreen(hang.from), toScreen(hang.to)]
  const [wide, tall] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)]
  const top = Math.min(from.y, to.y)
  const middle = (from.x + to.x) / 2
  const label: HangLabel = hang.isUpright
    ? { x: from.x, y: Math.max(from.y, to.y) + 16, anchor: 'middle', width: 0 }
    : tall > wide
      ? { x: middle, y: top - 8, anchor: 'middle', width: 0 }
      : wide < END_ON
        ? { x: middle, y: Math.min(top - 14, numbersTop(hang) - LINE), anchor: 'middle', width: 0 }
        : { x: Math.min(from.x, to.x) - 7, y: from.y + 4, anchor: 'end', width: 0 }
  const width = hang.hang.hang.name.length * LETTER
  const atEnd: HangLabel = { ...label, width }
  const other: HangLabel = { ...atEnd, x: Math.max(from.x, to.x) + 7, anchor: 'start' }
  const isCrowded = (one: HangLabel) => heads.value.some((head) => head.hang !== hang && covers(one, head))
  const isMoved = label.anchor === 'end' && isCrowded(atEnd) && !isCrowded(other)
  const free = isMoved ? other : atEnd
  while (label.anchor === 'end' && isCrowded(free) && free.y > from.y - MOST_RAISED) free.y -= LINE
  while (placed.some((other) => overlaps(other, free))) free.y -= LINE
  placed.push(free)
  return free
}

/** Where the numbers of what hangs there end above: heads that stand carry them over the hang. */
function numbersTop({ fixtures }: DrawnHang): number {
  return Math.min(...fixtures.map(({ at }) => toScreen(at).y - signSize(scale.value) - LINE))
}

const BEFORE = { start: 0, middle: 0.5, end: 1 } as const
const leftOf = ({ x, width, anchor }: HangLabel) => x - width * BEFORE[anchor]

/** Half as wide as a head with its number is, and how far they reach over and under its middle, pixels. */
const HEAD = { half: 10, over: 22, under: 5 }
/** How high the letters of a name are, pixels. */
const LETTERS_HIGH = 9
/** Every head on the screen, with the hang it is on. */
const heads = computed(() => props.hangs.flatMap((hang) => hang.fixtures.map(({ at }) => ({ hang, at: toScreen(at) }))))
function covers(label: HangLabel, { at }: (typeof heads.value)[number]): boolean {
  const left = leftOf(label)
  return (
    at.x + HEAD.half > left &&
    at.x - HEAD.half < left + label.width &&
    label.y > at.y - HEAD.over &&
    label.y - LETTERS_HIGH < at.y + HEAD.under
  )
}

function overlaps(a: HangLabel, b: HangLabel): boolean {
  return Math.abs(a.y - b.y) < LINE && leftOf(a) < leftOf(b) + b.width && leftOf(b) < leftOf(a) + a.width
}
</script>

<template>
  <g v-for="hang in drawn" :key="hang.id">
    <g
      :class="movable ? 'cursor-move' : grabbable ? 'cursor-pointer' : ''"
      role="img"
      :aria-label="`Hang ${hang.name}${chosen === hang.id ? ', chosen' : ''}`"
      @pointerdown="grabbable && emit('grabHang', $event, hang.id)"
    >
      <path
        v-if="grabbable"
        :d="`M${hang.from.x} ${hang.from.y}L${hang.to.x} ${hang.to.y}`"
        stroke="transparent"
        stroke-width="16"
      />
      <path
        :d="`M${hang.from.x} ${hang.from.y}L${hang.to.x} ${hang.to.y}`"
        :class="chosen === hang.id ? 'stroke-coral' : 'stroke-hang'"
        stroke-width="3"
        stroke-linecap="round"
        :stroke-dasharray="hang.isUpright ? '2 5' : undefined"
      />
      <text
        :x="hang.label.x"
        :y="hang.label.y"
        :text-anchor="hang.label.anchor"
        class="halo text-[11px]"
        :class="chosen === hang.id ? 'fill-coral' : 'fill-mist'"
      >
        {{ hang.name }}
      </text>
    </g>
    <PlanFixtures :fixtures="hang.fixtures" @pick="(event, members) => emit('pick', event, members)" />
  </g>
</template>
