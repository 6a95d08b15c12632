<script setup lang="ts">
/** A wheel of a type, or a prism, and its slots. */
import { Plus } from '@lucide/vue'
import { GOBO_PATTERNS } from '#core/light/goboOpenings'
import type { Wheel } from '#core/show/entities'
import { newSlot, OPEN_WHITE, WHEEL_NAMES } from '../../composables/rig/wheels'
import GoboPicture from './GoboPicture.vue'

const props = defineProps<{
  wheel: Wheel
  /** What its slots look like in the file it came from, by slot. */
  pictures?: ReadonlyMap<number, string> | undefined
  keep: (wheel: Wheel) => Promise<string | null>
}>()
const emit = defineEmits<{ remove: [] }>()
type Slot = Wheel['slots'][number]
const PATTERNS = GOBO_PATTERNS.map((key) => ({ key, name: key }))

function changeSlot(index: number, change: Partial<Slot>) {
  return props.keep({
    ...props.wheel,
    slots: props.wheel.slots.map((slot, i) => (i === index ? { ...slot, ...change } : slot)),
  })
}
function add() {
  const { kind, slots } = props.wheel
  return props.keep({ ...props.wheel, slots: [...slots, newSlot(kind, `Slot ${slots.length}`)] })
}
function recolour(index: number, event: Event) {
  if (event.target instanceof HTMLInputElement) void changeSlot(index, { colour: event.target.value })
}
</script>

<template>
  <fieldset class="rounded-lg border border-rule bg-plank p-3" :aria-label="wheel.name">
    <div class="mb-2 flex items-end gap-2">
      <TextField
        class="w-52"
        :label="WHEEL_NAMES[wheel.kind]"
        :shown="wheel.name"
        :keep="(name) => keep({ ...wheel, name })"
      />
      <button type="button" class="chip flex items-center gap-1" @click="add"><Plus :size="14" />Slot</button>
      <BinButton class="ml-auto" :aria-label="`Take out ${wheel.name}`" @click="emit('remove')" />
    </div>
    <ol class="grid grid-cols-2 gap-x-4 gap-y-1.5 xl:grid-cols-3">
      <li v-for="(slot, i) in wheel.slots" :key="i" class="flex items-end gap-1.5">
        <input
          v-if="wheel.kind === 'colour'"
          type="color"
          class="h-[26px] w-[26px] shrink-0 rounded border border-rule-2 bg-night p-0.5"
          :value="slot.colour ?? OPEN_WHITE"
          :aria-label="`Colour of ${slot.name}`"
          @change="recolour(i, $event)"
        />
        <img
          v-else-if="pictures?.has(i)"
          class="h-[26px] w-[26px] shrink-0 rounded-full border border-rule-2 object-cover"
          :src="pictures.get(i)"
          :alt="`Picture of ${slot.name}`"
        />
        <GoboPicture v-else-if="wheel.kind === 'gobo'" :pattern="slot.pattern ?? 'open'" class="shrink-0" />
        <TextField class="flex-1" :label="`Slot ${i}`" :shown="slot.name" :keep="(name) => changeSlot(i, { name })" />
        <ChoiceField
          v-if="wheel.kind === 'gobo'"
          class="w-20"
          label="Pattern"
          :value="slot.pattern ?? 'open'"
          :options="PATTERNS"
          :keep="(pattern) => changeSlot(i, { pattern })"
        />
        <NumberField
          v-if="wheel.kind === 'prism'"
          class="w-16"
          label="Facets"
          unit=""
          :digits="0"
          :value="slot.facets ?? 1"
          :keep="(facets) => changeSlot(i, { facets })"
        />
        <BinButton
          v-if="wheel.slots.length > 2"
          :aria-label="`Take out slot ${i}`"
          @click="keep({ ...wheel, slots: wheel.slots.filter((_, j) => j !== i) })"
        />
      </li>
    </ol>
  </fieldset>
</template>
