<script setup lang="ts">
/** How far long work has come. */
defineProps<{ part: number; label: string }>()
</script>

<template>
  <progress
    class="h-1.5 flex-1 appearance-none overflow-hidden rounded-full [&::-webkit-progress-bar]:bg-rule-2 [&::-webkit-progress-value]:bg-brass"
    :value="part"
    :aria-label="label"
  />
</template>
