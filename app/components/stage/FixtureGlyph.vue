<script setup lang="ts">
/**
 * A fixture's sign by its form: profile, wash, beam, lamp, or one without a type; upside down where it
 * stands. Drawn round x, y, in pixels, without moving or scaling a group: see PlanFixtures.
 */
import { computed } from 'vue'
import type { FixtureType } from '#core/show/entities'

const {
  x = 0,
  y = 0,
  scale = 1,
  isStanding = false,
} = defineProps<{
  form: FixtureType['form'] | null
  x?: number
  y?: number
  scale?: number
  isStanding?: boolean
}>()
const down = computed(() => (isStanding ? -scale : scale))
</script>

<template>
  <path
    v-if="form === 'profile'"
    :d="`M${x - 8 * scale} ${y - 6 * down}h${16 * scale}l${-2.5 * scale} ${13 * down}h${-11 * scale}Z`"
  />
  <circle v-else-if="form === 'wash'" :cx="x" :cy="y" :r="7.5 * scale" />
  <rect
    v-else-if="form === 'beam'"
    :x="x - 4.5 * scale"
    :y="y - 7.5 * scale"
    :width="9 * scale"
    :height="15 * scale"
    :rx="2 * scale"
  />
  <path
    v-else-if="form === 'lamp'"
    :d="`M${x - 7 * scale} ${y - 4 * down}h${14 * scale}a${7 * scale} ${8 * scale} 0 0 ${isStanding ? 0 : 1} ${-14 * scale} 0Z`"
  />
  <path
    v-else
    :d="`M${x} ${y - 7.5 * scale}l${7.5 * scale} ${7.5 * scale}l${-7.5 * scale} ${7.5 * scale}l${-7.5 * scale} ${-7.5 * scale}Z`"
    stroke-dasharray="2.500 2"
  />
</template>
