<script setup lang="ts">
/** Shows something on the stage, or hides it. */
import { Eye, EyeOff } from '@lucide/vue'

defineProps<{ name: string; visible: boolean }>()
const emit = defineEmits<{ toggle: [] }>()
</script>

<template>
  <button
    type="button"
    class="chip p-1"
    :aria-label="`${visible ? 'Hide' : 'Show'} ${name}`"
    :aria-pressed="visible"
    @click="emit('toggle')"
  >
    <component :is="visible ? Eye : EyeOff" :size="14" aria-hidden="true" />
  </button>
</template>
