<script setup lang="ts">
/** The rim of the selection's pool, taken and drawn out or in to make it larger or smaller. */
import { LEADING } from '#core/attributes/catalogue'
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { isHead } from '#core/show/rig'
import { usePlan } from '../../composables/stage/planKey'
import { wholePool } from '../../drawing/planLight'
import type { RimGrab } from '../../composables/stage/usePoolRim'

const props = defineProps<{ chosen: readonly StageFixture[]; atFloor: boolean }>()
const emit = defineEmits<{ grab: [event: PointerEvent, rim: RimGrab] }>()
const plan = usePlan()

const rim = computed(() => {
  const first = props.chosen.find(({ rigged }) => isHead(rigged) && rigged.type.has.includes(LEADING.width))
  const diameter = first?.zoom.pool
  if (!first || diameter === null || diameter === undefined) return null
  const pool = wholePool(first, plan.sight.value, props.atFloor)
  return pool && { pool, diameter }
})
</script>

<template>
  <ellipse
    v-if="rim"
    role="img"
    aria-label="Rim of the pool"
    class="cursor-nesw-resize fill-none stroke-transparent hover:stroke-sail/30"
    pointer-events="stroke"
    stroke-width="7"
    :cx="rim.pool.x"
    :cy="rim.pool.y"
    :rx="rim.pool.long"
    :ry="rim.pool.short"
    :transform="`rotate(${((rim.pool.turn * 180) / Math.PI).toFixed(2)} ${rim.pool.x} ${rim.pool.y})`"
    @pointerdown="emit('grab', $event, { middle: rim.pool, diameter: rim.diameter })"
  />
</template>
