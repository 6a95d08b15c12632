<script setup lang="ts">
/** How sending goes: packets, losses, how evenly frames come, how busy the thread is. */
import { computed } from 'vue'
import type { SendingStatus } from '#core/output/sendingStatus'

const props = defineProps<{ status: SendingStatus }>()
const sum = (of: 'packets' | 'lost' | 'universes') => props.status.outputs.reduce((all, one) => all + one[of], 0)
const figures = computed(() => {
  const { jitterMilliseconds, load, missed } = props.status
  return [
    { name: 'universes', value: String(sum('universes')), isWrong: false },
    { name: 'packets a second', value: String(Math.round(sum('packets'))), isWrong: false },
    { name: 'not taken', value: String(sum('lost')), isWrong: sum('lost') > 0 },
    {
      name: 'jitter',
      value: jitterMilliseconds === null ? '–' : `${jitterMilliseconds.toFixed(1)} ms`,
      isWrong: (jitterMilliseconds ?? 0) > 10,
    },
    { name: 'frames missed', value: String(missed), isWrong: missed > 0 },
    { name: 'busy', value: `${Math.round(load * 100)} %`, isWrong: load > 0.8 },
  ]
})
</script>

<template>
  <dl
    class="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-t border-rule bg-deck px-4 py-2 text-sm"
    aria-label="How sending goes"
  >
    <div v-for="{ name, value, isWrong } in figures" :key="name" class="flex items-baseline gap-1.5">
      <dd class="font-mono" :class="isWrong ? 'text-coral' : 'text-sail'">{{ value }}</dd>
      <dt class="text-haze">{{ name }}</dt>
    </div>
  </dl>
</template>
