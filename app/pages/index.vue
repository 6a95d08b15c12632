<script setup lang="ts">
/** Goes to the first show there is. */
import { ref } from 'vue'
import { request } from '../session/request'
import { showList } from '../session/wire'

const trouble = ref<string | null>(null)
const isEmpty = ref(false)

onMounted(async () => {
  const answered = await request('/api/shows', showList)
  if (!answered.ok) {
    trouble.value = answered.refusal.message
    return
  }
  const first = answered.body.shows[0]
  if (first) await navigateTo(`/shows/${first.id}/focus`, { replace: true })
  else isEmpty.value = true
})
</script>

<template>
  <main class="grid h-full place-items-center">
    <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
    <NewShowDialog v-else :open="isEmpty" @close="isEmpty = true" />
  </main>
</template>
