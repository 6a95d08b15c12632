<script setup lang="ts">
/** A fixture's sign by its form: profile, wash, beam, or one without a type. Drawn round 0, 0; pixels. */
defineProps<{ form: 'profile' | 'wash' | 'beam' | null }>()
</script>

<template>
  <path v-if="form === 'profile'" d="M-8 -6H8L5.500 7H-5.500Z" />
  <circle v-else-if="form === 'wash'" r="7.500" />
  <rect v-else-if="form === 'beam'" x="-4.500" y="-7.500" width="9" height="15" rx="2" />
  <path v-else d="M0 -7.500L7.500 0L0 7.500L-7.500 0Z" stroke-dasharray="2.500 2" />
</template>
