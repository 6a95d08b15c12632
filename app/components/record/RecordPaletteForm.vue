<script setup lang="ts">
/**
 * Records what is in hand as a palette: a new one, or into one that is there, merged over it or
 * instead of it. What it would hold is seen before it is done.
 */
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { takenFromHand } from '#core/commands/shared/takenFromHand'
import { suggestedPaletteName } from '#core/groups/suggestedName'
import type { CommandInput } from '#core/commands/registry'
import { palettesInOrder } from '#core/palettes/resolve'
import { fittingShelf, nextNumberOn } from '#core/palettes/shelfChoice'
import { REACHES } from '#core/palettes/reach'
import { comparedLines } from '#core/refocus/paletteLines'
import { PALETTE_COLOURS } from '#core/show/entities'
import { SHELVES, type Shelf } from '#core/attributes/families'
import { asPaletteId } from '#core/show/ids'
import { shelfMaskOf } from '#core/show/masks'
import type { Show } from '#core/show/show'
import { useRecording } from '../../composables/hand/useRecording'
import { useShelfView } from '../../stores/shelfView'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'
import RadioChips from '../fields/RadioChips.vue'
import PalettePreview from '../palette/PalettePreview.vue'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const shelves = useShelfView()
const proposal = useProposal()
const workingSet = useWorkingSet()
const now = useRecording()

const HOW = ['new', 'merge', 'replace'] as const
const REACH_NAMES = {
  usual: 'as is usual for each value',
  own: 'the very fixtures',
  kind: 'their types',
  any: 'any fixture',
} as const

const how = ref<(typeof HOW)[number]>('new')
const shelf = ref<Shelf>(fittingShelf(now.families.value))
const colour = ref<(typeof PALETTE_COLOURS)[number]>('brass')
const reach = ref<(typeof REACHES)[number]>('usual')
const number = ref('')
const name = ref('')
const into = ref('')
const isPreviewed = ref(false)
const nameField = useTemplateRef<HTMLInputElement>('nameField')
/** What is suggested can be kept at once by Enter, or typed over. */
onMounted(() => {
  nameField.value?.focus()
  nameField.value?.select()
})

const palettes = computed(() => palettesInOrder(props.show))
const known = computed(() => props.show.all.palette.get(into.value))
const mask = computed(() =>
  how.value === 'new' ? shelfMaskOf(props.show, shelf.value) : (known.value ?? { take: [], heldBack: [] }),
)
const { words, isEmpty } = useRecording(() => mask.value)

/** The name as it was suggested last: one that was typed stays. */
let suggested = ''
function suggest() {
  number.value = String(nextNumberOn(props.show, shelf.value))
  const { person } = store
  if (!person || name.value !== suggested) return
  const { values } = takenFromHand(props.show, person, shelfMaskOf(props.show, shelf.value), workingSet.current)
  suggested = suggestedPaletteName(props.show, shelf.value, values)
  name.value = suggested
}
watch(shelf, suggest, { immediate: true })
watch(how, () => {
  const [first] = shelves.use.inHand
  into.value ||= shelves.looked ?? first ?? ''
})

const asNew = (): CommandInput<'recordPalette'> => ({
  number: Number(number.value.replace(',', '.')),
  name: name.value || 'unnamed',
  colour: colour.value,
  shelf: shelf.value,
  reach: reach.value,
  workingSet: workingSet.current,
})
const asStored = (): CommandInput<'storeInPalette'> => ({
  palette: asPaletteId(into.value),
  how: how.value === 'replace' ? 'replace' : 'merge',
  reach: how.value === 'merge' && reach.value === 'usual' ? 'where it stands' : reach.value,
  workingSet: workingSet.current,
})

/** Before and after, line by line; null where it would be refused. */
const lines = computed(() => {
  if (!isPreviewed.value || isEmpty.value) return null
  const after =
    how.value === 'new'
      ? store.preview('recordPalette', asNew())
      : into.value
        ? store.preview('storeInPalette', asStored())
        : null
  if (!after) return null
  const made = [...after.all.palette.keys()].find((id) => !props.show.all.palette.has(id))
  const id = how.value === 'new' ? made : into.value
  return id ? comparedLines(props.show, after, asPaletteId(id)) : null
})

async function record() {
  if (how.value !== 'new') {
    void proposal.offerOrSay('storeInPalette', asStored())
    return emit('close')
  }
  if (name.value.trim() === '') return nameField.value?.focus()
  const { number: recorded } = asNew()
  if (!(await store.send('recordPalette', asNew()))) return
  shelves.revealNumber(recorded)
  emit('close')
}
</script>

<template>
  <form
    class="flex flex-col gap-2"
    aria-label="Record a palette"
    @submit.prevent="record"
    @keydown.esc.stop="emit('close')"
  >
    <RadioChips v-model="how" label="New or into one that is there" :options="HOW" />
    <template v-if="how === 'new'">
      <div class="flex gap-1">
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
      </div>
      <div class="flex gap-1">
        <label class="w-16"
          ><span class="block text-xs text-haze">number</span><input v-model="number" class="field" inputmode="decimal"
        /></label>
        <label class="flex-1"
          ><span class="block text-xs text-haze">name</span
          ><input ref="nameField" v-model="name" class="field font-sans" autocomplete="off" required
        /></label>
      </div>
    </template>
    <label v-else
      ><span class="block text-xs text-haze">{{ how === 'merge' ? 'over what is in' : 'instead of what is in' }}</span>
      <select v-model="into" class="field font-sans">
        <option value="">which palette …</option>
        <option v-for="{ id, palette } in palettes" :key="id" :value="id">
          {{ palette.number }} {{ palette.name }} ({{ palette.shelf }})
        </option>
      </select>
    </label>
    <label
      ><span class="block text-xs text-haze">serves</span>
      <select v-model="reach" class="field font-sans">
        <option v-for="option in REACHES" :key="option" :value="option">
          {{ how === 'merge' && option === 'usual' ? 'whom it serves now' : REACH_NAMES[option] }}
        </option>
      </select>
    </label>
    <p class="text-sm text-mist">
      {{ how !== 'new' && !into ? 'Choose the palette.' : words }}
      <button
        type="button"
        class="underline hover:text-sail"
        :aria-expanded="isPreviewed"
        @click="isPreviewed = !isPreviewed"
      >
        {{ isPreviewed ? 'Hide the table' : 'See the table' }}
      </button>
    </p>
    <PalettePreview v-if="lines" :lines="lines" :is-new="how === 'new'" />
    <div class="flex gap-2">
      <button type="submit" class="main-button flex-1 py-1.5" :disabled="isEmpty || (how !== 'new' && !into)">
        {{ how === 'new' ? `Record ${shelf} palette` : how === 'merge' ? 'Merge into it' : 'Replace it' }}
      </button>
      <button type="button" class="quiet-button py-1.5" @click="emit('close')">Cancel</button>
    </div>
  </form>
</template>
