<script setup lang="ts">
/** Goes to the first show there is. */
import { ref } from 'vue'
import type { Refusal } from '#core/commands/command'
import { request } from '../session/request'
import { showList } from '../session/responses'

const trouble = ref<Refusal | null>(null)
const isEmpty = ref(false)

onMounted(async () => {
  const answered = await request('/api/shows', showList)
  if (!answered.ok) {
    trouble.value = answered.refusal
    return
  }
  const first = answered.body.shows[0]
  if (first) await navigateTo(`/shows/${first.id}/focus`, { replace: true })
  else isEmpty.value = true
})
</script>

<template>
  <main class="grid h-full place-items-center">
    <div v-if="trouble" class="text-center">
      <p class="text-coral" role="alert">{{ trouble.message }}</p>
      <NuxtLink v-if="trouble.code === 'no link'" to="/in" class="mt-3 inline-block underline">
        Come in by a link
      </NuxtLink>
    </div>
    <NewShowDialog v-else :open="isEmpty" @close="isEmpty = true" />
  </main>
</template>
