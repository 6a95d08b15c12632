<script setup lang="ts">
/** The palette that is checked: its fixtures, how its light is moved, what a correction counts for, what is said of it. */
import { computed } from 'vue'
import type { Show } from '#core/show/show'
import { touchInWords } from '../../composables/refocus/passWords'
import { usePass } from '../../stores/pass'
import { NUDGES, usePassNudges } from '../../stores/passNudges'
import MoveTargetInstead from '../refocus/MoveTargetInstead.vue'
import CorrectionSwitch from './CorrectionSwitch.vue'
import NudgePad from './NudgePad.vue'
import PassFixtures from './PassFixtures.vue'
import PassNote from './PassNote.vue'

const props = defineProps<{ show: Show }>()
const pass = usePass()
const nudges = usePassNudges()
const palette = computed(() => (pass.line ? props.show.all.palette.get(pass.line.palette) : undefined))
const about = computed(() => {
  const { value: known } = palette
  if (!known || !pass.line) return ''
  const { cues } = pass.line
  return `${known.shelf} palette ${known.number}, ${cues === 0 ? 'in no cue' : cues === 1 ? 'in one cue' : `in ${cues} cues`}`
})
const UNITS = [
  { key: 'metres', name: 'metres' },
  { key: 'degrees', name: 'degrees' },
] as const
const sizes = computed(() => NUDGES[nudges.unit].map((by) => (nudges.unit === 'metres' ? `${by * 100} cm` : `${by}°`)))
</script>

<template>
  <div v-if="pass.line && palette" class="flex flex-col gap-3 p-4">
    <div>
      <h2 class="text-lg font-semibold">{{ palette.name }}</h2>
      <p class="text-sm text-mist">{{ about }}</p>
    </div>
    <PassFixtures :show="show" />
    <p v-if="pass.takenByOther" class="rounded-md border border-brass/60 px-2 py-1 text-sm text-brass">
      {{ pass.takenByOther }} is checking this one.
    </p>
    <NudgePad v-if="nudges.unit === 'metres'" />
    <p class="text-brass">{{ touchInWords(nudges.touch) || 'As solved here.' }}</p>
    <div class="flex flex-wrap items-center gap-2">
      <SwitchField label="Nudged by" :options="UNITS" :value="nudges.unit" @choose="(unit) => (nudges.unit = unit)" />
      <div class="flex gap-1" role="radiogroup" aria-label="A nudge is">
        <button
          v-for="(name, i) in sizes"
          :key="name"
          type="button"
          role="radio"
          class="chip font-mono"
          :class="nudges.size === i ? 'chip-on' : ''"
          :aria-checked="nudges.size === i"
          @click="nudges.size = i"
        >
          {{ name }}
        </button>
      </div>
    </div>
    <button
      v-if="nudges.hasOwnOffset && nudges.mayCorrectForGood"
      type="button"
      class="chip w-fit"
      title="How far off its target the palette itself has it becomes a touch-up of this venue; elsewhere it goes to the target"
      @click="nudges.keepOffsetHere()"
    >
      Keep its own offset only here
    </button>
    <MoveTargetInstead v-if="nudges.touchUps.length" :show="show" :touch-ups="nudges.touchUps" />
    <CorrectionSwitch />
    <PassNote />
  </div>
</template>
