<script setup lang="ts">
/** Opens cue text: looked at first, then taken as a list of its own. */
import { computed, onUnmounted, ref } from 'vue'
import { FAMILIES } from '#core/attributes/families'
import { counted } from '#core/show/counted'
import { showRecordOf, type Show } from '#core/show/show'
import { useCueText } from '../../composables/exchange/useCueText'
import { useCommit } from '../../composables/forms/useCommit'
import PlainDialog from '../shell/PlainDialog.vue'
import FileDrop from './FileDrop.vue'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const { keep } = useCommit()
const file = useCueText(() => props.show)
const { name, text, taken, trouble, done, families, isTied, input } = file
const isTaking = ref(false)
const refused = ref<string | null>(null)
onUnmounted(() => file.cancel())

const WAYS = [
  { key: 'tied', name: 'linked and tied' },
  { key: 'plain', name: 'as it came' },
] as const
const summary = computed(() => {
  if (done.value !== null) return `Turning levels into values: ${done.value} of ${text.value?.cues.length ?? 0} cues`
  if (!taken.value) return 'Nothing read yet.'
  const { cues, fixtures, values } = taken.value
  const parts = [
    `${counted(cues.length, 'cue')} of ${counted(fixtures, 'fixture')}`,
    `${counted(values.links, 'link')} to palettes`,
    `${counted(values.aims, 'place')} tied to the stage`,
    `${counted(values.loose, 'loose value')}`,
  ]
  return `${parts.join(', ')}.`
})

async function take() {
  if (!input.value) return
  isTaking.value = true
  refused.value = await keep('takeCues', input.value)
  isTaking.value = false
  if (refused.value === null) emit('close')
}
</script>

<template>
  <PlainDialog
    :open="open"
    :title="text ? `${name} into ${showRecordOf(show).name}` : 'Open cue text'"
    wide
    @close="emit('close')"
  >
    <FileDrop
      v-if="!text"
      class="m-5 min-h-48"
      accept=".asc,.txt"
      :is-reading="false"
      :trouble="trouble"
      @open="(chosen) => file.open(chosen)"
      @stop="file.cancel()"
    >
      Drop cue text (USITT ASCII 3.0) here. Its levels are turned into degrees, places and links by the patch of this
      show. You see what comes of it before it is taken.
    </FileDrop>
    <div v-else class="grid h-[58vh] min-h-0 grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div
        class="min-h-0 overflow-y-auto border-r border-rule"
        tabindex="0"
        role="region"
        aria-label="Cues of the text"
      >
        <table class="w-full text-sm">
          <thead class="sticky top-0 bg-plank text-left text-xs text-haze">
            <tr>
              <th class="py-1 pl-4 font-normal">cue</th>
              <th class="w-full font-normal">name</th>
              <th class="pl-4 text-right font-normal whitespace-nowrap">up</th>
              <th class="pl-4 text-right font-normal whitespace-nowrap">down</th>
              <th class="pl-4 text-right font-normal whitespace-nowrap">channels</th>
              <th class="pr-4 pl-4 text-right font-normal whitespace-nowrap">values it sets</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(cue, i) in text.cues" :key="cue.number" class="border-b border-rule/60">
              <td class="py-0.5 pr-6 pl-4 font-mono">{{ cue.number }}</td>
              <td class="max-w-0 truncate">{{ cue.name }}</td>
              <td class="text-right font-mono text-mist">{{ cue.rise ?? '–' }}</td>
              <td class="text-right font-mono text-mist">{{ cue.fall ?? '–' }}</td>
              <td class="text-right font-mono text-mist">{{ cue.levels.size }}</td>
              <td class="pr-4 text-right font-mono">{{ taken?.cues[i]?.values.length ?? '' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-4 text-sm">
        <label class="block">
          <span class="block text-xs text-haze">Name of the list</span>
          <input v-model="name" class="field px-1.5 py-0.5 font-sans" maxlength="120" />
        </label>
        <div>
          <p class="mb-1 text-xs text-haze">What is taken</p>
          <div class="flex flex-wrap gap-1" role="group" aria-label="What is taken">
            <button
              v-for="family in FAMILIES"
              :key="family"
              type="button"
              class="chip px-2 py-0.5"
              :class="families.includes(family) ? 'border-kelp' : 'text-haze'"
              :aria-pressed="families.includes(family)"
              @click="file.setFamily(family, !families.includes(family))"
            >
              {{ family }}
            </button>
          </div>
        </div>
        <SwitchField
          class="self-start"
          label="How values are taken"
          :options="WAYS"
          :value="isTied ? 'tied' : 'plain'"
          @choose="(key) => file.setTied(key === 'tied')"
        />
        <p class="text-mist">
          Where a palette gives the same it is linked; other places are aims where the light lands, so that they follow
          the set. Eight bits tell angles to half a degree or so where the text has no fine channels.
        </p>
        <ul v-if="taken?.notes.length" aria-label="Said of it">
          <li v-for="(note, i) in taken.notes" :key="i" class="border-t border-rule/60 py-1">
            <strong class="font-semibold">{{ note.about }}</strong> {{ note.message }}.
            <span :class="note.severity === 'lost' ? 'text-coral' : 'text-brass'">{{
              note.severity === 'lost' ? 'Does not come in.' : 'Comes in, look.'
            }}</span>
          </li>
        </ul>
      </div>
    </div>
    <footer class="flex items-center justify-end gap-3 border-t border-rule px-5 py-3">
      <p v-if="refused" class="mr-auto text-coral" role="alert">{{ refused }}</p>
      <p v-else class="mr-auto text-mist" role="status">{{ summary }}</p>
      <button type="button" class="quiet-button" @click="emit('close')">Cancel</button>
      <button
        type="button"
        class="main-button"
        :disabled="!input || done !== null || isTaking || name.trim() === ''"
        @click="take"
      >
        Take as a list
      </button>
    </footer>
  </PlainDialog>
</template>
