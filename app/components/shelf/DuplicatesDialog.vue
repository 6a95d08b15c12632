<script setup lang="ts">
/** Palettes that hold the same, to be merged into one; cues follow. */
import { computed } from 'vue'
import { duplicatePalettes } from '#core/palettes/duplicates'
import { cueCounts } from '#core/palettes/use'
import type { Show } from '#core/show/show'
import { useShow } from '../../stores/show'
import PlainDialog from '../shell/PlainDialog.vue'
import { counted } from '#core/show/counted'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()

const groups = computed(() =>
  props.open
    ? duplicatePalettes(props.show).map((ids) =>
        ids.flatMap((id) => {
          const palette = props.show.all.palette.get(id)
          return palette ? [{ id, palette, cues: cueCounts(props.show).get(id) ?? 0 }] : []
        }),
      )
    : [],
)
</script>

<template>
  <PlainDialog :open="open" title="Palettes that hold the same" @close="emit('close')">
    <div class="min-h-0 overflow-y-auto p-5">
      <p v-if="groups.length === 0" class="text-mist">No two palettes on a shelf hold the same.</p>
      <section v-for="(group, i) in groups" :key="i" class="mb-3 rounded-lg border border-rule bg-plank p-3">
        <ul>
          <li v-for="{ id, palette, cues } in group" :key="id" class="flex items-center gap-2 py-0.5">
            <span class="font-mono text-mist">{{ palette.number }}</span>
            <span class="min-w-0 truncate">{{ palette.name }}</span>
            <span class="ml-auto text-sm text-haze">{{ counted(cues, 'cue') }}</span>
            <button
              type="button"
              class="chip py-0.5"
              @click="
                store.send('mergePalettes', {
                  keep: id,
                  others: group.filter((other) => other.id !== id).map((other) => other.id),
                })
              "
            >
              Keep this one
            </button>
          </li>
        </ul>
      </section>
    </div>
    <footer class="flex justify-end border-t border-rule px-5 py-3">
      <button type="button" class="main-button py-1.5" @click="emit('close')">Close</button>
    </footer>
  </PlainDialog>
</template>
