<script setup lang="ts">
/** A text as a square that phones read. Dark on light in either theme: many cannot read the reverse. */
import { create } from 'qrcode'
import { computed } from 'vue'

const props = defineProps<{ text: string; label: string }>()
/** What stays empty around it, in modules. */
const QUIET = 3

const modules = computed(() => create(props.text, { errorCorrectionLevel: 'M' }).modules)
const path = computed(() => {
  const { size, data } = modules.value
  return Array.from(data, (isDark, i) => (isDark ? `M${i % size} ${Math.floor(i / size)}h1v1h-1z` : '')).join('')
})
const box = computed(() => `${-QUIET} ${-QUIET} ${modules.value.size + 2 * QUIET} ${modules.value.size + 2 * QUIET}`)
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="label" shape-rendering="crispEdges" class="rounded-md bg-white">
    <path :d="path" class="fill-black" />
  </svg>
</template>
