<script setup lang="ts">
/** The Refocus room: the show in all its venues. */
import { useEventListener } from '@vueuse/core'
import { isTyping } from '../../../composables/keys/isTyping'
import { useProposal } from '../../../stores/proposal'
import { useRefocusRoom } from '../../../stores/refocusRoom'
import { useShow } from '../../../stores/show'
import DifferenceTable from '../../../components/refocus/DifferenceTable.vue'
import VenueDetail from '../../../components/refocus/VenueDetail.vue'
import VenueList from '../../../components/refocus/VenueList.vue'
import VenueSheet from '../../../components/refocus/VenueSheet.vue'

const store = useShow()
const room = useRefocusRoom()
const proposal = useProposal()
const VIEWS = [
  { key: 'venues', name: 'Per venue' },
  { key: 'difference', name: 'Difference' },
] as const

useEventListener('keydown', (event) => {
  if (!proposal.pending || isTyping(event)) return
  if (event.key === 'Escape') proposal.cancel()
  if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) void proposal.commit()
})
</script>

<template>
  <main v-if="store.view" class="grid min-h-0 grid-cols-[300px_minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto]">
    <aside class="flex min-h-0 flex-col overflow-y-auto border-r border-rule bg-deck" aria-label="Venues of the show">
      <VenueList :show="store.view" />
      <VenueDetail v-if="room.venue" :id="room.venue.id" :show="store.view" :venue="room.venue.venue" />
    </aside>
    <section class="flex min-h-0 flex-col bg-night" :aria-label="room.view === 'venues' ? 'Per venue' : 'Difference'">
      <nav class="flex shrink-0 border-b border-rule bg-deck px-3 py-1.5" aria-label="Parts of the room">
        <SwitchField label="Seen as" :options="VIEWS" :value="room.view" @choose="(key) => (room.view = key)" />
      </nav>
      <VenueSheet v-if="room.view === 'venues'" :show="store.view" class="min-h-0 flex-1" />
      <DifferenceTable v-else :show="store.view" class="min-h-0 flex-1" />
    </section>
    <ProposalBar v-if="proposal.current" class="col-span-2" />
  </main>
</template>
