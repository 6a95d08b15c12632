<script setup lang="ts">
/** One palette in both venues: fixture by fixture in numbers, and side by side on the plan or in Space. */
import { computed, ref } from 'vue'
import { paletteLight } from '#core/cues/paletteLight'
import { inVenue, type PaletteDifference } from '#core/refocus/difference'
import type { VenueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { SURFACES } from '../../composables/stage/surfaces'
import FixtureDifferences from './FixtureDifferences.vue'
import SidesBySide from './SidesBySide.vue'

const props = defineProps<{ show: Show; difference: PaletteDifference; here: VenueId; there: VenueId }>()
const emit = defineEmits<{ close: [] }>()
const surface = ref<'plan' | 'space'>('plan')

const sides = computed(() =>
  [props.here, props.there].map((venue) => {
    const show = inVenue(props.show, venue)
    const name = props.show.all.venue.get(venue)?.name ?? ''
    return { show, name, light: paletteLight(show, props.difference.palette) }
  }),
)
const name = computed(() => props.show.all.palette.get(props.difference.palette)?.name ?? '')
</script>

<template>
  <section
    class="grid min-h-0 grid-cols-[400px_minmax(0,1fr)] border-t border-rule"
    :aria-label="`${name} in both venues`"
  >
    <div class="flex min-h-0 flex-col bg-deck">
      <header class="flex items-center gap-2 px-4 py-2">
        <h3 class="min-w-0 truncate font-semibold">{{ name }}</h3>
        <SwitchField
          class="ml-auto"
          label="Seen"
          :options="SURFACES"
          :value="surface"
          @choose="(key) => (surface = key)"
        />
        <button type="button" class="chip" @click="emit('close')">Close</button>
      </header>
      <div class="min-h-0 flex-1 overflow-y-auto px-4 pb-2" tabindex="0">
        <FixtureDifferences :show="show" :fixtures="difference.fixtures" />
      </div>
    </div>
    <SidesBySide :sides="sides" :surface="surface" />
  </section>
</template>
