<script setup lang="ts">
/** A fixture's sign by its form: profile, wash or beam. Drawn round 0, 0; pixels. */
defineProps<{ form: 'profile' | 'wash' | 'beam' }>()
</script>

<template>
  <path v-if="form === 'profile'" d="M-8 -6H8L5.500 7H-5.500Z" />
  <circle v-else-if="form === 'wash'" r="7.500" />
  <rect v-else x="-4.500" y="-7.500" width="9" height="15" rx="2" />
</template>
