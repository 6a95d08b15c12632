<script setup lang="ts">
/** What a gobo lets through, drawn small. */
import { computed } from 'vue'
import { openingsOf, type GoboPattern } from '#core/light/goboOpenings'
import { gatePath } from '#core/drawing/gatePath'

const props = defineProps<{ pattern: GoboPattern }>()
const RADIUS = 11
const openings = computed(() => gatePath(openingsOf(props.pattern), RADIUS))
</script>

<template>
  <svg viewBox="-12 -12 24 24" width="26" height="26" aria-hidden="true">
    <circle :r="RADIUS" class="fill-night stroke-rule-2" />
    <path :d="openings" class="fill-brass" />
  </svg>
</template>
