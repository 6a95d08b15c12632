<script setup lang="ts">
import { useTheme } from './composables/useTheme'

useTheme()
</script>

<template>
  <NuxtPage />
  <MessageStack />
</template>
