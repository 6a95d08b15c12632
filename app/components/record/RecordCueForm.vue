<script setup lang="ts">
/** Records a cue: a new one, or into one that is there; of what is in hand or what is on stage. */
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { refusalInWords } from '#core/commands/refusals'
import { recordable, RECORD_FROM } from '#core/commands/shared/recordable'
import { listInWords } from '#core/show/listInWords'
import type { CommandInput } from '#core/commands/registry'
import { changedLooks } from '#core/refocus/cueLooks'
import { listsInOrder } from '#core/cues/tracking'
import { asCueId, asCueListId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'
import RadioChips from '../fields/RadioChips.vue'
import { counted, plural } from '#core/show/counted'
import { nextNumber } from '#core/show/freeNumbers'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const workingSet = useWorkingSet()

const HOW = ['new', 'merge', 'replace', 'take out'] as const
const WHERE = ['here and on', 'here only'] as const
const FROM_NAMES = { hand: 'what is in hand', stage: 'what is on stage' } as const

const how = ref<(typeof HOW)[number]>('new')
const from = ref<(typeof RECORD_FROM)[number]>('hand')
const where = ref<(typeof WHERE)[number]>('here and on')
const lists = computed(() => listsInOrder(props.show))
const listId = ref(lists.value[0]?.id ?? null)
const list = computed(() => lists.value.find(({ id }) => id === listId.value) ?? lists.value[0])
const into = ref('')
const number = ref('')
const name = ref('')
const rise = ref('3')
const nameField = useTemplateRef<HTMLInputElement>('nameField')
onMounted(() => nameField.value?.focus())
watch(
  list,
  (now) => {
    number.value = String(nextNumber((now?.cues ?? []).map(({ cue }) => cue)))
    into.value = now?.list.onStage ?? ''
  },
  { immediate: true },
)
const typed = (text: string) => Number(text.replace(',', '.'))

const taken = computed(() =>
  store.view && store.person && list.value
    ? recordable(store.view, store.person, list.value.list, from.value, workingSet.current)
    : null,
)
const isEmpty = computed(() => !taken.value?.values.length)
const words = computed(() => {
  if (!taken.value || !list.value) return ''
  if (isEmpty.value) return refusalInWords('nothing to record', { from: from.value, list: list.value.list.name })
  const { fixtures, families, heldBack, values } = taken.value
  const loose = values.filter(({ value }) => value.kind !== 'link').length
  const held = heldBack.length ? ` Held back: ${listInWords(heldBack)}.` : ''
  const verb = how.value === 'take out' ? 'Takes out' : 'Stores'
  const free = loose > 0 && how.value !== 'take out' ? ` ${loose} loose, not linked to a palette.` : ''
  return `${verb} ${listInWords(families)} of ${counted(fixtures.length, 'fixture')}.${held}${free}`
})
const label = computed(() => {
  const known = props.show.all.cue.get(into.value)
  if (how.value === 'new' || !known) return how.value === 'new' ? 'Record cue' : 'Choose the cue'
  return { merge: 'Merge into', replace: 'Replace', 'take out': 'Take out of' }[how.value] + ` cue ${known.number}`
})

const common = () => ({ from: from.value, where: where.value, workingSet: workingSet.current })
const asNew = (): CommandInput<'recordCue'> => ({
  ...common(),
  list: asCueListId(list.value?.id ?? 'none'),
  number: typed(number.value),
  name: name.value,
  rise: typed(rise.value),
  fall: typed(rise.value),
  move: null,
  travel: null,
})
const asStored = (): CommandInput<'storeInCue'> => ({
  ...common(),
  cue: asCueId(into.value),
  how: how.value === 'take out' ? 'remove' : how.value === 'new' ? 'merge' : how.value,
})
const { preview } = store

/** The later cues that would look different, in words; what is new in them is carried from this one. */
const later = computed(() => {
  const after = isEmpty.value
    ? null
    : how.value === 'new'
      ? preview('recordCue', asNew())
      : into.value
        ? preview('storeInCue', asStored())
        : null
  if (!after || !store.view) return ''
  const own = how.value === 'new' ? typed(number.value) : props.show.all.cue.get(into.value)?.number
  const numbers = changedLooks(store.view, after).flatMap(({ cue }) => {
    const { number: n, list: of } = after.all.cue.get(cue) ?? {}
    return n === undefined || of !== list.value?.id || n === own ? [] : [n]
  })
  if (numbers.length === 0) return ''
  const named =
    numbers.length > 6 ? `${numbers.slice(0, 5).join(', ')} and ${numbers.length - 5} more` : numbers.join(', ')
  return `Carries on into ${plural(numbers.length, 'cue')} ${named}.`
})

async function record() {
  if (!list.value) return
  const done = how.value === 'new' ? await store.send('recordCue', asNew()) : await store.send('storeInCue', asStored())
  if (done) emit('close')
}
</script>

<template>
  <form
    class="flex flex-col gap-2"
    aria-label="Record a cue"
    @submit.prevent="record"
    @keydown.esc.stop="emit('close')"
  >
    <RadioChips v-model="how" label="New or into one that is there" :options="HOW" />
    <div class="flex gap-1">
      <label class="min-w-0 flex-1"
        ><span class="block text-xs text-haze">{{ how === 'take out' ? 'out of list' : 'into list' }}</span>
        <select v-model="listId" class="field font-sans">
          <option v-for="option in lists" :key="option.id" :value="option.id">
            {{ option.list.number }} {{ option.list.name }}
          </option>
        </select>
      </label>
      <label class="min-w-0 flex-1"
        ><span class="block text-xs text-haze">of</span>
        <select v-model="from" class="field font-sans" aria-label="Of what">
          <option v-for="option in RECORD_FROM" :key="option" :value="option">{{ FROM_NAMES[option] }}</option>
        </select>
      </label>
    </div>
    <div v-if="how === 'new'" class="flex gap-1">
      <label class="w-14"
        ><span class="block text-xs text-haze">number</span><input v-model="number" class="field" inputmode="decimal"
      /></label>
      <label class="min-w-0 flex-1"
        ><span class="block text-xs text-haze">name</span
        ><input ref="nameField" v-model="name" class="field font-sans" autocomplete="off"
      /></label>
      <label class="w-14"
        ><span class="block text-xs text-haze">time, s</span><input v-model="rise" class="field" inputmode="decimal"
      /></label>
    </div>
    <label v-else
      ><span class="block text-xs text-haze">cue</span>
      <select v-model="into" class="field font-sans">
        <option value="">which …</option>
        <option v-for="{ id, cue } in list?.cues ?? []" :key="id" :value="id">{{ cue.number }} {{ cue.name }}</option>
      </select>
    </label>
    <div v-if="how !== 'take out'" class="flex items-center gap-2">
      <span class="shrink-0 text-xs text-haze">counts</span>
      <RadioChips v-model="where" class="flex-1" label="How far it counts" :options="WHERE" />
    </div>
    <p class="text-sm text-mist">
      {{ words }} <span v-if="later" class="text-shoal">{{ later }}</span>
    </p>
    <div class="flex gap-2">
      <button type="submit" class="main-button flex-1 py-1.5" :disabled="isEmpty || (how !== 'new' && !into)">
        {{ label }}
      </button>
      <button type="button" class="quiet-button py-1.5" @click="emit('close')">Cancel</button>
    </div>
  </form>
</template>
