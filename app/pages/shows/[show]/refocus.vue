<script setup lang="ts">
/** The Refocus room: the show in all its venues. */
import { useEventListener } from '@vueuse/core'
import { computed } from 'vue'
import { passOrder } from '#core/refocus/passOrder'
import { isTyping } from '../../../composables/keys/isTyping'
import { usePass } from '../../../stores/pass'
import { useProposal } from '../../../stores/proposal'
import { REFOCUS_VIEWS, useRefocusRoom } from '../../../stores/refocusRoom'
import { useShow } from '../../../stores/show'
import DifferenceTable from '../../../components/refocus/DifferenceTable.vue'
import VenueDetail from '../../../components/refocus/VenueDetail.vue'
import VenueList from '../../../components/refocus/VenueList.vue'
import AnglesTable from '../../../components/refocus/AnglesTable.vue'
import CuesInVenues from '../../../components/refocus/CuesInVenues.vue'
import TakeOverView from '../../../components/refocus/TakeOverView.vue'
import TouchUpTable from '../../../components/refocus/TouchUpTable.vue'
import VenueSheet from '../../../components/refocus/VenueSheet.vue'
import TrueUpView from '../../../components/survey/TrueUpView.vue'
import BeginPass from '../../../components/pass/BeginPass.vue'
import PassRoom from '../../../components/pass/PassRoom.vue'
import PassSide from '../../../components/pass/PassSide.vue'

const store = useShow()
const room = useRefocusRoom()
const proposal = useProposal()
const pass = usePass()
/** Whether the venues themselves are what one is about. */
const isAboutVenues = computed(() => room.view === 'venues' || room.view === 'difference' || room.view === 'pass')
const isPassing = computed(() => room.view === 'pass' && pass.pass !== null)
const venueInPlay = computed(() => room.venues.find(({ id }) => id === room.inPlay)?.venue.name ?? '')
/** How many palettes a pass would go through. */
const palettes = computed(() => (store.view ? passOrder(store.view, 'by cue').length : 0))

useEventListener('keydown', (event) => {
  if (!proposal.pending || isTyping(event)) return
  if (event.key === 'Escape') proposal.cancel()
  if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) void proposal.commit()
})
</script>

<template>
  <main v-if="store.view" class="grid min-h-0 grid-cols-[300px_minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto]">
    <aside
      v-if="isPassing"
      class="flex min-h-0 flex-col border-r border-rule bg-deck"
      :aria-label="`Pass at ${venueInPlay}`"
    >
      <PassSide :show="store.view" class="min-h-0 flex-1" />
    </aside>
    <aside
      v-else-if="isAboutVenues"
      class="flex min-h-0 flex-col overflow-y-auto border-r border-rule bg-deck"
      aria-label="Venues of the show"
    >
      <VenueList :show="store.view" />
      <VenueDetail v-if="room.venue" :id="room.venue.id" :show="store.view" :venue="room.venue.venue" />
    </aside>
    <section
      class="flex min-h-0 flex-col bg-night"
      :class="isAboutVenues ? '' : 'col-span-2'"
      :aria-label="REFOCUS_VIEWS.find(({ key }) => key === room.view)?.name"
    >
      <nav class="flex shrink-0 border-b border-rule bg-deck px-3 py-1.5" aria-label="Parts of the room">
        <SwitchField label="Seen as" :options="REFOCUS_VIEWS" :value="room.view" @choose="(key) => (room.view = key)" />
      </nav>
      <VenueSheet v-if="room.view === 'venues'" :show="store.view" class="min-h-0 flex-1" />
      <PassRoom v-else-if="isPassing" :show="store.view" class="min-h-0 flex-1" />
      <div v-else-if="room.view === 'pass'" class="flex min-h-0 flex-1 overflow-y-auto p-4">
        <BeginPass :venue="venueInPlay" :palettes="palettes" />
      </div>
      <TouchUpTable v-else-if="room.view === 'touchUps'" :show="store.view" class="min-h-0 flex-1" />
      <TrueUpView v-else-if="room.view === 'trueUp'" :show="store.view" class="min-h-0 flex-1" />
      <AnglesTable v-else-if="room.view === 'angles'" :show="store.view" class="min-h-0 flex-1" />
      <TakeOverView v-else-if="room.view === 'takeOver'" :show="store.view" class="min-h-0 flex-1" />
      <CuesInVenues v-else-if="room.view === 'cues'" :show="store.view" class="min-h-0 flex-1" />
      <DifferenceTable v-else :show="store.view" class="min-h-0 flex-1" />
    </section>
    <ProposalBar v-if="proposal.current" class="col-span-2" />
  </main>
</template>
