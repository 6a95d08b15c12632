<script setup lang="ts">
/** Truing up: heads are steered onto surveyed places one after another, and what that tells of their hang is set. */
import { computed, ref } from 'vue'
import { pictureNear } from '#core/cues/onStage'
import { HOME } from '#core/kinematics/head'
import type { FixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { SURFACES } from '../../composables/stage/surfaces'
import { useTrueUpKeys } from '../../composables/keys/useTrueUpKeys'
import { useTrueUp } from '../../stores/trueUp'
import LightPlan from '../stage/LightPlan.vue'
import HangTruthPanel from './HangTruthPanel.vue'
import SteerPanel from './SteerPanel.vue'
import SurveyedTargets from './SurveyedTargets.vue'
import TrueUpHeads from './TrueUpHeads.vue'

const props = defineProps<{ show: Show }>()
const room = useTrueUp()
useTrueUpKeys()
const surface = ref<'plan' | 'space'>('plan')
const light = computed(() => (room.steered ? [room.steered] : []))
/** The heads of the hang while none is steered. */
const told = computed(() => {
  const heads = room.hang?.heads ?? []
  if (room.steered) return light.value
  return heads
    .flatMap(({ id }) => rigOf(props.show).get(id) ?? [])
    .map((rigged) =>
      pictureNear(
        props.show,
        rigged,
        () => null,
        () => HOME,
      ),
    )
})
function take([fixture]: readonly FixtureId[]) {
  const target = room.target ?? room.surveyed[0]
  if (fixture && target) void room.steer(fixture, target.id)
}
const picture = computed(() => ({ fixtures: light.value, ways: [] }))
</script>

<template>
  <div class="grid min-h-0 grid-cols-[290px_minmax(0,1fr)_340px]">
    <aside class="flex min-h-0 flex-col border-r border-rule bg-deck" aria-label="Hangs and their heads">
      <TrueUpHeads :show="show" class="min-h-0 flex-1" />
      <SurveyedTargets :show="show" />
    </aside>
    <div class="relative min-h-0">
      <LazyStageSpace v-if="surface === 'space'" :show="show" :picture="picture" />
      <LightPlan
        v-else
        :show="show"
        label="Plan of the light that is steered"
        :chosen="light"
        :told="told"
        @pick="take"
      />
      <SwitchField
        class="absolute top-3 left-3"
        label="View of the light"
        :options="SURFACES"
        :value="surface"
        @choose="(key) => (surface = key)"
      />
    </div>
    <aside class="flex min-h-0 flex-col overflow-y-auto border-l border-rule bg-deck" aria-label="What is sighted">
      <SteerPanel :show="show" />
      <HangTruthPanel v-if="room.truth" :show="show" :truth="room.truth" />
    </aside>
  </div>
</template>
