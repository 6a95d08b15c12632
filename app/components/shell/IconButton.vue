<script setup lang="ts">
/** A button that is one icon; what it does is said by its `aria-label`. */
import type { Component } from 'vue'

defineProps<{ icon: Component; size: number }>()
</script>

<template>
  <button type="button"><component :is="icon" :size="size" aria-hidden="true" /></button>
</template>
