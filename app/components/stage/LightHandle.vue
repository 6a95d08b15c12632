<script setup lang="ts">
/** The handle of the light: where the selection is aimed, when it is aimed at one place. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { isHead } from '#core/show/rig'
import { usePlan } from '../../composables/stage/planKey'
import type { AimDrag } from '../../stores/stage'

const props = defineProps<{ chosen: readonly StageFixture[] }>()
const emit = defineEmits<{ grab: [event: PointerEvent, from: AimDrag] }>()
const { toScreen } = usePlan()

const handle = computed(() => {
  const first = props.chosen.find(({ rigged }) => isHead(rigged))
  const value = first?.positionValue
  const point = first?.position.point
  if (!first || !point) return null
  const at = toScreen(point)
  if (value?.kind !== 'aim') return { at, from: { target: null, offset: point } }
  return { at, from: { target: value.target, offset: value.offset } }
})
</script>

<template>
  <g
    v-if="handle"
    class="cursor-grab"
    role="img"
    aria-label="Handle of the light"
    :transform="`translate(${handle.at.x.toFixed(1)} ${handle.at.y.toFixed(1)})`"
    @pointerdown="emit('grab', $event, handle.from)"
  >
    <circle r="11" fill="transparent" />
    <circle r="4.500" class="fill-sail stroke-night" stroke-width="1.500" />
  </g>
</template>
