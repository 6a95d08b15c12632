<script setup lang="ts">
/** How a list moves: the paths of one cue on the plan, and under it what every fixture does cue by cue. */
import { onMounted, ref } from 'vue'
import type { CueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { SURFACES } from '../../composables/stage/surfaces'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useStage } from '../../stores/stage'
import { useTravelView } from '../../stores/travelView'
import ListSwitch from '../cues/ListSwitch.vue'
import ViewOfCues from '../cues/ViewOfCues.vue'
import DarkTable from './DarkTable.vue'
import FaultChips from './FaultChips.vue'
import TravelPlan from './TravelPlan.vue'
import TravelScrubber from './TravelScrubber.vue'
import TravelSheet from './TravelSheet.vue'
import TravelSpace from './TravelSpace.vue'
import WaysTable from './WaysTable.vue'

defineProps<{ show: Show }>()
defineEmits<{ go: [cue: CueId] }>()
const room = useCuesRoom()
const travel = useTravelView()
const stage = useStage()
// A tool taken up in another room does nothing here.
onMounted(() => (stage.tool = 'select'))

/** From above, or in space. */
const surface = ref<'plan' | 'space'>('plan')
const LEGEND = [
  { words: 'block: seen to move', ink: 'text-brass' },
  { words: 'red: too fast, or in a zone', ink: 'text-coral' },
  { words: 'moves in the dark, outlined: ahead of its cue', ink: 'text-shoal' },
  { words: 'thin: lit, standing', ink: 'text-mist' },
  { words: 'dots: dark', ink: 'text-mist' },
] as const
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-2 gap-y-1.5 px-4 pt-2.5 pb-1.5">
    <ViewOfCues />
    <ListSwitch />
    <FaultChips class="ml-auto" />
  </div>
  <template v-if="room.list?.cues.length">
    <div class="relative min-h-0 flex-[5]">
      <TravelSpace v-if="surface === 'space'" :show="show" />
      <TravelPlan v-else :show="show" />
      <div class="absolute top-3 left-4 flex items-center gap-2">
        <SwitchField
          label="View of the moves"
          :options="SURFACES"
          :value="surface"
          @choose="(key) => (surface = key)"
        />
        <TravelScrubber />
      </div>
      <p v-if="travel.tried" class="pill absolute top-3 right-4 bg-deck">As it would be: {{ travel.tried.label }}</p>
    </div>
    <DarkTable v-if="room.panel === 'dark'" class="min-h-0 flex-[4] border-t border-rule" :show="show" />
    <WaysTable v-else-if="room.panel === 'ways'" class="min-h-0 flex-[4] border-t border-rule" :show="show" />
    <TravelSheet v-else class="min-h-0 flex-[4] border-t border-rule" :show="show" @go="(cue) => $emit('go', cue)" />
    <p
      v-if="room.panel !== 'dark' && room.panel !== 'ways'"
      class="flex shrink-0 flex-wrap gap-x-4 border-t border-rule px-4 py-1.5 text-sm"
    >
      <span v-for="{ words, ink } in LEGEND" :key="words" :class="ink">{{ words }}</span>
    </p>
  </template>
  <p v-else class="m-4 grid flex-1 place-items-center rounded-lg border border-dashed border-rule-2 text-mist">
    <span>Without cues nothing moves. Build the first in Focus: aim or recall something, then press Cue.</span>
  </p>
</template>
