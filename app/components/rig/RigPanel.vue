<script setup lang="ts">
/** The frame of what stands beside the stage in the Rig room: a title, a way back, and its content. */
import { X } from '@lucide/vue'

defineProps<{ title: string; note?: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <header class="flex items-start justify-between gap-2 px-4 pt-3 pb-2">
      <div class="min-w-0">
        <h2 class="truncate text-lg font-semibold">{{ title }}</h2>
        <p v-if="note" class="text-sm text-haze">{{ note }}</p>
      </div>
      <IconButton
        :icon="X"
        :size="14"
        class="chip shrink-0 p-1"
        aria-label="Close"
        title="Close (Esc)"
        @click="emit('close')"
      />
    </header>
    <div class="relative flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-4 pb-4" data-narrow><slot /></div>
  </div>
</template>
