<script setup lang="ts">
/** One venue: its name, day and note; playing there, deleting it. */
import { computed, ref, watch } from 'vue'
import type { Venue } from '#core/show/entities'
import { belongingsOf } from '#core/refocus/venueSheet'
import { counted } from '#core/show/counted'
import type { VenueId } from '#core/show/ids'
import { listInWords } from '#core/show/listInWords'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { useProposal } from '../../stores/proposal'
import { useRefocusRoom } from '../../stores/refocusRoom'
import RemovalBox from '../rig/RemovalBox.vue'

const props = defineProps<{ show: Show; id: VenueId; venue: Venue }>()
const room = useRefocusRoom()
const proposal = useProposal()
const { keep } = useCommit()
const isRemoving = ref(false)
watch(
  () => props.id,
  () => (isRemoving.value = false),
)

const change = (fields: Partial<Pick<Venue, 'name' | 'note' | 'date'>>) =>
  keep('changeVenue', { venue: props.id, ...fields })
const isInPlay = computed(() => room.inPlay === props.id)
const warning = computed(() => {
  const { touchUps, substitutes, places } = belongingsOf(props.show, props.id)
  const parts = [counted(places, 'place'), counted(touchUps, 'touch-up'), counted(substitutes, 'substitute')]
  return `With it go ${listInWords(parts)}. Palettes and cues stay as they are.`
})
</script>

<template>
  <section class="flex flex-col gap-2 border-t border-rule px-4 py-3" :aria-label="venue.name">
    <TextField label="Name" :shown="venue.name" :keep="(name) => change({ name })" />
    <TextField
      label="Plays on"
      :shown="venue.date ?? ''"
      placeholder="year-month-day"
      :keep="(date) => change({ date: date.trim() || null })"
    />
    <TextField label="Note" :shown="venue.note" :keep="(note) => change({ note })" />
    <RemovalBox
      v-if="isRemoving"
      :title="`Delete ${venue.name}`"
      :warning="warning"
      act="Delete"
      :remove="() => keep('deleteVenue', { venue: id })"
      @back="isRemoving = false"
      @done="isRemoving = false"
    />
    <div v-else-if="!isInPlay" class="mt-1 flex gap-1.5">
      <button type="button" class="chip" @click="proposal.propose('switchVenue', { venue: id }, true)">
        Play here
      </button>
      <button type="button" class="chip ml-auto" @click="isRemoving = true">Delete</button>
    </div>
  </section>
</template>
