<script setup lang="ts">
/** What is seen of a list: what its cues carry, or how they move. */
import { useCuesRoom } from '../../stores/cuesRoom'

const room = useCuesRoom()
const VIEWS = [
  { view: 'sheet', label: 'Carry sheet' },
  { view: 'travel', label: 'Travel' },
] as const
</script>

<template>
  <div class="flex rounded-lg border border-rule-2 bg-deck p-0.5" role="radiogroup" aria-label="View of the list">
    <button
      v-for="item in VIEWS"
      :key="item.view"
      type="button"
      role="radio"
      :aria-checked="room.view === item.view"
      class="rounded-md px-2.5 py-1 text-sm"
      :class="room.view === item.view ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
      @click="room.view = item.view"
    >
      {{ item.label }}
    </button>
  </div>
</template>
