<script setup lang="ts">
/** What palettes hold before and after a change, one palette at a time. */
import { computed, ref } from 'vue'
import { comparedLines } from '#core/refocus/paletteLines'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import PalettePreview from './PalettePreview.vue'

const props = defineProps<{ before: Show; after: Show; palettes: readonly PaletteId[] }>()
const wished = ref<PaletteId | null>(null)
const shown = computed(() => props.palettes.find((id) => id === wished.value) ?? props.palettes[0])
const lines = computed(() => (shown.value ? comparedLines(props.before, props.after, shown.value) : []))

function choose(event: Event) {
  const chosen = event.target instanceof HTMLSelectElement ? event.target.value : ''
  wished.value = props.palettes.find((id) => id === chosen) ?? null
}
</script>

<template>
  <div class="flex min-h-0 flex-col gap-1">
    <select
      v-if="palettes.length > 1"
      :value="shown"
      class="field px-1.5 py-0 font-sans"
      aria-label="Contents of"
      @change="choose"
    >
      <option v-for="id in palettes" :key="id" :value="id">
        {{ before.all.palette.get(id)?.number }} {{ before.all.palette.get(id)?.name }}
      </option>
    </select>
    <PalettePreview :lines="lines" :is-new="false" />
  </div>
</template>
