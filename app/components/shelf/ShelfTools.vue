<script setup lang="ts">
/** Beside the shelves: finding, sizes, what recording takes here, and making many at once. */
import { LayoutGrid, List, Plus, Search, Square } from '@lucide/vue'
import { computed } from 'vue'
import type { Shelf } from '#core/attributes/families'
import { maskInWords, shelfMaskOf } from '#core/show/masks'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { useEditableField } from '../../composables/forms/useEditableField'
import { SHELF_FILTERS, SHELF_SIZES, useShelfView } from '../../stores/shelfView'
import { useMessages } from '../../stores/messages'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import FloatingPanel from '../shell/FloatingPanel.vue'
import TakeMask from '../fields/TakeMask.vue'

const props = defineProps<{ show: Show; shelf: Shelf }>()
const wanted = defineModel<string>({ required: true })
const store = useShow()
const shelves = useShelfView()
const selection = useSelection()
const messages = useMessages()

const shownTime = () => String(shelves.recallTime ?? '')
const {
  text: time,
  leave: keepTime,
  putBack,
} = useEditableField(shownTime, async (typed) => {
  const seconds = typed === '' ? null : numberTyped(typed)
  const isUnderstood = typed === '' || (seconds !== null && seconds >= 0 && seconds <= 3600)
  if (isUnderstood) shelves.recallTime = seconds
  else messages.say('A recall takes 0 to 3600 seconds; empty for what the palette says.', 'trouble')
  return null
})

async function setTime() {
  await keepTime()
  putBack()
}

/** Back to the stage: what is typed next selects. */
function leave({ target }: Event) {
  if (target instanceof HTMLElement) target.blur()
}
function leaveAsItWas(event: Event) {
  putBack()
  leave(event)
}

const ICONS = { list: List, cards: LayoutGrid, large: Square } as const
const mask = computed(() => shelfMaskOf(props.show, props.shelf))
const words = computed(() => maskInWords(mask.value))
const item = 'w-full rounded px-2 py-1 text-left hover:bg-plank-2'
</script>

<template>
  <div class="flex min-w-0 items-center gap-1.5">
    <p v-if="selection.fixtures.length" class="mr-1 hidden items-center gap-2 text-xs text-mist min-[1400px]:flex">
      <span class="flex items-center gap-1"
        >serves all {{ selection.fixtures.length }}<i class="h-[3px] w-5 bg-kelp"
      /></span>
      <span class="flex items-center gap-1">some<i class="h-[3px] w-3 bg-brass" /></span>
      <span>none, dimmed</span>
    </p>
    <FloatingPanel
      button-class="chip min-w-0 max-w-72 truncate py-0.5 max-[1100px]:hidden"
      panel-class="w-72 p-2.5"
      :label="`The ${shelf} shelf takes ${words}`"
    >
      <template #button>takes {{ words }}</template>
      <p class="mb-2 text-sm text-mist">
        What recording on the {{ shelf }} shelf takes, for everybody, until changed. Your own switches narrow it
        further.
      </p>
      <TakeMask
        :mask="mask"
        @set="store.send('setShelfMask', { shelf, take: [...$event.take], heldBack: [...$event.heldBack] })"
      />
    </FloatingPanel>
    <label
      class="flex items-center gap-1 text-xs whitespace-nowrap text-haze max-[1100px]:hidden"
      title="Seconds a recall takes; empty for what the palette says"
    >
      over
      <input
        v-model="time"
        class="field w-12 px-1.5 py-0.5 text-right"
        inputmode="decimal"
        placeholder="0"
        aria-label="Seconds a recall takes"
        @change="setTime"
        @keydown.enter="leave"
        @keydown.esc.stop="leaveAsItWas"
      />
      s
    </label>
    <select v-model="shelves.filter" class="chip py-0.5 max-[1100px]:hidden" aria-label="Which palettes are shown">
      <option v-for="filter in SHELF_FILTERS" :key="filter" :value="filter">{{ filter }}</option>
    </select>
    <label class="relative block">
      <span class="sr-only">Find a palette</span>
      <Search :size="13" class="absolute top-1/2 left-2 -translate-y-1/2 text-haze" aria-hidden="true" />
      <input v-model="wanted" type="search" class="field w-28 py-0.5 pl-6.5 font-sans" placeholder="Find" />
    </label>
    <div class="flex rounded-md border border-rule-2" role="radiogroup" aria-label="Size of the palettes">
      <button
        v-for="size in SHELF_SIZES"
        :key="size"
        type="button"
        role="radio"
        class="rounded p-1"
        :class="shelves.size === size ? 'bg-plank-2 text-sail' : 'text-haze hover:text-sail'"
        :aria-checked="shelves.size === size"
        :aria-label="size"
        :title="size"
        @click="shelves.size = size"
      >
        <component :is="ICONS[size]" :size="13" aria-hidden="true" />
      </button>
    </div>
    <FloatingPanel button-class="chip px-1 py-0.5" panel-class="w-60" label="Make, bring in or tidy palettes">
      <template #button><Plus :size="14" aria-hidden="true" /></template>
      <template #default="{ close }">
        <button type="button" :class="item" @click="((shelves.dialog = 'make'), close())">
          Make from targets or types …
        </button>
        <button type="button" :class="item" @click="((shelves.dialog = 'sheet'), close())">
          Import and export sheets …
        </button>
        <button type="button" :class="item" @click="((shelves.dialog = 'duplicates'), close())">
          Find duplicates …
        </button>
        <label class="mt-1 flex items-start gap-2 rounded border-t border-rule px-2 pt-2 pb-1 text-sm hover:bg-plank-2">
          <input v-model="shelves.recallSelects" type="checkbox" class="mt-0.5 accent-kelp" />
          With nothing selected, recalling selects what the palette holds
        </label>
      </template>
    </FloatingPanel>
  </div>
</template>
