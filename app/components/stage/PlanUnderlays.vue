<script setup lang="ts">
/** Drawings and pictures that lie under the plan, to trace on. */
import { computed } from 'vue'
import { underlayAxes, underlaysOf } from '#core/show/underlays'
import type { Show } from '#core/show/show'
import { usePlan } from '../../composables/stage/planKey'
import { fileUrl, useUnderlayLines } from '../../composables/stage/useUnderlayLines'

const props = defineProps<{ show: Show }>()
const { sight } = usePlan()
const lines = useUnderlayLines(() => props.show)
const seen = computed(() => underlaysOf(props.show).filter(([, { visible }]) => visible))

const drawn = computed(() =>
  seen.value.map(([id, underlay]) => {
    const { right, up } = underlayAxes(underlay)
    const { scale, toScreen } = sight.value
    const corner = toScreen({ x: underlay.x, y: underlay.y, z: 0 })
    const matrix = [right.x * scale, -right.y * scale, up.x * scale, -up.y * scale, corner.x, corner.y]
    const { name, form, digest, width, height, strength, hidden } = underlay
    const layers = form === 'lines' ? (lines.get(digest) ?? []).filter((layer) => !hidden.includes(layer.name)) : []
    return { id, name, form, digest, width, height, strength, layers, matrix: `matrix(${matrix.join(' ')})` }
  }),
)
</script>

<template>
  <g
    v-for="underlay in drawn"
    :key="underlay.id"
    class="underlay"
    role="img"
    :aria-label="`Underlay ${underlay.name}`"
    pointer-events="none"
    :transform="underlay.matrix"
    :opacity="underlay.strength"
  >
    <image
      v-if="underlay.form === 'picture'"
      :href="fileUrl(show, underlay.digest)"
      preserveAspectRatio="none"
      :width="underlay.width"
      :height="underlay.height"
      :transform="`translate(0 ${underlay.height}) scale(1 -1)`"
    />
    <path
      v-for="layer in underlay.layers"
      :key="layer.name"
      :d="layer.path"
      class="fill-none stroke-sail"
      vector-effect="non-scaling-stroke"
    />
  </g>
</template>
