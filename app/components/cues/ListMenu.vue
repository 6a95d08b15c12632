<script setup lang="ts">
/** A cue list's settings: its name, its rule for intensity, its priority, and what it takes. */
import { computed, ref } from 'vue'
import type { ListInOrder } from '#core/cues/tracking'
import { INTENSITY_RULES } from '#core/show/entities'
import { maskInWords, type Mask } from '#core/show/masks'
import { showRecordOf } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { travelInWords } from '#core/cues/travel'
import { TRAVEL_OPTIONS } from '../../composables/cues/travelWords'
import { useShow } from '../../stores/show'
import { useProposal } from '../../stores/proposal'
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
