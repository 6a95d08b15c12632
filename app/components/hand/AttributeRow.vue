<script setup lang="ts">
/**
 * One attribute of the selection: a track to drag along, a value to type, and a menu with its ends
 * and its home. Dragging changes every fixture by the same; with Shift, or drawn off the track, by a tenth of it.
 */
import { EllipsisVertical } from '@lucide/vue'
import { computed, nextTick, shallowRef } from 'vue'
import { typedAmount, type AmountChange } from '#core/hand/change'
import type { HandAttribute } from '../../composables/hand/useHandAttributes'
import { UNIT_NAMES } from '../../composables/forms/unitNames'
import { factorOf, isSpinning, numberInWords, shownInWords } from '../../composables/hand/attributeWords'
import { beamPath, isBeamAngle, trackGobos, trackGround } from '../../composables/hand/trackPictures'
import { afterNextFrame } from '../../session/afterNextFrame'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import TypedField from '../fields/TypedField.vue'
import FloatingPanel from '../shell/FloatingPanel.vue'
import GoboPicture from '../types/GoboPicture.vue'
import DragTrack from './DragTrack.vue'

const props = defineProps<{ attribute: HandAttribute }>()
const stage = useStage()
const selection = useSelection()
const store = useShow()

const FINE = 0.1
/** How fast what begins to spin does so, turns a minute. */
const SPIN = 10
const spins = computed(() => isSpinning(props.attribute.range))
/** How much a drag has come to. */
const drag = shallowRef<Drag | null>(null)
interface Drag {
  readonly amount: number
  /** What the fixtures showed when it began. */
  readonly low: number
  readonly high: number
}

const factor = computed(() => factorOf(props.attribute.range))
const unit = computed(() => UNIT_NAMES[props.attribute.range.unit])
/** What it shows: while it is dragged by the drag itself, ahead of what the panels are told. */
const span = computed(() => {
  if (!drag.value) return props.attribute
  const { low, high, amount } = drag.value
  return { low: inside(low + amount), high: inside(high + amount) }
})
const inside = (number: number) => {
  const { min, max, unit: measure } = props.attribute.range
  return Math.min(max, Math.max(min, measure === 'slot' ? Math.round(number) : number))
}
const size = computed(() => props.attribute.range.max - props.attribute.range.min)
const part = (number: number) => (size.value > 0 ? (100 * (number - props.attribute.range.min)) / size.value : 0)

/** What it shows of what it does. */
const ground = computed(() => trackGround(props.attribute))
const gobos = computed(() => trackGobos(props.attribute))

const inWords = (number: number) => numberInWords(props.attribute, number)
const shown = computed(() => shownInWords({ ...props.attribute, ...span.value }))

const input = (change: AmountChange) => ({
  fixtures: [...selection.fixtures],
  attribute: props.attribute.attribute,
  change,
})
function change(wish: AmountChange) {
  stage.isFanArmed = false
  void store.send('changeValues', input(wish))
}

function begin() {
  const { low, high } = props.attribute
  drag.value = { amount: 0, low, high }
}

function dragTo(part: number) {
  if (!drag.value) return
  drag.value = { ...drag.value, amount: part * size.value }
  stage.tryOut(selection.fixtures, 'changeValues', input({ how: 'by', number: drag.value.amount }))
}

function end() {
  const ended = drag.value
  if (ended && ended.amount !== 0) void stage.commitTrial()
  // What it came to is told a frame later.
  void nextTick(() => afterNextFrame(() => drag.value === ended && (drag.value = null)))
}

function cancel() {
  drag.value = null
  stage.endTrial()
}

function onKey(event: KeyboardEvent) {
  const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key]
  if (event.key === 'Home' || event.key === 'End') change({ how: event.key === 'Home' ? 'min' : 'max' })
  else if (way !== undefined) change({ how: 'by', number: way * step(event.shiftKey) })
  else return
  event.preventDefault()
  event.stopPropagation()
}

/** A step of an arrow key: a slot, else a fiftieth of the range, with Shift a tenth of that. */
function step(isFine: boolean): number {
  if (props.attribute.range.unit === 'slot') return 1
  return (size.value / 50) * (isFine ? FINE : 1)
}

/** What is typed, in its own unit: per cent for levels, a slot also by its name, "12 rpm" to spin. */
function read(text: string): AmountChange | null {
  const { range, wheel } = props.attribute
  const slot = wheel?.slots.findIndex(({ name }) => name.toLowerCase() === text.trim().toLowerCase()) ?? -1
  if (slot >= 0) return { how: 'to', number: slot }
  const wish = typedAmount(text, range.min < 0)
  return wish && 'number' in wish ? { ...wish, number: wish.number / factor.value } : wish
}
</script>

