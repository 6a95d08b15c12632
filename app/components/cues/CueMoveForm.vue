<script setup lang="ts">
/**
 * Renumbers, copies or takes out cues, or inserts an empty one. What that does to later cues is shown
 * before it is done.
 */
import { computed, ref } from 'vue'
import type { ListInOrder } from '#core/cues/tracking'
import { asCueListId, type CueId } from '#core/show/ids'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../composables/forms/numbers'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useMessages } from '../../stores/messages'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'
import RadioChips from '../fields/RadioChips.vue'

const props = defineProps<{ what: 'insertion' | 'move' | 'copy' | 'removal'; list: ListInOrder; cues: CueId[] }>()
const emit = defineEmits<{ done: [] }>()
const room = useCuesRoom()
const proposal = useProposal()
const messages = useMessages()

const LATER = ['change', 'stay as they look'] as const
const HOLDS = ['what it sets', 'all it shows'] as const
const later = ref<(typeof LATER)[number]>('change')
const holds = ref<(typeof HOLDS)[number]>('what it sets')
const listId = ref<string>(props.list.id)
const number = ref('')
const name = ref('')
const store = useShow()

/** Half way to the next cue, or a whole on from the last. */
const free = computed(() => {
  const at = props.list.cues.findIndex(({ id }) => id === props.cues[0])
  const [here, next] = [props.list.cues[at]?.cue.number ?? 0, props.list.cues[at + 1]?.cue.number]
  return next === undefined ? Math.floor(here) + 1 : Math.round(((here + next) / 2) * 1000) / 1000
})

/** Timed like the cue before it. An empty cue changes nothing later. */
function insert(typed: number) {
  const like = props.list.cues.find(({ id }) => id === props.cues[0])?.cue
  if (!like) return
  const { rise, fall, move, delay, travel } = like
  const times = { rise, fall, move, delay, travel, follow: 'wait' } as const
  void store.send('insertCue', { list: asCueListId(listId.value), number: typed, name: name.value.trim(), ...times })
}

function send() {
  const { cues } = props
  if (props.what === 'removal') void proposal.offerOrSay('deleteCues', { cues, later: later.value })
  else {
    const typed = number.value.trim() === '' ? free.value : numberTyped(number.value)
    if (typed === null) return messages.say(NOT_A_NUMBER, 'trouble')
    const to = { cues, list: asCueListId(listId.value), number: typed }
    if (props.what === 'insertion') insert(typed)
    else if (props.what === 'move') void proposal.offerOrSay('moveCues', to)
    else void proposal.offerOrSay('copyCues', { ...to, what: holds.value })
  }
  emit('done')
}
</script>

<template>
  <form
    class="flex flex-col gap-2 rounded-lg border border-rule-2 p-2"
    :aria-label="{ insertion: 'Insert a cue', move: 'Move cues', copy: 'Copy cues', removal: 'Take cues out' }[what]"
    @submit.prevent="send"
    @keydown.esc.stop="emit('done')"
  >
    <template v-if="what === 'removal'">
      <p class="text-sm text-mist">What it carries on to later cues goes with it: they</p>
      <RadioChips v-model="later" label="Later cues" :options="LATER" />
    </template>
    <div v-else class="flex gap-2">
      <label class="w-20"
        ><span class="block text-xs text-haze">to number</span>
        <input v-model="number" class="field" inputmode="decimal" :placeholder="String(free)" />
      </label>
      <label class="min-w-0 flex-1"
        ><span class="block text-xs text-haze">of list</span>
        <select v-model="listId" class="field font-sans">
          <option v-for="option in room.lists" :key="option.id" :value="option.id">{{ option.list.name }}</option>
        </select>
      </label>
    </div>
    <label v-if="what === 'insertion'"
      ><span class="block text-xs text-haze">name</span>
      <input v-model="name" class="field font-sans" autocomplete="off" placeholder="empty, carries everything on" />
    </label>
    <RadioChips v-if="what === 'copy'" v-model="holds" label="The copy holds" :options="HOLDS" />
    <div class="flex gap-2">
      <button type="submit" class="main-button flex-1 py-1">
        {{ { insertion: 'Insert', move: 'Move', copy: 'Copy', removal: 'Take it out' }[what] }}
      </button>
      <button type="button" class="quiet-button py-1" @click="emit('done')">Cancel</button>
    </div>
  </form>
</template>
