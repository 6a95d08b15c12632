<script setup lang="ts">
/** The light of the stage in section: what is lit, what a palette would do, and what is chosen. */
import type { StageFixture } from '#core/cues/onStage'
import { useTheme } from '../../composables/shell/useTheme'
import { useTurningSeconds } from '../../composables/stage/useTurningSeconds'
import { usePlan } from '../../composables/stage/planKey'
import type { Brush } from '../../drawing/brush'
import type { Inks } from '../../drawing/inks'
import { turns } from '#core/drawing/lightForm'
import { drawOwnSectionLight, drawSectionLight, sectionLightMark } from '../../drawing/sectionLight'
import LightCanvas from './LightCanvas.vue'
import { lightInWords } from './lightInWords'

const props = defineProps<{
  lit: readonly StageFixture[]
  ghost: readonly StageFixture[]
  chosen: readonly StageFixture[]
  /** Whether light that is not chosen is in its own colour. */
  ownColour: boolean
}>()
const plan = usePlan()
const { isPaper } = useTheme()
const seconds = useTurningSeconds(() => turns(props.lit) || turns(props.chosen))

function draw(brush: Brush, inks: Inks) {
  const sight = plan.sight.value
  for (const look of ['lit', 'ghost', 'chosen'] as const) {
    const marks = props[look].map((fixture) => sectionLightMark(fixture, sight, seconds.value))
    if (look === 'lit' && props.ownColour) drawOwnSectionLight(brush, marks, isPaper.value)
    else drawSectionLight(brush, inks, marks, look)
  }
}
</script>

<template>
  <LightCanvas :label="lightInWords(lit.length, ghost.length, chosen.length)" :draw="draw" />
</template>
