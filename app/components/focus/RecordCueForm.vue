<script setup lang="ts">
/** Records a new cue: into which list, its number, name and time. */
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { listsInOrder } from '#core/cues/tracking'
import type { Show } from '#core/show/show'
import { useRecording } from '../../composables/useRecording'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'

const props = defineProps<{ show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const workingSet = useWorkingSet()
const { words, loose, isEmpty } = useRecording()

const lists = computed(() => listsInOrder(props.show))
const listId = ref(lists.value[0]?.id ?? null)
const list = computed(() => lists.value.find(({ id }) => id === listId.value) ?? lists.value[0])
const number = ref('')
const name = ref('')
const rise = ref('3')
const nameField = useTemplateRef<HTMLInputElement>('nameField')
onMounted(() => nameField.value?.focus())
watch(
  list,
  (now) => {
    number.value = String(Math.floor(now?.cues.at(-1)?.cue.number ?? 0) + 1)
  },
  { immediate: true },
)
const typed = (text: string) => Number(text.replace(',', '.'))

async function record() {
  if (!list.value) return
  const done = await store.send('recordCue', {
    list: list.value.id,
    number: typed(number.value),
    name: name.value,
    rise: typed(rise.value),
    fall: typed(rise.value),
    move: null,
    travel: 'angle',
    workingSet: workingSet.current,
  })
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
    <div class="flex gap-1">
      <label class="flex-1"
        ><span class="block text-xs text-haze">into list</span>
        <select v-model="listId" class="field font-sans">
          <option v-for="option in lists" :key="option.id" :value="option.id">
            {{ option.list.number }} {{ option.list.name }}
          </option>
        </select>
      </label>
      <label class="w-20"
        ><span class="block text-xs text-haze">time, s</span><input v-model="rise" class="field" inputmode="decimal"
      /></label>
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
    <p class="text-sm text-mist">
      {{ words }}<template v-if="loose"> {{ loose }} loose, not linked to a palette.</template>
    </p>
    <div class="flex gap-2">
      <button type="submit" class="main-button flex-1 py-1.5" :disabled="isEmpty">Record cue</button>
      <button type="button" class="quiet-button py-1.5" @click="emit('close')">Cancel</button>
    </div>
  </form>
</template>
