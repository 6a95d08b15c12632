<script setup lang="ts">
/** The colour of the selection: chosen by eye, as a white, in the diagram, or by the parts that mix it. */
import { EllipsisVertical } from '@lucide/vue'
import { computed, ref, shallowRef } from 'vue'
import { colourOfHex, hexOf, WHITE, whiteOf, type Colour } from '#core/colour/colour'
import { colourOfHue, hueOf } from '#core/colour/hue'
import type { Show } from '#core/show/show'
import { typedChange } from '#core/hand/change'
import {
  DIAGRAM,
  HUES,
  levelsOf,
  partOfTemperature,
  TEMPERATURES,
  temperatureAt,
  WHITES_ALONG,
} from '../../composables/hand/colourGradients'
import { percentTyped } from '../../composables/hand/percentTyped'
import { useHandColour } from '../../composables/hand/useHandColour'
import FloatingPanel from '../shell/FloatingPanel.vue'
import RadioChips from '../fields/RadioChips.vue'
import TypedField from '../fields/TypedField.vue'
import ColourDiagram from './ColourDiagram.vue'
import ColourPartRow from './ColourPartRow.vue'
import ColourTrack from './ColourTrack.vue'
import ColourPairs from './ColourPairs.vue'
import DragPad, { type PadPlace } from '../hand/DragPad.vue'
import SwatchPicker from './SwatchPicker.vue'

defineProps<{ show: Show }>()
const hand = useHandColour()
const WAYS = ['Hue', 'White', 'Swatch', 'x y', 'Parts'] as const
const way = ref<(typeof WAYS)[number]>('Hue')
const ways = computed(() => (hand.parts.value.length > 0 ? WAYS : WAYS.filter((one) => one !== 'Parts')))

/** What is dragged to, ahead of what the panels are told. */
const dragged = shallowRef<Colour | null>(null)
const shown = computed(() => dragged.value ?? hand.colour.value)
/** The hue stays where it was taken while a colour is white or dark and has none. */
const hue = shallowRef(hueOf(hand.colour.value))
const hueShown = computed(() => {
  const now = hueOf(shown.value)
  return now.saturation < 0.01 || Math.abs(now.hue - hue.value.hue) > 359 ? { ...now, hue: hue.value.hue } : now
})

const asked = ({ x, y, level }: Colour) => ({ kind: 'colour', x, y, level }) as const
function dragTo(colour: Colour) {
  dragged.value = colour
  hand.tryOut(asked(colour))
}
function end() {
  void hand.keepTrial(dragged.value)
  dragged.value = null
}
function cancel() {
  dragged.value = null
  hand.cancel()
}
const set = (colour: Colour) => hand.set(asked(colour))

const level = () => shown.value.level || 1
function hueAt({ across, up }: PadPlace): Colour {
  hue.value = { hue: across * 360, saturation: up }
  return { ...colourOfHue(hue.value), level: level() }
}
const huePlace = computed(() => ({ across: hueShown.value.hue / 360, up: hueShown.value.saturation }))
const hueInWords = computed(
  () => `hue ${Math.round(hueShown.value.hue)}°, saturation ${Math.round(hueShown.value.saturation * 100)} %`,
)

const placeAt = ({ across, up }: PadPlace): Colour => ({
  x: across * DIAGRAM.wide,
  y: Math.max(0.02, up * DIAGRAM.high),
  level: level(),
})
const place = computed(() => ({ across: shown.value.x / DIAGRAM.wide, up: shown.value.y / DIAGRAM.high }))

/** The temperature a white was last chosen at. */
const kelvin = ref(5600)
function whiteAt(temperature: number): Colour {
  kelvin.value = Math.round(Math.min(TEMPERATURES.max, Math.max(TEMPERATURES.min, temperature)) / 10) * 10
  return { ...whiteOf(kelvin.value), level: level() }
}
const atLevel = (part: number): Colour => ({ ...shown.value, level: Math.min(1, Math.max(0, part)) })

const readHex = (text: string) => colourOfHex(text.startsWith('#') ? text : `#${text}`)
const readNumber = (low: number, high: number) => (text: string) => {
  const change = typedChange(text, false)
  return change?.how === 'to' && change.number >= low && change.number <= high ? change.number : null
}
</script>

