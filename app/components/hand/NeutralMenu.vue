<script setup lang="ts">
/** Goes neutral, and shows which families that sets: once, or until changed. */
import { ChevronDown } from '@lucide/vue'
import { computed } from 'vue'
import { listInWords } from '#core/show/listInWords'
import { FAMILIES, FIRST_NEUTRAL, type Family } from '#core/attributes/families'
import { useMessages } from '../../stores/messages'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useUndo } from '../../stores/undo'
import FloatingPanel from '../shell/FloatingPanel.vue'
import { capitalised } from '../../composables/forms/capitalised'

const store = useShow()
const selection = useSelection()
const messages = useMessages()
const steps = useUndo()

const person = computed(() => (store.person ? store.view?.all.person.get(store.person) : undefined))
const taken = computed<readonly Family[]>(() => person.value?.neutral ?? FIRST_NEUTRAL)
const held = computed(() => FAMILIES.filter((family) => !taken.value.includes(family)))

function set(families: readonly Family[], once: boolean) {
  void store.send('setNeutral', { families: [...families], once })
}

function toggle(family: Family) {
  const next = taken.value.includes(family) ? taken.value.filter((f) => f !== family) : [...taken.value, family]
  set(next, person.value?.neutralOnce ?? false)
}

async function go() {
  const done = await store.send('goNeutral', { fixtures: [...selection.fixtures] })
  if (done) messages.say('Neutral now.', 'news', [{ label: 'Back as it was', run: () => void steps.undo() }])
}
</script>

<template>
  <div class="flex">
    <button
      type="button"
      class="chip rounded-r-none border-r-0 whitespace-nowrap"
      :disabled="!selection.fixtures.length"
      :title="
        taken.length
          ? `Sets ${listInWords(taken)}${held.length ? `; holds back ${listInWords(held)}` : ''}`
          : 'Holds every family back'
      "
      @click="go"
    >
      Neutral<span v-if="held.length" class="ml-1 inline-block size-1.5 rounded-full bg-coral align-middle" />
    </button>
    <FloatingPanel label="What neutral sets" button-class="chip h-full rounded-l-none px-1" panel-class="w-60 p-2">
      <template #button><ChevronDown :size="13" aria-hidden="true" /></template>
      <p class="mb-1 text-sm text-mist">Open, white, straight down. It sets:</p>
      <label v-for="family in FAMILIES" :key="family" class="flex items-center gap-2 py-0.5">
        <input type="checkbox" class="accent-kelp" :checked="taken.includes(family)" @change="toggle(family)" />
        {{ capitalised(family) }}
        <span v-if="!taken.includes(family)" class="ml-auto text-sm text-haze">held back</span>
      </label>
      <div class="mt-1 flex gap-1" role="radiogroup" aria-label="How long this mask counts">
        <button
          v-for="once in [true, false]"
          :key="String(once)"
          type="button"
          role="radio"
          class="chip flex-1"
          :class="(person?.neutralOnce ?? false) === once ? 'chip-on' : ''"
          :aria-checked="(person?.neutralOnce ?? false) === once"
          @click="set(taken, once)"
        >
          {{ once ? 'Once' : 'Until changed' }}
        </button>
      </div>
    </FloatingPanel>
  </div>
</template>
