<script setup lang="ts">
/**
 * A fixture's sign by its form: profile, wash, beam, lamp, or one without a type; upside down where it
 * stands. Drawn round x, y, in pixels, without moving or scaling a group: see PlanFixtures.
 */
import { computed } from 'vue'
import { fixtureSign } from '#core/drawing/fixtureSign'
import type { FixtureType } from '#core/show/entities'

const {
  form,
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
const path = computed(() => fixtureSign(form, { x, y }, scale, isStanding))
</script>

<template>
  <path :d="path" :stroke-dasharray="form === null ? '2.500 2' : undefined" />
</template>
