<script setup lang="ts">
/** Asks what a new link lets do, whom it is for and how long it lasts. */
import { ref } from 'vue'
import { ROLE_IN_WORDS, ROLES, type Role } from '#core/access/roles'
import type { NewLink } from '../../composables/shell/useLinks'
import RadioChips from '../fields/RadioChips.vue'

const emit = defineEmits<{ make: [link: NewLink] }>()
const role = ref<Role>('programs')
const label = ref('')
const LASTING = { evening: 18, week: 168, always: null } as const
const lasting = ref<keyof typeof LASTING>('evening')

function make() {
  emit('make', { role: role.value, label: label.value.trim(), hours: LASTING[lasting.value] })
  label.value = ''
}
</script>

<template>
  <form class="flex flex-col gap-2 border-t border-rule p-3" aria-label="New link" @submit.prevent="make">
    <RadioChips v-model="role" label="Who comes in by it" :options="ROLES" />
    <p class="text-sm text-mist">Who comes in by it {{ ROLE_IN_WORDS[role] }}.</p>
    <div class="flex gap-2">
      <input v-model="label" class="field font-sans" maxlength="120" placeholder="For whom" aria-label="For whom" />
      <select v-model="lasting" class="field w-44 shrink-0 font-sans" aria-label="How long it lasts">
        <option value="evening">for this evening</option>
        <option value="week">for a week</option>
        <option value="always">until it is ended</option>
      </select>
      <button type="submit" class="main-button shrink-0 py-1">Make link</button>
    </div>
  </form>
</template>
