<script setup lang="ts">
/** The light of the stage in plan: what is lit, what a palette would do, and what is chosen. */
import type { StageFixture } from '#core/cues/onStage'
import type { Vec3 } from '#core/geometry/vector'
import type { Venue } from '#core/show/entities'
import type { FixtureId } from '#core/show/ids'
import { useTheme } from '../../composables/shell/useTheme'
import { usePlan } from '../../composables/stage/planKey'
import type { Brush } from '../../drawing/brush'
import type { Inks } from '../../drawing/inks'
import { turns } from '#core/drawing/lightForm'
import { drawOwnLight, drawPlanLight, planLightMark } from '../../drawing/planLight'
import { useTurningSeconds } from '../../composables/stage/useTurningSeconds'
import LightCanvas from './LightCanvas.vue'
import { lightInWords } from './lightInWords'

const props = defineProps<{
  lit: readonly StageFixture[]
  ghost: readonly StageFixture[]
  chosen: readonly StageFixture[]
  spots: ReadonlyMap<FixtureId, Vec3>
  venue: Venue
  atFloor: boolean
  /** Whether light that is not chosen is in its own colour. */
  ownColour: boolean
}>()
const plan = usePlan()
const { isPaper } = useTheme()
const seconds = useTurningSeconds(() => turns(props.lit) || turns(props.chosen))

function draw(brush: Brush, inks: Inks) {
  const sight = plan.sight.value
  const outline = props.venue.outline.map(sight.toScreen)
  for (const look of ['lit', 'ghost', 'chosen'] as const) {
    const marks = props[look].map((fixture) =>
      planLightMark(fixture, props.spots.get(fixture.rigged.id), sight, props.atFloor, seconds.value),
    )
    if (look === 'lit' && props.ownColour) drawOwnLight(brush, marks, isPaper.value)
    else drawPlanLight(brush, inks, marks, look, outline)
  }
}
</script>

<template>
  <LightCanvas :label="lightInWords(lit.length, ghost.length, chosen.length)" :draw="draw" />
</template>
