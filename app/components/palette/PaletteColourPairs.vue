<script setup lang="ts">
/** The colour of a palette beside what every type it serves makes of it. */
import { computed } from 'vue'
import { paletteColours } from '#core/palettes/paletteColours'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import ColourPairs from '../colour/ColourPairs.vue'

const props = defineProps<{ show: Show; id: PaletteId }>()
/** More than this are counted. */
const MOST = 12
const colours = computed(() => paletteColours(props.show, props.id))
</script>

<template>
  <section v-if="colours.length" class="border-b border-rule px-3 py-2.5" aria-labelledby="colours-title">
    <h3 id="colours-title" class="mb-1 font-semibold">
      Colour <span class="text-sm font-normal text-mist">asked for, and as it comes</span>
    </h3>
    <ColourPairs :colours="colours.slice(0, MOST)" />
    <p v-if="colours.length > MOST" class="text-sm text-haze">and {{ colours.length - MOST }} more</p>
  </section>
</template>
