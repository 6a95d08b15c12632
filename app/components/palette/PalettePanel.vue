<script setup lang="ts">
/** A palette looked into: what it is called, what it holds, what it takes, and who uses it. */
import { X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { recordedWith } from '#core/palettes/recorded'
import { glanceAt, servedBy } from '#core/palettes/use'
import { PALETTE_COLOURS } from '#core/show/entities'
import { SHELVES } from '#core/attributes/families'
import { maskInWords } from '#core/show/masks'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../composables/forms/numbers'
import { useShelfView } from '../../stores/shelfView'
import { useShow } from '../../stores/show'
import TakeMask from '../fields/TakeMask.vue'
import TextField from '../fields/TextField.vue'
import { COLOUR_GROUND } from '../shelf/paletteColours'
import FloatingPanel from '../shell/FloatingPanel.vue'
import PaletteColourPairs from './PaletteColourPairs.vue'
import PaletteContents from './PaletteContents.vue'
import PaletteRemoval from './PaletteRemoval.vue'
import PaletteSpread from './PaletteSpread.vue'
import PaletteUse from './PaletteUse.vue'
import PaletteParts from './PaletteParts.vue'
import { counted } from '#core/show/counted'

const props = defineProps<{ show: Show; id: PaletteId }>()
const store = useShow()
const shelves = useShelfView()
const isRemoving = ref(false)

const palette = computed(() => props.show.all.palette.get(props.id))
const served = computed(() => servedBy(props.show, props.id).length)
/** "Recorded with 6 fixtures. "; empty where it was made from a target or a type. */
const recorded = computed(() => {
  const { size } = recordedWith(props.show, props.id)
  return size === 0 ? '' : `Recorded with ${counted(size, 'fixture')}. `
})
const reaches = computed(() => {
  const names = { own: 'the very fixtures', kind: 'every fixture of a type', any: 'any fixture' } as const
  return glanceAt(props.show, props.id)
    .reaches.map((reach) => names[reach])
    .join(' and ')
})

type Fields = Omit<Parameters<typeof store.ask<'changePalette'>>[1], 'palette'>
const change = async (fields: Fields) =>
  (await store.ask('changePalette', { palette: props.id, ...fields }))?.message ?? null

async function renumber(text: string): Promise<string | null> {
  const number = numberTyped(text)
  if (number === null) return NOT_A_NUMBER
  const taken = [...props.show.all.palette].some(([id, other]) => id !== props.id && other.number === number)
  if (!taken) return change({ number })
  return (await store.ask('placePalette', { palette: props.id, number, how: 'swap' }))?.message ?? null
}
function moveTo(event: Event) {
  const chosen = event.target instanceof HTMLSelectElement ? event.target.value : ''
  const shelf = SHELVES.find((candidate) => candidate === chosen)
  if (shelf) void store.send('changePalette', { palette: props.id, shelf })
}
/** A time is taken out by emptying its field. */
async function setTime(text: string): Promise<string | null> {
  const time = text.trim() === '' ? null : numberTyped(text)
  return time === null && text.trim() !== '' ? NOT_A_NUMBER : change({ time })
}
</script>

<template>
  <aside
    v-if="palette"
    data-narrow
    class="relative flex min-h-0 flex-col border-l border-rule bg-deck"
    :aria-label="`Palette ${palette.number}`"
  >
    <header class="flex items-center gap-2 border-b border-rule px-3 py-2">
      <span class="h-5 w-1 rounded-full" :class="COLOUR_GROUND[palette.colour]" aria-hidden="true" />
      <h2 class="min-w-0 truncate font-semibold">
        <span class="font-normal text-mist">{{ palette.number }}</span> {{ palette.name }}
      </h2>
      <IconButton
        :icon="X"
        :size="15"
        class="ml-auto rounded p-1 text-mist hover:text-sail"
        aria-label="Back to the hand"
        @click="shelves.close()"
      />
    </header>
    <div class="min-h-0 flex-1 overflow-y-auto">
      <section class="flex flex-col gap-2 border-b border-rule px-3 py-2.5" aria-label="What it is">
        <div class="grid grid-cols-[64px_1fr_56px] gap-1.5">
          <TextField label="number" :shown="String(palette.number)" :keep="renumber" />
          <TextField label="name" :shown="palette.name" :keep="(name) => change({ name })" />
          <TextField
            label="symbol"
            :shown="palette.symbol ?? ''"
            :keep="(symbol) => change({ symbol: symbol.trim() || null })"
          />
        </div>
        <div class="grid grid-cols-[1fr_88px] items-end gap-1.5">
          <label class="block"
            ><span class="block text-xs text-haze">shelf</span>
            <select class="field px-1.5 py-0.5 font-sans" :value="palette.shelf" @change="moveTo($event)">
              <option v-for="shelf in SHELVES" :key="shelf" :value="shelf">{{ shelf }}</option>
            </select>
          </label>
          <TextField
            label="time"
            unit="s"
            :shown="palette.time === null ? '' : String(palette.time)"
            placeholder="none"
            :keep="setTime"
          />
        </div>
        <div class="flex gap-1" role="group" aria-label="Colour of the palette">
          <button
            v-for="colour in PALETTE_COLOURS"
            :key="colour"
            type="button"
            class="size-5 rounded-full border-2"
            :class="[COLOUR_GROUND[colour], colour === palette.colour ? 'border-sail' : 'border-transparent']"
            :aria-label="colour"
            :aria-pressed="colour === palette.colour"
            @click="change({ colour })"
          />
        </div>
        <TextField label="note" :shown="palette.note" placeholder="nothing noted" :keep="(note) => change({ note })" />
        <p v-if="palette.time !== null" class="text-sm text-brass">
          Its recall takes {{ palette.time }} s.
          <button type="button" class="underline" @click="store.send('stripTimes', { palettes: [id] })">
            Take the time out
          </button>
        </p>
        <div class="flex items-center gap-2 text-sm">
          <FloatingPanel button-class="chip py-0.5" panel-class="w-64 p-2.5" label="What it takes">
            <template #button>takes {{ maskInWords(palette) }}</template>
            <TakeMask :mask="palette" @set="change({ take: [...$event.take], heldBack: [...$event.heldBack] })" />
          </FloatingPanel>
        </div>
        <p class="text-sm text-mist">{{ recorded }}Serves {{ served }} here: {{ reaches || 'nobody' }}.</p>
      </section>
      <div class="grid grid-cols-2 gap-1.5 border-b border-rule px-3 py-2.5">
        <button type="button" class="main-button py-1.5" @click="shelves.edit(id)">Edit in the hand</button>
        <PaletteParts :id="id" :show="show" :palette="palette" />
      </div>
      <PaletteColourPairs :id="id" :show="show" />
      <PaletteContents :id="id" :show="show" />
      <PaletteSpread :id="id" :show="show" />
      <PaletteUse :id="id" :show="show" />
    </div>
    <footer class="border-t border-rule px-3 py-2.5">
      <PaletteRemoval v-if="isRemoving" :id="id" :show="show" @close="isRemoving = false" />
      <button v-else type="button" class="quiet-button w-full py-1.5 text-coral" @click="isRemoving = true">
        Delete the palette …
      </button>
    </footer>
  </aside>
</template>
