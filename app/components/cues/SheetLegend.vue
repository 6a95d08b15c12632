<script setup lang="ts">
/** What the sheet's colours and shapes mean. */
import { computed } from 'vue'
import { palettesInOrder } from '#core/palettes/resolve'
import type { PaletteId } from '#core/show/ids'
import { hangsOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { useCuesRoom } from '../../stores/cuesRoom'
import { PALETTE_FILL } from '../shelf/paletteColours'

const props = defineProps<{ show: Show }>()
const room = useCuesRoom()
/** More names than this say nothing any more. */
const MOST = 12

const used = computed(() => {
  const { sheet } = room
  if (!sheet) return []
  const palettes = new Set<PaletteId>()
  for (const { fixtures } of hangsOf(props.show))
    for (const { id } of fixtures) for (const { palette } of sheet.points(id)) if (palette) palettes.add(palette)
  return palettesInOrder(props.show).filter(({ id }) => palettes.has(id))
})
</script>

<template>
  <p class="flex shrink-0 flex-wrap gap-x-3.5 gap-y-0.5 border-t border-rule px-4 py-1.5 text-sm text-mist">
    <button
      v-for="{ id, palette } in used.slice(0, MOST)"
      :key="id"
      type="button"
      class="flex items-center gap-1.5 hover:text-sail"
      :class="room.palette === id ? 'text-sail underline' : ''"
      :aria-pressed="room.palette === id"
      :title="`Only cues that show ${palette.name}`"
      @click="room.palette = room.palette === id ? null : id"
    >
      <svg width="10" height="10" aria-hidden="true">
        <rect width="10" height="10" rx="2" :class="PALETTE_FILL[palette.colour]" /></svg
      >{{ palette.name }}
    </button>
    <span v-if="used.length > MOST">and {{ used.length - MOST }} more</span>
    <span class="text-haze">block: set, line: carried, ring: back to rest, bar: blocked, hole: held, faint: dark</span>
    <span class="text-coral">dashed: loose</span>
    <span v-if="show.all.darkRule.size > 0" class="text-shoal">open: moves in the dark for a later cue</span>
  </p>
</template>
