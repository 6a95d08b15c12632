<script setup lang="ts">
/** The venues of the show: which one it plays at, when it plays where; one is added here. */
import { Plus } from '@lucide/vue'
import { absentIn } from '#core/refocus/venueSheet'
import { counted } from '#core/show/counted'
import type { VenueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useRefocusRoom } from '../../stores/refocusRoom'
import AddVenueForm from './AddVenueForm.vue'

const props = defineProps<{ show: Show }>()
const room = useRefocusRoom()

/** "3 touch-ups, 2 absent" */
function about(id: VenueId): string {
  const touchUps = [...props.show.all.touchUp.values()].filter(({ venue }) => venue === id).length
  const { absent, played } = absentIn(props.show, id)
  const parts = [
    touchUps > 0 ? counted(touchUps, 'touch-up') : '',
    absent > 0 ? `${absent} absent` : '',
    played > 0 ? counted(played, 'substitute') : '',
  ].filter((part) => part)
  return parts.join(', ') || 'everything hangs here'
}
function look(id: VenueId) {
  room.asked = id
  room.isAdding = false
}
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <header class="flex items-center border-b border-rule px-4 py-2">
      <h2 class="font-semibold">Venues</h2>
      <button
        type="button"
        class="chip ml-auto flex items-center gap-1"
        :aria-expanded="room.isAdding"
        @click="room.isAdding = !room.isAdding"
      >
        <Plus :size="14" aria-hidden="true" />Add
      </button>
    </header>
    <AddVenueForm v-if="room.isAdding" :show="show" @done="room.isAdding = false" />
    <ul aria-label="Venues">
      <li v-for="{ id, venue } in room.venues" :key="id">
        <button
          type="button"
          class="w-full border-b border-rule/60 px-4 py-2 text-left"
          :class="room.venue?.id === id ? 'bg-plank-2 shadow-[inset_3px_0_0_var(--color-coral)]' : 'hover:bg-plank'"
          :aria-current="room.venue?.id === id"
          @click="look(id)"
        >
          <span class="flex items-baseline gap-2">
            <span class="truncate font-semibold">{{ venue.name }}</span>
            <span
              v-if="room.inPlay === id"
              class="ml-auto shrink-0 rounded border border-kelp/60 px-1.5 text-xs text-kelp"
              >plays here</span
            >
          </span>
          <span class="flex gap-2 text-sm text-mist">
            <span v-if="venue.date" class="font-mono">{{ venue.date }}</span>
            <span class="truncate">{{ about(id) }}</span>
          </span>
        </button>
      </li>
    </ul>
  </div>
</template>
