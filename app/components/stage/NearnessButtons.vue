<script setup lang="ts">
/** Buttons that come nearer to the stage and go further away, and whatever else a view can do. */
import { Minus, Plus } from '@lucide/vue'

defineProps<{ label: string }>()
const emit = defineEmits<{ nearer: []; further: [] }>()
</script>

<template>
  <div class="absolute right-3 flex flex-col gap-1" role="group" :aria-label="label">
    <IconButton
      :icon="Plus"
      :size="14"
      class="chip p-1"
      title="Nearer (+)"
      aria-label="Nearer"
      @click="emit('nearer')"
    />
    <IconButton
      :icon="Minus"
      :size="14"
      class="chip p-1"
      title="Further (−)"
      aria-label="Further"
      @click="emit('further')"
    />
    <slot />
  </div>
</template>
