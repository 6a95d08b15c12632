<script setup lang="ts">
/** Takes something out at once; what, its `aria-label` says. */
import { Trash2 } from '@lucide/vue'
</script>

<template>
  <IconButton :icon="Trash2" :size="14" class="chip p-1" />
</template>