<template>
  <div class="flex items-center gap-1.5" role="group" :aria-label="attribute.name">
    <span
      class="flex w-[92px] shrink-0 items-baseline gap-1 text-sm"
      :title="attribute.isHeldBack ? `${attribute.name}, held back when you record` : attribute.name"
    >
      <span
        class="truncate first-letter:uppercase"
        :class="[attribute.isHeld ? '' : 'text-mist', attribute.isHeldBack ? 'line-through decoration-haze' : '']"
        >{{ attribute.name }}</span
      >
      <span v-if="attribute.fixtures < attribute.among" class="shrink-0 text-xs text-haze"
        >{{ attribute.fixtures }} of {{ attribute.among }}</span
      >
    </span>
    <DragTrack
      class="h-6 pointer-coarse:h-8"
      :class="attribute.isHeld ? 'border-coral/70' : 'border-rule-2'"
      :aria-label="attribute.name"
      :aria-valuemin="attribute.range.min * factor"
      :aria-valuemax="attribute.range.max * factor"
      :aria-valuenow="span.low * factor"
      :aria-valuetext="`${shown} ${unit}`"
      :style="{ background: ground ?? undefined }"
      @begin="begin"
      @drag="dragTo"
      @end="end"
      @cancel="cancel"
      @keydown="onKey"
      @dblclick="change({ how: 'home' })"
    >
      <span
        v-if="!ground"
        class="absolute inset-y-0 rounded-sm"
        :class="attribute.isHeld ? 'bg-coral/25' : 'bg-plank-2'"
        :style="{ left: 0, width: `${part(span.low)}%` }"
      />
      <GoboPicture
        v-for="{ at, pattern } in gobos"
        :key="at"
        :pattern="pattern"
        class="absolute top-1/2 size-4 -translate-y-1/2"
        :style="{ left: `calc(${at * 100}% - ${at * 16}px)` }"
      />
      <svg
        v-if="isBeamAngle(attribute)"
        class="absolute inset-0 size-full"
        viewBox="0 0 90 24"
        preserveAspectRatio="xMinYMid slice"
        aria-hidden="true"
      >
        <path :d="beamPath(span.high, 3, 12, 140)" class="fill-brass/20" />
        <path :d="beamPath(span.low, 3, 12, 140)" class="fill-brass/30" />
      </svg>
      <span
        v-if="ground"
        class="absolute inset-y-0 min-w-[3px] -translate-x-px bg-black shadow-[0_0_0_1px_white]"
        :style="{ left: `${part(span.low)}%`, width: `${part(span.high) - part(span.low)}%` }"
      />
      <span
        v-else
        class="absolute inset-y-0.5 min-w-[3px] rounded-sm"
        :class="attribute.isHeld ? 'bg-coral' : 'bg-haze'"
        :style="{
          left: `calc(${part(span.low)}% - 1px)`,
          width: `${part(span.high) - part(span.low)}%`,
        }"
      />
    </DragTrack>
    <TypedField
      class="w-[74px] shrink-0"
      :label="`${attribute.name} in ${unit}`"
      :shown="shown"
      :read="read"
      @keep="change"
    />
    <FloatingPanel
      class="shrink-0"
      :label="`Ends and home of ${attribute.name}`"
      button-class="rounded p-0.5 text-haze hover:text-sail"
      panel-class="w-40"
    >
      <template #button><EllipsisVertical :size="14" aria-hidden="true" /></template>
      <template #default="{ close }">
        <button
          v-for="(name, how) in { max: 'Maximum', home: 'Home', min: 'Minimum' } as const"
          :key="how"
          type="button"
          class="flex w-full justify-between rounded px-2 py-1 text-left hover:bg-plank-2"
          @click="(change({ how }), close())"
        >
          {{ name }}<span class="font-mono text-xs text-haze">{{ inWords(attribute.range[how]) }}</span>
        </button>
        <button
          v-if="attribute.range.fastest !== null"
          type="button"
          class="flex w-full justify-between rounded px-2 py-1 text-left hover:bg-plank-2"
          @click="(change(spins ? { how: 'to', number: 0 } : { how: 'spin', rpm: SPIN }), close())"
        >
          {{ spins ? 'Stand' : 'Spin'
          }}<span class="font-mono text-xs text-haze">{{ spins ? '0°' : `${SPIN} rpm` }}</span>
        </button>
        <button
          type="button"
          class="flex w-full rounded px-2 py-1 text-left hover:bg-plank-2"
          :aria-pressed="attribute.isTaken"
          @click="(store.send('setTake', { attribute: attribute.attribute, take: !attribute.isTaken }), close())"
        >
          {{ attribute.isTaken ? 'Hold it back' : 'Take it' }}
        </button>
      </template>
    </FloatingPanel>
  </div>
</template>
