<script setup lang="ts">
/** The light of the stage in section: what is lit, what a palette would do, and what is chosen. */
import type { StageFixture } from '#core/cues/onStage'
import { usePlan } from '../../composables/stage/planKey'
import type { Brush } from '../../drawing/brush'
import type { Inks } from '../../drawing/inks'
import { drawSectionLight, sectionLightMark } from '../../drawing/sectionLight'
import LightCanvas from './LightCanvas.vue'
import { lightInWords } from './lightInWords'

const props = defineProps<{
  lit: readonly StageFixture[]
  ghost: readonly StageFixture[]
  chosen: readonly StageFixture[]
}>()
const plan = usePlan()

function draw(brush: Brush, inks: Inks) {
  const sight = plan.sight.value
  for (const look of ['lit', 'ghost', 'chosen'] as const)
    drawSectionLight(
      brush,
      inks,
      props[look].map((fixture) => sectionLightMark(fixture, sight)),
      look,
    )
}
</script>

<template>
  <LightCanvas :label="lightInWords(lit.length, ghost.length, chosen.length)" :draw="draw" />
</template>
