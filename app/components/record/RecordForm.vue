<script setup lang="ts">
/** The record button, which says in words what it stores; updating what was changed; letting go. */
import { computed, ref } from 'vue'
import { listInWords } from '#core/show/listInWords'
import { maskInWords } from '#core/show/masks'
import type { Show } from '#core/show/show'
import { useRecording } from '../../composables/hand/useRecording'
import { useActions } from '../../composables/keys/useActions'
import { framePainted } from '../../session/afterNextFrame'
import { useShow } from '../../stores/show'
import { useStage } from '../../stores/stage'
import ClearMenu from '../hand/ClearMenu.vue'
import RecordCueForm from './RecordCueForm.vue'
import RecordPaletteForm from './RecordPaletteForm.vue'
import TakeStrip from './TakeStrip.vue'
import UpdateMenu from './UpdateMenu.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const stage = useStage()
const what = ref<'palette' | 'cue' | null>(null)
const { families, isEmpty } = useRecording()
/** What is only tried out, a fan, is kept first. */
async function record(wish: 'palette' | 'cue') {
  if (stage.trial) await stage.commitTrial()
  // What is in hand is told a frame later.
  await framePainted()
  if (wish === 'cue' || !isEmpty.value) what.value = wish
}
useActions({
  'record palette': () => void record('palette'),
  'record cue': () => void record('cue'),
})
const label = computed(() => (isEmpty.value ? 'Record' : `Record ${listInWords(families.value)}`))
const person = computed(() => props.show.all.person.get(store.person ?? ''))
const isOnce = computed(() => person.value?.takeOnce === true)
/** What stands again after the next recording, or would. */
const onceWords = computed(() => {
  const usual = person.value?.usual ?? person.value
  return `For once: after the next recording the switches take ${usual ? maskInWords(usual) : 'what they took'} again`
})
</script>

<template>
  <footer class="border-t border-rule px-3 py-2.5">
    <RecordPaletteForm v-if="what === 'palette'" :show="show" @close="what = null" />
    <RecordCueForm v-else-if="what === 'cue'" :show="show" @close="what = null" />
    <template v-else>
      <div class="mb-2 flex flex-wrap items-center gap-1.5 text-xs text-mist">
        <TakeStrip :show="show" />
        <button
          type="button"
          class="chip ml-auto shrink-0 px-1.5 py-0 text-xs"
          :class="isOnce ? 'chip-on' : ''"
          :aria-pressed="isOnce"
          :title="onceWords"
          @click="store.send('setTake', { once: !isOnce })"
        >
          {{ isOnce ? 'once' : 'until changed' }}
        </button>
        <UpdateMenu class="min-w-0" />
      </div>
      <div class="flex gap-1.5">
        <button
          type="button"
          class="main-button min-w-0 flex-1 truncate px-2 text-sm"
          :title="label"
          :disabled="isEmpty"
          @click="record('palette')"
        >
          {{ label }}
        </button>
        <button type="button" class="quiet-button px-2.5" @click="record('cue')">Cue</button>
        <ClearMenu />
      </div>
    </template>
  </footer>
</template>
