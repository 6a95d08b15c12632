<script setup lang="ts">
/** Asks before something is taken out, and says what leans on it. */
import { ref } from 'vue'

const props = defineProps<{ title: string; warning: string; act: string; remove: () => Promise<string | null> }>()
const emit = defineEmits<{ back: []; done: [] }>()
const trouble = ref<string | null>(null)

async function go() {
  trouble.value = await props.remove()
  if (trouble.value === null) emit('done')
}
</script>

<template>
  <section class="flex flex-col gap-2 rounded-lg border border-coral/60 bg-plank p-3" :aria-label="title">
    <p class="text-sm">{{ warning }}</p>
    <slot />
    <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
    <div class="flex gap-2">
      <button type="button" class="quiet-button py-1" @click="emit('back')">Leave it</button>
      <button type="button" class="main-button py-1" @click="go">{{ act }}</button>
    </div>
  </section>
</template>