<template>
  <div class="mt-1.5 flex flex-col gap-1.5" role="group" aria-label="Colour picker">
    <div class="flex items-center gap-1.5">
      <span
        class="w-[92px] shrink-0 text-sm"
        :class="[
          hand.state.value.isHeld ? '' : 'text-mist',
          hand.state.value.isHeldBack ? 'line-through decoration-haze' : '',
        ]"
        >Colour</span
      >
      <span
        class="flex h-6 min-w-0 flex-1 overflow-hidden rounded border"
        :class="hand.state.value.isHeld ? 'border-coral/70' : 'border-rule-2'"
        role="img"
        :aria-label="hand.doesDiffer.value ? `${hand.looks.value.size} colours` : 'What it looks like'"
      >
        <span
          v-for="hex in dragged ? [hexOf(dragged)] : [...hand.looks.value].slice(0, 12)"
          :key="hex"
          class="flex-1"
          :style="{ background: hex }"
        />
      </span>
      <TypedField
        class="w-[74px] shrink-0"
        label="colour as #rrggbb"
        :shown="hand.doesDiffer.value && !dragged ? 'differ' : hexOf(shown)"
        :read="readHex"
        @keep="set"
      />
      <FloatingPanel
        class="shrink-0"
        label="White, and holding back, of colour"
        button-class="rounded p-0.5 text-haze hover:text-sail"
        panel-class="w-40"
      >
        <template #button><EllipsisVertical :size="14" aria-hidden="true" /></template>
        <template #default="{ close }">
          <button
            type="button"
            class="flex w-full rounded px-2 py-1 text-left hover:bg-plank-2"
            @click="(set(WHITE), close())"
          >
            White
          </button>
          <button
            type="button"
            class="flex w-full rounded px-2 py-1 text-left hover:bg-plank-2"
            :aria-pressed="hand.state.value.isTaken"
            @click="(hand.take(!hand.state.value.isTaken), close())"
          >
            {{ hand.state.value.isTaken ? 'Hold it back' : 'Take it' }}
          </button>
        </template>
      </FloatingPanel>
    </div>
    <RadioChips v-model="way" label="Choose the colour by" :options="ways" />
    <DragPad
      v-if="way === 'Hue'"
      class="h-24"
      label="Hue and saturation"
      :place="huePlace"
      :in-words="hueInWords"
      :style="{ background: HUES }"
      @drag="(to) => dragTo(hueAt(to))"
      @end="end"
      @cancel="cancel"
      @step="(to) => set(hueAt(to))"
    />
    <ColourTrack
      v-else-if="way === 'White'"
      name="White"
      label="temperature"
      unit="kelvin"
      :background="WHITES_ALONG"
      :low="partOfTemperature(kelvin)"
      :high="partOfTemperature(kelvin)"
      :ends="TEMPERATURES"
      :shown="String(kelvin)"
      :read="readNumber(TEMPERATURES.min, TEMPERATURES.max)"
      @drag="(part) => dragTo(whiteAt(temperatureAt(part)))"
      @end="end"
      @cancel="cancel"
      @step="(to) => set(whiteAt(kelvin + to * 100))"
      @keep="(temperature) => set(whiteAt(temperature))"
    />
    <SwatchPicker v-else-if="way === 'Swatch'" :show="show" @choose="set" />
    <div v-else-if="way === 'x y'" class="flex gap-2">
      <DragPad
        class="h-[150px] flex-1"
        label="Place in the colour diagram"
        :place="place"
        :in-words="`x ${shown.x.toFixed(3)}, y ${shown.y.toFixed(3)}`"
        @drag="(to) => dragTo(placeAt(to))"
        @end="end"
        @cancel="cancel"
        @step="(to) => set(placeAt(to))"
      >
        <ColourDiagram
          :gamuts="hand.types.value.map(({ gamut }) => gamut)"
          :made="hand.types.value.map(({ made }) => made.look)"
        />
      </DragPad>
      <div class="flex w-[96px] shrink-0 flex-col gap-1 pt-1 text-xs text-haze">
        <label v-for="axis in ['x', 'y'] as const" :key="axis" class="flex items-center gap-1.5"
          ><span class="w-2 font-mono">{{ axis }}</span>
          <TypedField
            class="flex-1"
            :label="`colour ${axis}`"
            :shown="shown[axis].toFixed(3)"
            :read="readNumber(0.001, 0.9)"
            @keep="(number) => set({ ...shown, [axis]: number })"
          />
        </label>
        <p v-for="({ type }, i) in hand.types.value" :key="type.name" class="flex items-center gap-1.5 truncate">
          <svg viewBox="0 0 14 4" class="h-1 w-3.5 shrink-0" aria-hidden="true">
            <path
              d="M0 2H14"
              class="stroke-mist"
              stroke-width="1.5"
              :stroke-dasharray="['none', '5 3', '2 2'][i % 3]"
            /></svg
          ><span class="truncate">{{ type.name }}</span>
        </p>
      </div>
    </div>
    <template v-else>
      <ColourPartRow
        v-for="part in hand.parts.value"
        :key="part.part"
        :part="part"
        :of="hand.able.value.length"
        @try="(level) => hand.tryOut({ kind: 'parts', parts: { [part.part]: level } })"
        @keep="hand.keepTrial(null)"
        @cancel="hand.cancel()"
        @set="(level) => hand.set({ kind: 'parts', parts: { [part.part]: level } })"
      />
    </template>
    <ColourTrack
      v-if="way !== 'Parts'"
      name="Level"
      label="level of the colour"
      unit="per cent"
      :background="levelsOf(shown)"
      :low="shown.level"
      :high="shown.level"
      :ends="{ min: 0, max: 100 }"
      :shown="String(Math.round(shown.level * 100))"
      :read="percentTyped"
      @drag="(part) => dragTo({ ...shown, level: part })"
      @end="end"
      @cancel="cancel"
      @step="(to) => set(atLevel(shown.level + to * 0.02))"
      @keep="(part) => set(atLevel(part))"
    />
    <ColourPairs v-if="hand.short.value.length" :colours="hand.short.value" />
    <div v-if="hand.recent.value.length" class="flex items-center gap-1">
      <span class="w-[92px] shrink-0 text-xs text-haze">Used last</span>
      <button
        v-for="one in hand.recent.value"
        :key="hexOf(one)"
        type="button"
        class="h-5 w-5 min-w-0 rounded-sm border border-rule-2 hover:border-sail"
        :style="{ background: hexOf(one) }"
        :aria-label="`Colour ${hexOf(one)}`"
        @click="set(one)"
      />
    </div>
  </div>
</template>
