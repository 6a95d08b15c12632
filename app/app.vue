<script setup lang="ts">
import { useTheme } from './composables/shell/useTheme'

useTheme()
</script>

<template>
  <NuxtPage />
  <MessageStack />
</template>
