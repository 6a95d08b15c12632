<script setup lang="ts">
/** Two pictures of light in two venues beside each other, in plan or in Space. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import type { Show } from '#core/show/show'
import LightPlan from '../stage/LightPlan.vue'

export interface Side {
  /** The show as it plays there. */
  readonly show: Show
  readonly name: string
  /** What the plan is called; left out for that of a venue. */
  readonly label?: string
  readonly light: readonly StageFixture[]
  /** What is lit around it. */
  readonly around?: readonly StageFixture[]
}
const props = defineProps<{ sides: readonly Side[]; surface: 'plan' | 'space' }>()
/** In Space light is seen as bright as it is: a palette alone has none. */
const pictures = computed(() =>
  props.sides.map(({ light, around = [] }) => ({
    fixtures: [...light, ...around].map((one) => (one.intensity > 0 ? one : { ...one, intensity: 1, seen: 1 })),
    ways: [],
  })),
)
</script>

<template>
  <div class="grid min-h-0 grid-cols-2">
    <div v-for="(side, i) in sides" :key="i" class="relative min-h-0 border-l border-rule">
      <LazyStageSpace v-if="surface === 'space'" :show="side.show" :picture="pictures[i]" />
      <LightPlan
        v-else
        :show="side.show"
        :label="side.label ?? `Plan at ${side.name}`"
        :chosen="side.light"
        :lit="side.around ?? []"
      />
      <p class="pill absolute top-3 left-3 bg-deck" :class="i > 0 ? 'border-brass/60 text-brass' : ''">
        {{ side.name }}
      </p>
    </div>
  </div>
</template>
