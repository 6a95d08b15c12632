<script setup lang="ts">
/** The sheet a stage is drawn on: its view, its pointer, the box that is drawn over it and the lines caught on. */
import { computed, ref } from 'vue'
import { Maximize } from '@lucide/vue'
import type { Vec3 } from '#core/geometry/vector'
import type { FixtureId } from '#core/show/ids'
import { providePlan } from '../../composables/stage/planKey'
import type { Projection } from '#core/drawing/projections'
import { usePlanPointer } from '../../composables/stage/usePlanPointer'
import { usePlanView, type Extent } from '../../composables/stage/usePlanView'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import NearnessButtons from './NearnessButtons.vue'
import TrackedMarks from './TrackedMarks.vue'
import { pathOf } from '#core/drawing/svgPath'

const props = defineProps<{
  label: string
  extent: Extent
  projection: Projection
  spots: ReadonlyMap<FixtureId, Vec3>
}>()
const stage = useStage()
const selection = useSelection()
const sheet = ref<HTMLElement | null>(null)
const view = usePlanView(
  sheet,
  () => props.extent,
  () => props.projection,
)
providePlan(view)
const pointer = usePlanPointer(
  sheet,
  view,
  computed(() => props.spots),
)

/** Lines caught on, by the axes this drawing shows. */
const guides = computed(() => {
  if (!stage.guides) return ''
  const { x, y, z } = stage.guides
  const shown = [
    x === null ? null : { from: { x, y: 0, z: 0 }, axis: 'x' },
    y === null ? null : { from: { x: 0, y, z: 0 }, axis: 'y' },
    z === null ? null : { from: { x: 0, y: 0, z }, axis: 'z' },
  ].flatMap((line) => line ?? [])
  return shown
    .map(({ from, axis }) => {
      const unit = props.projection.project({ x: +(axis === 'x'), y: +(axis === 'y'), z: +(axis === 'z') })
      const at = view.toScreen(from)
      if (unit.across !== 0) return `M${at.x.toFixed(1)} 0V${view.height.value}`
      return unit.up !== 0 ? `M0 ${at.y.toFixed(1)}H${view.width.value}` : ''
    })
    .join('')
})

defineExpose({ cancel: pointer.cancel, zoomIn: view.zoomIn, zoomOut: view.zoomOut, fit: view.fit, panBy: view.panBy })
</script>

<template>
  <div class="relative h-full min-h-0 w-full overflow-hidden bg-night contain-strict">
    <div
      ref="sheet"
      class="absolute inset-0 touch-none select-none"
      :class="stage.tool === 'outline' || (stage.tool === 'aim' && selection.fixtures.length) ? 'cursor-crosshair' : ''"
      role="group"
      :aria-label="label"
      @pointerdown="pointer.onBackground"
      @pointermove="pointer.onMove"
      @pointerup="pointer.onUp"
      @pointercancel="pointer.cancel"
    >
      <template v-if="view.width.value > 0">
        <svg class="absolute inset-0 size-full"><slot name="ground" :pointer="pointer" /></svg>
        <slot name="light" />
        <!-- Hundreds of fixtures, which stay as they are when light moves and something of the targets changes. -->
        <svg class="pointer-events-none absolute inset-0 size-full">
          <g class="pointer-events-auto"><slot name="rig" :pointer="pointer" /></g>
        </svg>
        <!-- Where nothing is drawn on an upper sheet, the pointer reaches the lower one. -->
        <svg class="pointer-events-none absolute inset-0 size-full">
          <g class="pointer-events-auto"><slot :pointer="pointer" /></g>
          <TrackedMarks />
          <path v-if="guides" :d="guides" class="stroke-shoal" stroke-dasharray="2 3" />
          <path
            v-if="stage.line"
            :d="pathOf([stage.line.from, stage.line.to].map(view.toScreen), false)"
            class="stroke-shoal"
            stroke-width="2"
          />
          <path
            v-if="pointer.lasso.value.length"
            :d="pathOf(pointer.lasso.value)"
            class="fill-shoal/10 stroke-shoal"
            stroke-dasharray="4 3"
          />
          <rect
            v-if="pointer.box.value"
            class="fill-shoal/10 stroke-shoal"
            stroke-dasharray="4 3"
            :x="Math.min(pointer.box.value.from.x, pointer.box.value.to.x)"
            :y="Math.min(pointer.box.value.from.y, pointer.box.value.to.y)"
            :width="Math.abs(pointer.box.value.to.x - pointer.box.value.from.x)"
            :height="Math.abs(pointer.box.value.to.y - pointer.box.value.from.y)"
          />
        </svg>
      </template>
    </div>
    <NearnessButtons class="bottom-9" label="Plan view" @nearer="view.zoomIn" @further="view.zoomOut">
      <IconButton
        :icon="Maximize"
        :size="14"
        class="chip p-1"
        title="Fit the stage (F)"
        aria-label="Fit the stage"
        @click="view.fit"
      />
    </NearnessButtons>
  </div>
</template>
