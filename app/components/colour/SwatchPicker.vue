<script setup lang="ts">
/** Colours to choose from: those palettes of the show hold, and lists that were brought in. */
import { FilePlus, Trash2 } from '@lucide/vue'
import { useLocalStorage } from '@vueuse/core'
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { hexOf, type Colour } from '#core/colour/colour'
import { readSwatchCells } from '#core/exchange/swatchTable'
import { counted } from '#core/show/counted'
import { coloursUsed, swatchesIn } from '#core/show/swatches'
import type { Show } from '#core/show/show'
import { useMessages } from '../../stores/messages'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ choose: [colour: Colour] }>()
const store = useShow()
const messages = useMessages()
const USED = 'used in palettes'
/** A list of more is searched. */
const MOST = 240
const LARGEST = 2_000_000

/** The list looked at last, in this browser. */
const list = useLocalStorage('rhopander-swatch-list', USED)
const search = ref('')
const lists = computed(() => swatchesIn(props.show))
const shownList = computed(() => (lists.value.has(list.value) ? list.value : USED))
const colours = computed(() =>
  shownList.value === USED
    ? coloursUsed(props.show)
    : (lists.value.get(shownList.value) ?? []).map(({ swatch }) => swatch),
)
const found = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return colours.value.filter(({ name }) => name.toLowerCase().includes(wanted))
})

async function bring({ target }: Event) {
  const file = target instanceof HTMLInputElement ? target.files?.[0] : null
  if (!file || !(target instanceof HTMLInputElement)) return
  const text = file.size > LARGEST ? null : await file.text()
  target.value = ''
  if (text === null) return messages.refuse('importSwatches', `${file.name} is larger than 2 MB; it was not read.`)
  const { swatches, faults, trouble } = readSwatchCells(Papa.parse<string[]>(text.replace(/^\uFEFF/, '')).data)
  if (trouble) return messages.refuse('importSwatches', `${file.name}: ${trouble}`)
  if (swatches.length > 0) {
    const name = file.name.replace(/\.[^.]*$/, '').slice(0, 120)
    await store.send('importSwatches', { list: name, swatches: [...swatches] })
    list.value = name
  }
  const [first, ...others] = faults
  if (first)
    messages.refuse(
      'importSwatches',
      `${file.name}, ${first}${others.length ? `, and ${counted(others.length, 'row', 'rows')} more` : ''}.`,
    )
}
</script>

<template>
  <div class="flex flex-col gap-1.5">
    <div class="flex items-center gap-1">
      <select v-model="list" class="field min-w-0 flex-1 px-1 py-0.5 font-sans" aria-label="List of swatches">
        <option :value="USED">{{ USED }}</option>
        <option v-for="name in lists.keys()" :key="name" :value="name">{{ name }}</option>
      </select>
      <input
        v-model="search"
        class="field w-24 px-1.5 py-0.5 font-sans"
        placeholder="Find"
        aria-label="Find a swatch"
        autocomplete="off"
      />
      <IconButton
        v-if="shownList !== USED"
        :icon="Trash2"
        :size="13"
        class="chip p-1"
        :aria-label="`Take the list ${shownList} out`"
        @click="store.send('removeSwatches', { list: shownList })"
      />
      <label
        class="chip flex cursor-pointer items-center p-1 focus-within:outline-2"
        title="Bring in a list of swatches: a CSV file with name, x, y and Y"
      >
        <FilePlus :size="13" aria-hidden="true" /><span class="sr-only">Bring in a list of swatches</span>
        <input type="file" accept=".csv,text/csv" class="sr-only" @change="bring" />
      </label>
    </div>
    <ul class="grid max-h-28 grid-cols-10 gap-1 overflow-y-auto" aria-label="Swatches">
      <li v-for="(one, i) in found.slice(0, MOST)" :key="i">
        <button
          type="button"
          class="block h-6 w-full rounded-sm border border-rule-2 hover:border-sail"
          :style="{ background: hexOf(one) }"
          :aria-label="one.name"
          :title="one.name"
          @click="emit('choose', { x: one.x, y: one.y, level: one.level })"
        />
      </li>
    </ul>
    <p v-if="found.length === 0" class="text-sm text-haze">
      {{ colours.length === 0 ? 'No palette holds a colour yet.' : 'None of that name.' }}
    </p>
    <p v-else-if="found.length > MOST" class="text-xs text-haze">and {{ found.length - MOST }} more: type to find</p>
  </div>
</template>
