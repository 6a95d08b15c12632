<script setup lang="ts">
/** The whole in space: beams in haze, pools on floor and set, to be walked round. */
import { useElementSize, useLocalStorage } from '@vueuse/core'
import { CloudFog } from '@lucide/vue'
import { useTemplateRef, watch } from 'vue'
import { fixtureNumber } from '#core/show/cells'
import type { Show } from '#core/show/show'
import { useSpaceNames } from '../../composables/space/useSpaceNames'
import { useSpacePointer } from '../../composables/space/useSpacePointer'
import { useSpaceScene, type SpacePicture } from '../../composables/space/useSpaceScene'
import type { SetView } from '../../space/viewPoints'
import NearnessButtons from '../stage/NearnessButtons.vue'

const props = defineProps<{ show: Show; picture?: SpacePicture | undefined }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const isHazy = useLocalStorage('rhopander-haze', true)
const { space, pictures, lights, looking, trouble, fixtureAt, look, lookFromFixture } = useSpaceScene(
  canvas,
  () => props.show,
  isHazy,
  () => props.picture ?? null,
)
const { pointed, onDown, onUp, onMove, onLeave } = useSpacePointer(canvas, () => props.show, fixtureAt)

const names = useSpaceNames(space, () => props.show, { width, height, pictures })

const VIEWS: readonly { readonly view: SetView; readonly label: string }[] = [
  { view: 'house', label: 'From the house' },
  { view: 'above', label: 'From above' },
  { view: 'stage left', label: 'From stage left' },
]

watch([width, height, space], ([w, h, view]) => {
  if (view && w > 0 && h > 0) view.resize(w, h)
})

defineExpose({
  cancel: () => false,
  zoomIn: () => space.value?.zoomBy(1.25),
  zoomOut: () => space.value?.zoomBy(0.8),
  fit: () => look('house'),
  panBy: () => undefined,
})
</script>

<template>
  <div ref="frame" class="relative h-full min-h-0 w-full overflow-hidden bg-night contain-strict">
    <canvas
      ref="canvas"
      class="block h-full w-full touch-none outline-none"
      role="img"
      :aria-label="`The stage in space, ${lights.length} lights`"
      @pointerdown="onDown"
      @pointerup="onUp"
      @pointermove="onMove"
      @pointerleave="onLeave"
    />
    <svg class="pointer-events-none absolute inset-0 h-full w-full" role="group" aria-label="Names of targets">
      <text
        v-for="{ id, name, at } in names"
        :key="id"
        :x="at.x"
        :y="at.y"
        class="fill-on-space stroke-space text-[11px] font-semibold"
        stroke-width="3"
        style="paint-order: stroke"
      >
        {{ name }}
      </text>
    </svg>
    <p
      v-if="pointed"
      class="pointer-events-none absolute rounded bg-deck px-1.5 py-0.5 font-mono text-xs text-sail"
      :style="{ left: `${pointed.x + 12}px`, top: `${pointed.y + 8}px` }"
    >
      {{ pointed.number }}
    </p>
    <p
      v-if="trouble"
      class="absolute inset-x-10 top-1/3 rounded-lg border border-coral bg-deck p-4 text-center"
      role="alert"
    >
      {{ trouble }}
    </p>
    <div class="absolute right-14 bottom-3 left-3 flex flex-wrap gap-1.5" role="group" aria-label="Views of space">
      <button v-for="item in VIEWS" :key="item.view" type="button" class="chip" @click="look(item.view)">
        {{ item.label }}
      </button>
      <button v-if="looking || !picture" type="button" class="chip" :disabled="!looking" @click="lookFromFixture">
        From {{ looking ? `fixture ${fixtureNumber(looking.rigged.fixture)}` : 'the selected fixture' }}
      </button>
      <button
        type="button"
        class="chip flex items-center gap-1.5"
        :class="isHazy ? 'border-kelp bg-kelp-deep' : ''"
        :aria-pressed="isHazy"
        @click="isHazy = !isHazy"
      >
        <CloudFog :size="14" aria-hidden="true" />Haze
      </button>
    </div>
    <NearnessButtons class="bottom-3" label="Distance" @nearer="space?.zoomBy(1.25)" @further="space?.zoomBy(0.8)" />
  </div>
</template>
