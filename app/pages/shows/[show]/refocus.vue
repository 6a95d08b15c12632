<script setup lang="ts">
/** The Refocus room: the show in all its venues. */
import { useEventListener } from '@vueuse/core'
import { isTyping } from '../../../composables/keys/isTyping'
import { useProposal } from '../../../stores/proposal'
import { useRefocusRoom } from '../../../stores/refocusRoom'
import { useShow } from '../../../stores/show'
import VenueDetail from '../../../components/refocus/VenueDetail.vue'
import VenueList from '../../../components/refocus/VenueList.vue'
import VenueSheet from '../../../components/refocus/VenueSheet.vue'

const store = useShow()
const room = useRefocusRoom()
const proposal = useProposal()

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
    <section class="flex min-h-0 flex-col bg-night" aria-label="Per venue">
      <VenueSheet :show="store.view" class="min-h-0 flex-1" />
    </section>
    <ProposalBar v-if="proposal.current" class="col-span-2" />
  </main>
</template>
