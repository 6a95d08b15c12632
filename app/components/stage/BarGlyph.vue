<script setup lang="ts">
/** The light sources of a fixture in a row: each is pressed by itself, the frame around them means all. */
import { computed } from 'vue'
import type { FixtureId } from '#core/show/ids'
import { SIGN_CLASS } from '../../composables/stage/useFixtureLook'
import type { SeenCell } from '../../composables/stage/useSeenCells'

const props = defineProps<{ cells: readonly SeenCell[]; number: string }>()
/** Null for all of them. */
const emit = defineEmits<{ pick: [event: PointerEvent, cell: FixtureId | null] }>()

/** How far the frame stands off the cells, pixels. */
const FRAME = 4
const frame = computed(() => {
  const [first, last] = [props.cells[0], props.cells.at(-1)]
  return first && last ? { d: `M${first.at.x} ${first.at.y}L${last.at.x} ${last.at.y}`, size: first.size } : null
})
</script>

<template>
  <path
    v-if="frame"
    :d="frame.d"
    :stroke-width="frame.size + 2 * FRAME"
    class="cursor-pointer fill-none stroke-rule-2"
    stroke-linecap="square"
    @pointerdown="emit('pick', $event, null)"
  />
  <rect
    v-for="(cell, i) in cells"
    :key="cell.id"
    :x="cell.at.x - cell.size / 2"
    :y="cell.at.y - cell.size / 2"
    :width="cell.size"
    :height="cell.size"
    rx="1.5"
    class="cursor-pointer"
    stroke-width="1.2"
    :class="SIGN_CLASS[cell.look]"
    role="img"
    :aria-label="`Cell ${number}.${i + 1}${cell.order ? `, selected ${cell.order}` : ''}`"
    @pointerdown="emit('pick', $event, cell.id)"
  />
</template>
