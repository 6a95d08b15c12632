<script setup lang="ts">
/** The record button, which says in words what it stores, and the few fields it needs. */
import { computed, nextTick, ref, watch } from 'vue'
import { listInWords } from '#core/commands/wording'
import { takenFromHand } from '#core/commands/taken'
import { listsInOrder } from '#core/cues/tracking'
import { PALETTE_COLOURS } from '#core/show/entities'
import { FAMILIES, SHELVES, type Shelf } from '#core/show/families'
import { shelfMaskOf, TAKE_ALL } from '#core/show/masks'
import type { Show } from '#core/show/show'
import { useShow } from '../../stores/show'
import ClearMenu from '../hand/ClearMenu.vue'
import { useWorkingSet } from '../../stores/workingSet'

const props = defineProps<{ show: Show }>()
const store = useShow()
const workingSet = useWorkingSet()

type What = 'palette' | 'cue'
const what = ref<What | null>(null)
const shelf = ref<Shelf>('focus')
const colour = ref<(typeof PALETTE_COLOURS)[number]>('brass')
const number = ref('')
const name = ref('')
const rise = ref('3')
const listId = ref<string | null>(null)
const nameField = ref<HTMLInputElement | null>(null)

const lists = computed(() => listsInOrder(props.show))
const list = computed(() => lists.value.find(({ id }) => id === listId.value) ?? lists.value[0])
const allowed = computed(() => (what.value === 'cue' ? TAKE_ALL : shelfMaskOf(props.show, shelf.value)))
const taken = computed(() =>
  store.person ? takenFromHand(props.show, store.person, allowed.value, workingSet.current) : null,
)
const takenNow = computed(() =>
  store.person ? takenFromHand(props.show, store.person, TAKE_ALL, workingSet.current) : null,
)
const families = computed(() => listInWords(FAMILIES.filter((f) => taken.value?.families.includes(f))))
const loose = computed(() => taken.value?.values.filter((v) => v.value.kind !== 'link').length ?? 0)
const fixtures = computed(() => {
  const count = taken.value?.fixtures.length ?? 0
  return `${count} ${count === 1 ? 'fixture' : 'fixtures'}`
})
const words = computed(() => {
  if (!taken.value || taken.value.values.length === 0) return 'Nothing in hand goes here; see the take switches.'
  const held = taken.value.heldBack.length
    ? ` Held back: ${listInWords(FAMILIES.filter((f) => taken.value?.heldBack.includes(f)))}.`
    : ''
  const links = what.value === 'cue' && loose.value > 0 ? ` ${loose.value} loose, not linked to a palette.` : ''
  return `Stores ${families.value} of ${fixtures.value}.${links}${held}`
})
const label = computed(() => {
  const now = takenNow.value
  return now && now.values.length > 0
    ? `Record ${listInWords(FAMILIES.filter((f) => now.families.includes(f)))}`
    : 'Record'
})

function firstFree(numbers: readonly number[], from: number): number {
  const used = new Set(numbers)
  let free = from
  while (used.has(free)) free += 1
  return free
}

/** Suggests a number: the next free on the shelf, or after the cue on stage. */
function suggest() {
  if (what.value === 'cue') {
    const cues = list.value?.cues ?? []
    number.value = String(Math.floor(cues.at(-1)?.cue.number ?? 0) + 1)
    return
  }
  const all = [...props.show.all.palette.values()]
  const onShelf = all.filter((p) => p.shelf === shelf.value).map((p) => Math.floor(p.number))
  number.value = String(
    firstFree(
      all.map((p) => p.number),
      Math.max(0, ...onShelf) + 1,
    ),
  )
}
watch([what, shelf, listId], suggest)

async function begin(kind: What) {
  what.value = what.value === kind ? null : kind
  listId.value ??= list.value?.id ?? null
  if (kind === 'palette')
    shelf.value = takenNow.value?.families.includes('position')
      ? takenNow.value.families.includes('beam')
        ? 'focus'
        : 'position'
      : shelfOfFirst()
  await nextTick()
  nameField.value?.focus()
}

function shelfOfFirst(): Shelf {
  const first = takenNow.value?.families[0]
  return SHELVES.find((candidate) => candidate === first) ?? 'focus'
}

async function record() {
  const typed = Number(number.value.replace(',', '.'))
  const done =
    what.value === 'cue' && list.value
      ? await store.send('recordCue', {
          list: list.value.id,
          number: typed,
          name: name.value,
          rise: Number(rise.value.replace(',', '.')),
          fall: Number(rise.value.replace(',', '.')),
          move: null,
          travel: 'angle',
          workingSet: workingSet.current,
        })
      : await store.send('recordPalette', {
          number: typed,
          name: name.value,
          colour: colour.value,
          shelf: shelf.value,
          workingSet: workingSet.current,
        })
  if (!done) return
  what.value = null
  name.value = ''
}
</script>

<template>
  <footer class="border-t border-rule px-3 py-3">
    <form
      v-if="what"
      class="mb-3 flex flex-col gap-2"
      :aria-label="what === 'cue' ? 'Record a cue' : 'Record a palette'"
      @submit.prevent="record"
      @keydown.esc.stop="what = null"
    >
      <div class="flex gap-1">
        <template v-if="what === 'palette'">
          <label class="flex-1"
            ><span class="block text-xs text-haze">shelf</span>
            <select v-model="shelf" class="field font-sans">
              <option v-for="option in SHELVES" :key="option" :value="option">{{ option }}</option>
            </select>
          </label>
          <label class="flex-1"
            ><span class="block text-xs text-haze">colour</span>
            <select v-model="colour" class="field font-sans">
              <option v-for="option in PALETTE_COLOURS" :key="option" :value="option">{{ option }}</option>
            </select>
          </label>
        </template>
        <template v-else>
          <label class="flex-1"
            ><span class="block text-xs text-haze">into list</span>
            <select v-model="listId" class="field font-sans">
              <option v-for="option in lists" :key="option.id" :value="option.id">
                {{ option.list.number }} {{ option.list.name }}
              </option>
            </select>
          </label>
          <label class="w-20"
            ><span class="block text-xs text-haze">time, s</span>
            <input v-model="rise" class="field" inputmode="decimal" />
          </label>
        </template>
      </div>
      <div class="flex gap-1">
        <label class="w-16"
          ><span class="block text-xs text-haze">number</span><input v-model="number" class="field" inputmode="decimal"
        /></label>
        <label class="flex-1"
          ><span class="block text-xs text-haze">name</span
          ><input ref="nameField" v-model="name" class="field font-sans" autocomplete="off"
        /></label>
      </div>
      <p class="text-sm text-mist">{{ words }}</p>
      <div class="flex gap-2">
        <button type="submit" class="main-button flex-1 py-1.5" :disabled="!taken?.values.length">
          {{ what === 'cue' ? 'Record cue' : `Record ${shelf} palette` }}
        </button>
        <button type="button" class="quiet-button py-1.5" @click="what = null">Cancel</button>
      </div>
    </form>
    <div v-else class="flex gap-2">
      <button
        type="button"
        class="main-button flex-1 leading-tight"
        :disabled="!takenNow?.values.length"
        @click="begin('palette')"
      >
        {{ label }}
      </button>
      <button type="button" class="quiet-button" :disabled="!takenNow?.values.length" @click="begin('cue')">Cue</button>
      <ClearMenu />
    </div>
  </footer>
</template>
