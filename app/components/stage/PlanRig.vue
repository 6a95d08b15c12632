<script setup lang="ts">
/** Hangs and their fixtures in plan, with numbers and the order of selection. */
import { computed } from 'vue'
import type { FixtureId, HangId } from '#core/show/ids'
import type { PlacedTarget } from '#core/show/targets'
import type { DrawnHang } from '#core/drawing/drawnHangs'
import { useFixtureLook } from '../../composables/stage/useFixtureLook'
import { useNames } from '../../composables/stage/useNames'
import { useSeenCells } from '../../composables/stage/useSeenCells'
import { usePlan } from '../../composables/stage/planKey'
import { signSize } from '../../drawing/signSize'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import PlanFixtures, { type SeenFixture } from './PlanFixtures.vue'

const props = defineProps<{
  hangs: readonly DrawnHang[]
  /** Names keep clear of them. */
  targets: ReadonlyMap<string, PlacedTarget>
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

/** Pixels: a digit with a gap; a line of text. */
const DIGIT = 7.5
const LINE = 13

const seenCells = useSeenCells()
const { hangNames } = useNames(() => ({ hangs: props.hangs, targets: props.targets, before: props.targets }))
const drawn = computed(() =>
  props.hangs.map((hang) => ({
    id: hang.hang.id,
    name: hang.hang.hang.name,
    isUpright: hang.isUpright,
    from: toScreen(hang.from),
    to: toScreen(hang.to),
    label: hangNames.value.get(hang.hang.id),
    fixtures: seenFixtures(hang),
  })),
)

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
</script>

<template>
  <g v-for="hang in drawn" :key="hang.id">
    <g
      class="group"
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
        v-if="hang.label"
        :x="hang.label.at.x"
        :y="hang.label.at.y"
        class="halo text-[11px]"
        :class="[
          chosen === hang.id ? 'fill-coral' : 'fill-mist',
          { 'hidden group-hover:inline': !hang.label.isFree && chosen !== hang.id },
        ]"
      >
        {{ hang.name }}
      </text>
    </g>
    <PlanFixtures :fixtures="hang.fixtures" @pick="(event, members) => emit('pick', event, members)" />
  </g>
</template>
