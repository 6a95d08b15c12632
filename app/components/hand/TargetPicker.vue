<script setup lang="ts">
/** Picks the target the selection is aimed at, by name. */
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/vue'
import { ChevronsUpDown, Diamond } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { PlacedTarget } from '#core/show/targets'
import type { TargetId } from '#core/show/ids'

const props = defineProps<{
  targets: ReadonlyMap<string, PlacedTarget>
  current: TargetId | null
  currentName: string
  offset: string
  disabled: boolean
}>()
const emit = defineEmits<{ pick: [target: TargetId] }>()

const query = ref('')
const byName = computed(() => [...props.targets.values()].sort((a, b) => a.target.name.localeCompare(b.target.name)))
const matching = computed(() => {
  const wanted = query.value.trim().toLowerCase()
  return wanted ? byName.value.filter(({ target }) => target.name.toLowerCase().includes(wanted)) : byName.value
})

/**
 * Gives the keys back to the room. The combobox takes the focus once more in the next frame after a
 * click on an option, so it is let go of then as well.
 */
function leave() {
  const input = document.activeElement
  if (!(input instanceof HTMLInputElement)) return
  const letGo = () => input.blur()
  letGo()
  input.addEventListener('focus', letGo)
  requestAnimationFrame(() => requestAnimationFrame(() => input.removeEventListener('focus', letGo)))
}

function pick(placed: PlacedTarget | null) {
  query.value = ''
  if (!placed) return
  emit('pick', placed.id)
  leave()
}
</script>

<template>
  <Combobox :model-value="null" :disabled="disabled" nullable @update:model-value="pick">
    <div class="relative">
      <ComboboxLabel class="sr-only">Aim at a target</ComboboxLabel>
      <div class="flex items-center gap-2 rounded-lg border border-rule-2 bg-plank px-2.5 py-1.5">
        <Diamond :size="14" class="shrink-0 text-brass" aria-hidden="true" />
        <ComboboxInput
          class="min-w-0 flex-1 bg-transparent font-semibold text-sail placeholder:text-sail focus:outline-none focus:placeholder:text-haze"
          :placeholder="currentName"
          autocomplete="off"
          @change="query = $event.target.value"
        />
        <span class="max-w-[130px] truncate text-right text-sm text-brass" :title="offset">{{ offset }}</span>
        <ComboboxButton class="text-mist" aria-label="All targets"><ChevronsUpDown :size="14" /></ComboboxButton>
      </div>
      <ComboboxOptions
        class="absolute right-0 left-0 z-20 mt-1 max-h-64 overflow-y-auto rounded-lg border border-rule-2 bg-plank py-1 shadow-lg shadow-night/60"
      >
        <li v-if="matching.length === 0" class="px-3 py-1.5 text-mist">No target of this name.</li>
        <ComboboxOption v-for="placed in matching" :key="placed.id" v-slot="{ active }" :value="placed">
          <div class="flex items-baseline justify-between px-3 py-1" :class="active ? 'bg-plank-2' : ''">
            <span :class="placed.id === current ? 'font-semibold text-brass' : ''">{{ placed.target.name }}</span>
            <span class="text-xs text-haze">{{ placed.target.form.kind }}</span>
          </div>
        </ComboboxOption>
      </ComboboxOptions>
    </div>
  </Combobox>
</template>
