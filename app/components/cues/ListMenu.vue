<script setup lang="ts">
/** A cue list's settings: its name, its rule for intensity, its priority, and what it takes. */
import { computed, onUnmounted, ref } from 'vue'
import type { ListInOrder } from '#core/cues/tracking'
import { cuesAsText, LOST_IN_TEXT } from '#core/exchange/cueText/cuesAsText'
import { writeCueText, type TextCue } from '#core/exchange/cueText/cueText'
import { INTENSITY_RULES } from '#core/show/entities'
import { maskInWords, type Mask } from '#core/show/masks'
import { showRecordOf } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { travelInWords } from '#core/cues/travel'
import { TRAVEL_OPTIONS } from '../../composables/cues/travelWords'
import { useShow } from '../../stores/show'
import { useProposal } from '../../stores/proposal'
import { saveFile } from '../../composables/table/saveFile'
import { inSlices } from '../../session/inSlices'
import TakeMask from '../fields/TakeMask.vue'
import { counted } from '#core/show/counted'

const props = defineProps<{ list: ListInOrder }>()
const emit = defineEmits<{ close: [] }>()
const { keep, offer } = useCommit()
const proposal = useProposal()
const isTaking = ref(false)
const isRemoving = ref(false)
const RULES = INTENSITY_RULES.map((key) => ({
  key,
  name: { highest: 'the highest wins', latest: 'the latest wins' }[key],
}))
const AS_SHOW = 'show'
const store = useShow()
const travels = computed(() => [
  {
    key: AS_SHOW,
    name: `as the show, ${travelInWords(store.view ? showRecordOf(store.view).travel : 'angle')}`,
  } as const,
  ...TRAVEL_OPTIONS,
])
const id = computed(() => props.list.id)
const record = computed(() => props.list.list)
const setMask = ({ take, heldBack }: Mask) =>
  void offer('changeCueList', { list: id.value, take: [...take], heldBack: [...heldBack] })

/** How many cues are written, while they are. */
const written = ref<number | null>(null)
let stop: AbortController | null = null
onUnmounted(() => stop?.abort())

/** Every cue as it stands alone, in levels; a long list takes a while. */
async function write() {
  const show = store.view
  if (!show) return
  stop = new AbortController()
  const cues: TextCue[] = []
  written.value = 0
  const step = (cue: TextCue) => (written.value = cues.push(cue))
  await inSlices(cuesAsText(show, id.value), step, stop.signal)
  written.value = null
  if (stop.signal.aborted) return
  const text = writeCueText(cues, showRecordOf(show).name, LOST_IN_TEXT)
  saveFile(`${record.value.name}.asc`, new Blob([text], { type: 'text/plain' }))
}

function remove() {
  void proposal.offerOrSay('deleteCueList', { list: id.value })
  emit('close')
}
</script>

<template>
  <div class="flex w-72 flex-col gap-2" data-narrow>
    <div class="grid grid-cols-[60px_1fr] gap-2">
      <NumberField
        label="Number"
        unit=""
        :value="record.number"
        :digits="3"
        :keep="(number) => keep('changeCueList', { list: id, number })"
      />
      <TextField label="Name" :shown="record.name" :keep="(name) => keep('changeCueList', { list: id, name })" />
    </div>
    <div class="grid grid-cols-2 gap-2">
      <ChoiceField
        label="Of intensity"
        :value="record.intensityRule"
        :options="RULES"
        :keep="(intensityRule) => offer('changeCueList', { list: id, intensityRule })"
      />
      <NumberField
        label="Priority"
        unit="1 to 9"
        :value="record.priority"
        :digits="0"
        :keep="(priority) => offer('changeCueList', { list: id, priority })"
      />
    </div>
    <ChoiceField
      label="Light travels, where a cue does not say"
      :value="record.travel ?? AS_SHOW"
      :options="travels"
      :keep="(travel) => offer('changeCueList', { list: id, travel: travel === AS_SHOW ? null : travel })"
    />
    <p class="text-sm text-mist">
      Takes {{ maskInWords(record) }}.
      <button type="button" class="underline hover:text-sail" :aria-expanded="isTaking" @click="isTaking = !isTaking">
        {{ isTaking ? 'Done' : 'Change' }}
      </button>
    </p>
    <TakeMask v-if="isTaking" :mask="record" @set="setMask" />
    <div class="border-t border-rule pt-2">
      <button v-if="written === null" type="button" class="chip" @click="write">Write as cue text (USITT ASCII)</button>
      <p v-else class="text-sm text-mist" role="status">
        Writing, {{ written }} of {{ list.cues.length }} cues
        <button type="button" class="chip ml-2 px-2 py-0.5" @click="stop?.abort()">Stop</button>
      </p>
      <p class="mt-1 text-xs text-haze">Lost in it: {{ LOST_IN_TEXT.join('; ') }}.</p>
    </div>
    <div class="flex justify-between gap-2 border-t border-rule pt-2">
      <button type="button" class="chip" @click="emit('close')">Close</button>
      <button v-if="!isRemoving" type="button" class="chip text-coral" @click="isRemoving = true">
        Take the list out
      </button>
      <button v-else type="button" class="chip border-coral text-coral" @click="remove">
        Take out with {{ counted(list.cues.length, 'cue') }}
      </button>
    </div>
  </div>
</template>
