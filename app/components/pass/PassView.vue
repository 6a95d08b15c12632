<script setup lang="ts">
/** The pass on the stage's drawing: the light that is checked, solid, and as another venue has it, dashed. */
import { computed, ref } from 'vue'
import { asVenueId } from '#core/show/ids'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { SURFACES } from '../../composables/stage/surfaces'
import type { SpacePicture } from '../../composables/space/useSpaceScene'
import { usePass } from '../../stores/pass'
import { useRefocusRoom } from '../../stores/refocusRoom'
import LightPlan from '../stage/LightPlan.vue'

const props = defineProps<{ show: Show }>()
const pass = usePass()
const room = useRefocusRoom()
const surface = ref<'plan' | 'space'>('plan')

const chosen = computed(() => {
  const meant = new Set<string>(pass.meant)
  return pass.light.filter(({ rigged }) => meant.has(rigged.id))
})
const picture = computed<SpacePicture>(() => ({
  fixtures: chosen.value.map((one) => ({ ...one, intensity: 1, seen: 1 })),
  ways: [],
}))
const here = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue).name)
const others = computed(() => room.venues.filter(({ id }) => id !== room.inPlay))
function compare({ target }: Event) {
  if (target instanceof HTMLSelectElement) pass.comparedWith = target.value ? asVenueId(target.value) : null
}
</script>

<template>
  <div class="relative min-h-0">
    <LazyStageSpace v-if="surface === 'space'" :show="show" :picture="picture" />
    <LightPlan
      v-else
      :show="show"
      label="Plan of what is checked"
      :chosen="chosen"
      :told="pass.light"
      :ghost="pass.lightThere"
      @pick="([fixture]) => fixture && pass.lookAt(fixture)"
    />
    <div class="absolute inset-x-3 top-3 flex items-center gap-2">
      <SwitchField label="View of the light" :options="SURFACES" :value="surface" @choose="(key) => (surface = key)" />
      <label v-if="others.length && surface === 'plan'" class="ml-auto flex items-center gap-1 text-sm text-mist">
        Compare with
        <select class="chip bg-deck" :value="pass.other?.id ?? ''" @change="compare">
          <option value="">no other venue</option>
          <option v-for="{ id, venue } in others" :key="id" :value="id">{{ venue.name }}</option>
        </select>
      </label>
      <template v-if="pass.other && surface === 'plan'">
        <span class="pill bg-deck">Dashed: {{ pass.other.venue.name }}</span>
        <span class="pill border-brass/60 bg-deck text-brass">Solid: {{ here }}</span>
      </template>
    </div>
  </div>
</template>
