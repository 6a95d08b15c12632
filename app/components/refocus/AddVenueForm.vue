<script setup lang="ts">
/** Adds a venue: empty, or with everything placed as it is in another. */
import { computed, ref } from 'vue'
import type { VenueId } from '#core/show/ids'
import { entity, type Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { useRefocusRoom } from '../../stores/refocusRoom'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ done: [] }>()
const room = useRefocusRoom()
const { keep } = useCommit()

const name = ref('')
const from = ref<VenueId | ''>(room.inPlay ?? '')
const trouble = ref<string | null>(null)
/** The stage of a venue with nothing in it is drawn like that in play, to be changed. */
const like = computed(() => from.value || room.inPlay)

async function add() {
  if (!like.value) return
  const { outline, opening, keepClear, levels } = entity(props.show, 'venue', like.value)
  const drawn = {
    outline: [...outline],
    opening,
    keepClear: from.value ? [...keepClear] : [],
    levels: from.value ? [...levels] : [],
  }
  trouble.value = await keep('addVenue', { ...drawn, name: name.value, note: '', date: null, from: from.value || null })
  if (trouble.value) return
  room.asked = room.venues.find(({ venue }) => venue.name === name.value.trim())?.id ?? null
  emit('done')
}
</script>

<template>
  <form
    class="flex flex-col gap-2 border-b border-rule bg-plank px-4 py-3"
    aria-label="Add a venue"
    @submit.prevent="add"
  >
    <label class="block text-xs text-haze">
      Name
      <input v-model="name" class="field font-sans" maxlength="120" autocomplete="off" autofocus />
    </label>
    <label class="block text-xs text-haze">
      Everything placed
      <select v-model="from" class="field font-sans">
        <option v-for="{ id, venue } in room.venues" :key="id" :value="id">as at {{ venue.name }}</option>
        <option value="">nowhere yet</option>
      </select>
    </label>
    <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
    <div class="flex gap-2">
      <button type="button" class="quiet-button py-1" @click="emit('done')">Leave it</button>
      <button type="submit" class="main-button py-1" :disabled="name.trim() === ''">Add</button>
    </div>
  </form>
</template>
