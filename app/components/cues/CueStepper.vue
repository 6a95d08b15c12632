<script setup lang="ts">
/** Steps through the cues of a list; the plan shows each. */
import { ChevronLeft, ChevronRight, Play } from '@lucide/vue'
import { computed } from 'vue'
import { listsInOrder } from '#core/cues/tracking'
import type { Show } from '#core/show/show'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show }>()
const store = useShow()

const list = computed(() => listsInOrder(props.show)[0])
const at = computed(() => list.value?.cues.findIndex(({ id }) => id === list.value?.list.onStage) ?? -1)
const current = computed(() => list.value?.cues[at.value])

function step(by: 1 | -1) {
  const to = list.value?.cues[at.value + by]
  if (list.value && to) void store.send('goToCue', { list: list.value.id, cue: to.id })
}
defineExpose({ step })
</script>

<template>
  <div
    v-if="list && list.cues.length"
    class="flex min-w-0 items-center gap-1 rounded-lg border border-rule-2 bg-deck p-0.5"
    role="group"
    aria-label="Cue on stage"
  >
    <IconButton
      :icon="ChevronLeft"
      :size="15"
      class="rounded-md p-1 text-mist hover:bg-plank-2 hover:text-sail disabled:opacity-40"
      :disabled="at <= 0"
      aria-label="Previous cue"
      title="Previous cue (Page up)"
      @click="step(-1)"
    />
    <p class="min-w-0 truncate lg:min-w-36 px-1 text-center text-sm" aria-live="polite">
      <template v-if="current"
        ><span class="font-mono text-coral">{{ current.cue.number }}</span> {{ current.cue.name }}</template
      >
      <template v-else><span class="text-mist">No cue on stage</span></template>
    </p>
    <IconButton
      :icon="ChevronRight"
      :size="15"
      class="rounded-md p-1 text-mist hover:bg-plank-2 hover:text-sail disabled:opacity-40"
      :disabled="at >= list.cues.length - 1"
      aria-label="Next cue"
      title="Next cue (Page down)"
      @click="step(1)"
    />
    <IconButton
      :icon="Play"
      :size="13"
      class="rounded-md p-1 text-mist hover:bg-plank-2 hover:text-sail"
      aria-label="Go, in the cue’s own times"
      title="Go, in the cue’s own times (Ctrl Enter)"
      @click="list && store.send('goOn', { list: list.id })"
    />
  </div>
</template>
