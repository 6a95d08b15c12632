<script setup lang="ts">
/** A control is given something to do: the next one that is moved is taken, or its address is typed. */
import { computed, ref, watch } from 'vue'
import type { ControlsStatus } from '#core/control/said'
import { listsInOrder } from '#core/cues/tracking'
import { palettesInOrder } from '#core/palettes/resolve'
import { NEEDED_FOR, type ControlBinding, type ControlDeed } from '#core/show/entities'
import { asOutputId, type CueListId, type OutputId, type PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { useDraftForm } from '../../composables/forms/useDraftForm'
import { AXIS_OPTIONS, DEED_OPTIONS } from '../../composables/output/controlWords'
import DraftChoice from '../fields/DraftChoice.vue'
import DraftText from '../fields/DraftText.vue'

const props = defineProps<{ show: Show; status: ControlsStatus | null }>()
const address = ref('')
const does = ref<ControlDeed | null>('go')
const list = ref<CueListId | null>(null)
const output = ref<OutputId | null>(null)
const palette = ref<PaletteId | null>(null)
const axis = ref<NonNullable<ControlBinding['axis']> | null>('x')
const metres = ref('0.05')

const lists = computed(() => listsInOrder(props.show).map(({ id, list: { name } }) => ({ key: id, name })))
const outputs = computed(() => [...props.show.all.output].map(([id, { name }]) => ({ key: asOutputId(id), name })))
const palettes = computed(() =>
  palettesInOrder(props.show).map(({ id, palette: { number, name } }) => ({ key: id, name: `${number} ${name}` })),
)
const needed = computed(() => does.value && NEEDED_FOR[does.value])

const form = useDraftForm(
  'bindControl',
  () => {
    const nothing = { list: null, output: null, palette: null, axis: null }
    const given = { list: list.value, output: output.value, palette: palette.value, axis: axis.value }
    const step = numberTyped(metres.value)
    if (!does.value || !needed.value || given[needed.value] === null || step === null) return null
    const only = { ...nothing, [needed.value]: given[needed.value] }
    return { address: address.value.trim(), does: does.value, ...only, metres: step }
  },
  () => (address.value = ''),
)

/** Whether the next control that is moved is taken. */
const isLearning = ref(false)
let before = 0
function learn() {
  before = props.status?.said.at(-1)?.id ?? 0
  isLearning.value = !isLearning.value
}
watch(
  () => props.status?.said.at(-1),
  (last) => {
    if (!isLearning.value || !last || last.id <= before) return
    address.value = last.address
    isLearning.value = false
  },
)
</script>

<template>
  <form class="flex flex-col gap-2" aria-label="Learn a control" @submit.prevent="form.send">
    <div class="flex items-end gap-2">
      <DraftText
        v-model="address"
        class="flex-1"
        label="Address"
        placeholder="/fader/1"
        :trouble="form.troubleAt('address')"
      />
      <button type="button" class="chip" :class="isLearning ? 'chip-on' : ''" :aria-pressed="isLearning" @click="learn">
        {{ isLearning ? 'Move a control …' : 'Learn' }}
      </button>
    </div>
    <DraftChoice v-model="does" label="It" :options="DEED_OPTIONS" />
    <DraftChoice v-if="needed === 'list'" v-model="list" label="Cue list" :options="lists" />
    <DraftChoice v-else-if="needed === 'output'" v-model="output" label="Output" :options="outputs" />
    <DraftChoice v-else-if="needed === 'palette'" v-model="palette" label="Palette" :options="palettes" />
    <div v-else class="grid grid-cols-2 gap-2">
      <DraftChoice v-model="axis" label="Along" :options="AXIS_OPTIONS" />
      <DraftText v-model="metres" label="For each 1" unit="m" />
    </div>
    <p v-if="form.troubleAt(null, ['address'])" class="text-sm text-coral" role="alert">
      {{ form.troubleAt(null, ['address']) }}
    </p>
    <button type="submit" class="main-button self-start py-1" :disabled="address.trim() === ''">Keep</button>
  </form>
</template>
