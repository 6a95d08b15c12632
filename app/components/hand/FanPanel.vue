<script setup lang="ts">
/**
 * Spreads a value over the selection, or the places it is aimed at along a target or a drawn line.
 * It shows what it does as one sets it, and lets go by itself when anything else is changed.
 */
import { Pencil } from '@lucide/vue'
import { computed, onUnmounted, ref, watch } from 'vue'
import { FAN_CURVES, FAN_KEEPS } from '#core/hand/fan'
import { FAN_LAYS } from '#core/show/entities'
import { targetsOf } from '#core/show/targets'
import type { Show } from '#core/show/show'
import { useFanParts, FAN_OVERS } from '../../composables/hand/useFanParts'
import { useHandAttributes, type HandAttribute } from '../../composables/hand/useHandAttributes'
import { useStage, type Trial } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { numberTyped } from '#core/show/numberTyped'
import RadioChips from '../fields/RadioChips.vue'
import DragTrack from './DragTrack.vue'

const props = defineProps<{ show: Show }>()
const stage = useStage()
const selection = useSelection()
const { attributes } = useHandAttributes()
const { over, parts, run } = useFanParts(() => props.show)

type Of = 'places' | 'pan' | 'tilt' | HandAttribute['attribute']
const of = ref<Of>('pan')
const keep = ref<(typeof FAN_KEEPS)[number]>('middle')
const curve = ref<(typeof FAN_CURVES)[number]>('even')
const lay = ref<(typeof FAN_LAYS)[number]>('in order')
const place = ref('')
/** What is spread by dragging, in the attribute's own unit. */
const amount = ref(0)
const from = ref('')
const to = ref('')
/** What was spread when a drag began. */
let before = 0
/** What this fan is trying out. */
let mine: Trial | null = null
const FINE = 0.1

const attribute = computed(() => attributes.value.find((other) => other.attribute === of.value))
const named = computed(() => attributes.value.map(({ name }) => name).join())
const factor = computed(() => (attribute.value?.range.unit === 'level' ? 100 : 1))
const unit = computed(() => (factor.value === 100 ? '%' : attribute.value?.range.unit === 'slot' ? 'slots' : '°'))
/** What dragging across the whole track spreads. */
const whole = computed(() => (attribute.value ? attribute.value.range.max - attribute.value.range.min : 180))
const lines = computed(() => [...targetsOf(props.show).values()].filter(({ target }) => target.form.kind !== 'point'))
const isSet = computed(() =>
  of.value === 'places' ? place.value !== '' || stage.line !== null : amount.value !== 0 || range.value !== null,
)
const range = computed(() => {
  const [first, last] = [numberTyped(from.value), numberTyped(to.value)]
  return first === null || last === null ? null : { from: first / factor.value, to: last / factor.value }
})

function preview() {
  const shape = { parts: parts.value, run: run.value, curve: curve.value }
  if (!isSet.value || parts.value.length === 0) return stage.endTrial(mine)
  if (of.value === 'places') {
    const target = lines.value.find(({ id }) => id === place.value)
    const line = target
      ? ({ kind: 'target', target: target.id } as const)
      : stage.line && { kind: 'line' as const, ...stage.line }
    if (line) mine = stage.tryOut(selection.whole, 'fanAims', { ...shape, over: line, lay: lay.value })
    return
  }
  const spread = range.value
    ? ({ how: 'range', ...range.value } as const)
    : ({ how: 'by', amount: amount.value } as const)
  mine = stage.tryOut(selection.whole, 'fanValues', { ...shape, keep: keep.value, of: of.value, spread })
}
watch([of, keep, curve, lay, place, amount, range, parts, run, () => stage.line], preview)
watch(of, () => {
  amount.value = 0
  from.value = ''
  to.value = ''
})
onUnmounted(() => {
  stage.endTrial(mine)
  stage.line = null
  if (stage.tool === 'line') stage.tool = 'select'
})

