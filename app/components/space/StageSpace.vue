<script setup lang="ts">
import type { Show } from '#core/show/show'
defineProps<{ show: Show }>()
</script>

<template>
  <div class="grid h-full place-items-center bg-night text-mist">Space</div>
</template>
