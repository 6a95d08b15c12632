<script setup lang="ts">
/** What was noted on cues at this venue and is still to be put right. */
import { Check } from '@lucide/vue'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { usePass } from '../../stores/pass'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ look: [palette: PaletteId] }>()
const pass = usePass()
const store = useShow()
const nameOf = (palette: PaletteId) => props.show.all.palette.get(palette)?.name ?? ''
</script>

<template>
  <section v-if="pass.notes.length" class="shrink-0 border-t border-rule" aria-label="Noted on cues">
    <h3 class="px-4 pt-2 pb-1 text-xs text-haze uppercase tracking-wide">
      Noted on cues, {{ pass.notes.length }} left
    </h3>
    <ul class="max-h-44 overflow-y-auto pb-1">
      <li v-for="{ id, note, cue, palettes } in pass.notes" :key="id" class="flex items-start gap-2 px-4 py-1">
        <span class="w-9 shrink-0 font-mono text-mist">{{ cue }}</span>
        <span class="min-w-0 flex-1">
          <span class="block">{{ note.text }}</span>
          <span class="flex flex-wrap gap-x-2 text-sm">
            <button
              v-for="palette in palettes"
              :key="palette"
              type="button"
              class="text-mist underline decoration-rule-2 hover:text-sail"
              @click="emit('look', palette)"
            >
              {{ nameOf(palette) }}
            </button>
          </span>
        </span>
        <IconButton
          :icon="Check"
          :size="14"
          class="chip p-1 in-data-touch:p-2"
          :aria-label="`Seen to: cue ${cue}, ${note.text}`"
          title="Seen to"
          @click="store.send('settleCueNotes', { notes: [id], isDone: true })"
        />
      </li>
    </ul>
  </section>
</template>
