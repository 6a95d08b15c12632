<script setup lang="ts">
/** Runs through the moves of a cue, by hand or in their own time. */
import { Pause, Play } from '@lucide/vue'
import { useTravelView } from '../../stores/travelView'

const view = useTravelView()
function moved({ target }: Event) {
  if (target instanceof HTMLInputElement) view.moveTo(Number(target.value))
}
</script>

<template>
  <div class="flex items-center gap-2 rounded-full border border-rule-2 bg-deck px-2 py-1">
    <IconButton
      :icon="view.isPlaying ? Pause : Play"
      :size="14"
      class="chip rounded-full px-1.5"
      :aria-label="view.isPlaying ? 'Pause the move' : 'Play the move'"
      :disabled="view.end === 0"
      @click="view.play()"
    />
    <input
      type="range"
      class="w-48 accent-brass"
      min="0"
      :max="view.end"
      step="0.05"
      :value="view.instant"
      :disabled="view.end === 0"
      aria-label="Instant of the move"
      :aria-valuetext="`${view.instant.toFixed(1)} of ${view.end.toFixed(1)} seconds`"
      @input="moved"
    />
    <span class="w-24 text-right font-mono text-sm whitespace-nowrap text-mist"
      >{{ view.instant.toFixed(1) }} / {{ view.end.toFixed(1) }} s</span
    >
  </div>
</template>