function begin() {
  from.value = ''
  to.value = ''
  before = amount.value
}

function onKey(event: KeyboardEvent) {
  const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (way === undefined) return
  event.preventDefault()
  event.stopPropagation()
  amount.value += way * (whole.value / 90) * (event.shiftKey ? FINE : 1)
}

/** Does what is shown. The fan stays armed for more of the same. */
const apply = () => stage.commitTrial()
/** What is kept, here or by recording it, is not spread once more. */
watch(
  () => stage.trial,
  (now, ended) => {
    if (now === null && ended !== null && ended === mine && isSet.value) setBack()
  },
)
function setBack() {
  mine = null
  amount.value = 0
  from.value = ''
  to.value = ''
  place.value = ''
  stage.line = null
}
</script>

<template>
  <form
    class="flex flex-col gap-2 border-b border-coral/60 bg-coral-deep/20 px-3 py-2"
    aria-label="Fan"
    @submit.prevent="apply"
    @keydown.esc.stop="stage.isFanArmed = false"
  >
    <div class="flex items-center gap-1.5">
      <!-- Drawn anew when the choices change, not with every step of a drag. -->
      <label v-memo="[of, named]" class="flex min-w-0 flex-1 items-center gap-2"
        ><span class="font-semibold text-coral">Fan</span>
        <select v-model="of" class="field font-sans" aria-label="What to fan">
          <option value="places">places on the stage</option>
          <option value="pan">pan</option>
          <option value="tilt">tilt</option>
          <option v-for="other in attributes" :key="other.attribute" :value="other.attribute">{{ other.name }}</option>
        </select>
      </label>
      <RadioChips v-model="curve" class="w-28 shrink-0" label="Curve" :options="FAN_CURVES" />
    </div>
    <RadioChips v-model="over" label="Over" :options="FAN_OVERS" />
    <template v-if="of === 'places'">
      <div class="flex gap-1.5">
        <select v-model="place" class="field font-sans" aria-label="Along which target" @change="stage.line = null">
          <option value="">Along …</option>
          <option v-for="line in lines" :key="line.id" :value="line.id">{{ line.target.name }}</option>
        </select>
        <button
          type="button"
          class="chip flex shrink-0 items-center gap-1"
          :class="stage.tool === 'line' || stage.line ? 'chip-on' : ''"
          @click="((place = ''), (stage.tool = 'line'))"
        >
          <Pencil :size="13" aria-hidden="true" />{{ stage.tool === 'line' ? 'Draw it' : 'Line' }}
        </button>
      </div>
      <RadioChips v-model="lay" label="How the beams lie" :options="FAN_LAYS" />
    </template>
    <template v-else>
      <RadioChips v-model="keep" label="Keep" :options="FAN_KEEPS" />
      <div class="flex items-center gap-1.5">
        <DragTrack
          class="h-6 border-coral/70 text-center font-mono text-sm leading-[22px] contain-strict"
          aria-label="Spread"
          :aria-valuenow="amount * factor"
          :aria-valuetext="`${(amount * factor).toFixed(1)} ${unit}`"
          @begin="begin"
          @drag="amount = before + $event * whole"
          @cancel="amount = before"
          @keydown="onKey"
        >
          {{ range ? '' : `${(amount * factor).toFixed(1)} ${unit}` }}
        </DragTrack>
        <input v-model="from" class="field w-12 px-1.5 py-0.5" placeholder="from" :aria-label="`From, ${unit}`" />
        <input v-model="to" class="field w-12 px-1.5 py-0.5" placeholder="to" :aria-label="`To, ${unit}`" />
      </div>
    </template>
    <div class="flex gap-1.5">
      <button type="submit" class="main-button flex-1 py-1" :disabled="!isSet">Keep the fan</button>
      <button type="button" class="quiet-button py-1" @click="stage.isFanArmed = false">Let go</button>
    </div>
  </form>
</template>
