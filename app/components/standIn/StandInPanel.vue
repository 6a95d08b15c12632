<script setup lang="ts">
/** What is off of the stand-in rig: how much, by which seed, and, when asked for, what. */
import { computed, ref } from 'vue'
import type { Show } from '#core/show/show'
import type { HowOff } from '#core/standIn/hiddenErrors'
import { revealed } from '../../composables/standIn/hiddenWords'
import TapeMeasure from './TapeMeasure.vue'
import type { usePractice } from '../../composables/standIn/usePractice'

const props = defineProps<{ show: Show; practice: ReturnType<typeof usePractice>; isRevealed: boolean }>()
const emit = defineEmits<{ reveal: [shown: boolean] }>()
/** Centimetres, then degrees. */
const COLUMNS = ['along', 'out', 'down', 'yaw', 'pitch', 'roll']
const trouble = ref('')
const hung = computed(() => props.practice.hung.value)
const how = computed(() => props.practice.how.value)
const lines = computed(() => (props.practice.errors.value ? revealed(props.show, props.practice.errors.value) : []))

/** Resolves to what is wrong; null where it was done. */
async function change(fields: Partial<HowOff>): Promise<string | null> {
  const isDone = await props.practice.hangAnew({ ...how.value, ...fields })
  trouble.value = isDone ? '' : 'The rig could not be hung so. Is it still running?'
  if (isDone) emit('reveal', false)
  return isDone ? null : trouble.value
}
const another = () => change({ seed: 1 + Math.floor(Math.random() * 999999) })
</script>

<template>
  <aside
    class="flex min-h-0 flex-col gap-3 overflow-y-auto border-l border-rule bg-deck p-4"
    aria-label="The rig as it hangs"
  >
    <TapeMeasure v-if="hung" :show="hung" :pictures="practice.pictures.value" :turning="practice.turning.value" />
    <h2 class="border-t border-rule pt-3 font-semibold">What is off</h2>
    <p class="text-sm text-mist">
      This rig hangs as it is drawn, but for errors nobody is told of. The same seed brings the same ones.
    </p>
    <div class="grid grid-cols-3 gap-2">
      <NumberField label="Seed" unit="" :value="how.seed" :keep="(seed) => change({ seed })" />
      <NumberField label="Up to" unit="cm" :value="how.metres * 100" :keep="(cm) => change({ metres: cm / 100 })" />
      <NumberField label="and" unit="°" :value="how.degrees" :keep="(degrees) => change({ degrees })" />
    </div>
    <label class="flex items-start gap-2 text-sm">
      <input
        type="checkbox"
        class="mt-1 accent-coral"
        :checked="how.hasMistakes"
        @change="change({ hasMistakes: !how.hasMistakes })"
      />
      One head hung the other way round, one panning the other way, one at its neighbour’s address, one with its tilt
      off
    </label>
    <div class="flex gap-2">
      <button type="button" class="quiet-button py-1" @click="another">Other errors</button>
      <button type="button" class="quiet-button py-1" :aria-expanded="isRevealed" @click="emit('reveal', !isRevealed)">
        {{ isRevealed ? 'Hide them' : 'Reveal them' }}
      </button>
    </div>
    <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
    <section v-if="isRevealed" class="flex flex-col gap-3 border-t border-rule pt-3" aria-label="Errors">
      <div v-for="hang in lines" :key="hang.name">
        <h3 class="text-sm font-semibold">{{ hang.name }}: {{ hang.words }}</h3>
        <table class="mt-1 w-full text-sm">
          <thead class="text-right text-xs text-haze">
            <tr>
              <th class="text-left font-normal">head</th>
              <th v-for="column in COLUMNS" :key="column" class="font-normal">{{ column }}</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="head in hang.heads" :key="head.number">
              <tr class="text-right font-mono text-mist">
                <th class="text-left font-normal text-sail">{{ head.number }}</th>
                <td v-for="(figure, i) in head.figures" :key="i">{{ figure }}</td>
              </tr>
              <tr v-if="head.mistake">
                <td colspan="7" class="pb-1 text-brass">{{ head.mistake }}</td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
    </section>
  </aside>
</template>
