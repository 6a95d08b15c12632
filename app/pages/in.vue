<script setup lang="ts">
/**
 * Where a link leads: asks who comes in and lets them in. The key stands behind the # of the
 * address, which browsers send nowhere; it is taken out of the address at once.
 */
import { onMounted, ref } from 'vue'
import { letIn } from '../session/access'
import { request } from '../session/request'

const NAME = 'rhopander-name'
const key = ref('')
const name = ref('')
const trouble = ref('')
const isAsking = ref(false)

onMounted(() => {
  key.value = window.location.hash.slice(1)
  name.value = localStorage.getItem(NAME) ?? ''
  window.history.replaceState(window.history.state, '', '/in')
})

/** Someone may have typed or pasted the whole link. */
const keyIn = (text: string) => text.trim().split('#').at(-1) ?? ''

async function comeIn() {
  isAsking.value = true
  const called = name.value.trim()
  const answered = await request('/api/in', letIn, { key: keyIn(key.value), name: called || null })
  isAsking.value = false
  trouble.value = answered.ok ? '' : answered.refusal.message
  if (!answered.ok) return
  localStorage.setItem(NAME, called)
  const { show, role } = answered.body
  const room = role === 'walks the stage' ? 'pass' : 'focus'
  await navigateTo(show === null ? '/' : `/shows/${show}/${room}`, { replace: true })
}
</script>

<template>
  <main class="grid h-full place-items-center p-6">
    <form class="flex w-full max-w-sm flex-col gap-3" aria-label="Come in" @submit.prevent="comeIn">
      <h1 class="flex items-center gap-2 text-xl font-bold">
        <img src="/icon.svg" alt="" width="26" height="26" />Rhopander
      </h1>
      <label
        ><span class="mb-1 block text-mist">Your name, as the others will see it</span
        ><input
          v-model="name"
          class="field px-2.5 py-1.5 font-sans text-base"
          maxlength="120"
          autocomplete="name"
          autofocus
      /></label>
      <label
        ><span class="mb-1 block text-mist">The key of your link</span
        ><input v-model="key" class="field px-2.5 py-1.5" autocomplete="off" spellcheck="false"
      /></label>
      <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
      <button type="submit" class="main-button" :disabled="isAsking || key.trim() === ''">Come in</button>
    </form>
  </main>
</template>
