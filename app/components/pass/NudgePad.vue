<script setup lang="ts">
/**
 * A pad that moves the light the way one faces: dragged, by its four arrows, or by the arrow keys. Its rim
 * is turned to say where one looks.
 */
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from '@lucide/vue'
import { useThrottleFn } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { facingInWords, touchInWords } from '../../composables/refocus/passWords'
import { usePassNudges } from '../../stores/passNudges'

const nudges = usePassNudges()
const pad = useTemplateRef<SVGSVGElement>('pad')
/** The pad is drawn this far round its middle. */
const R = 160
/** Its rim stands for so many metres. */
const METRES = 0.5
const turn = computed(() => (nudges.facing * Math.PI) / 180)

/** A place of the stage on the pad, from metres to stage left and upstage. */
function onPad(x: number, y: number) {
  const right = x * Math.cos(turn.value) - y * Math.sin(turn.value)
  const away = x * Math.sin(turn.value) + y * Math.cos(turn.value)
  const far = Math.max(1, Math.hypot(right, away) / METRES)
  return { x: (right / METRES / far) * R, y: (-away / METRES / far) * R }
}
const light = computed(() => {
  const { x = 0, y = 0 } = nudges.touch?.offset ?? {}
  return onPad(x, y)
})
const ROSE = [
  { name: 'upstage', at: 0 },
  { name: 'stage left', at: 90 },
  { name: 'downstage', at: 180 },
  { name: 'stage right', at: 270 },
] as const
const names = computed(() =>
  ROSE.map(({ name, at }) => {
    const angle = ((at - nudges.facing) * Math.PI) / 180
    return { name, x: Math.sin(angle) * (R - 52), y: -Math.cos(angle) * (R - 32) - Math.abs(Math.sin(angle)) * ASIDE }
  }),
)
/** Names at the sides stand a little higher, clear of the arrows. */
const ASIDE = 32
const ticks = Array.from({ length: 24 }, (_, i) => i * 15)

type Drag = { readonly kind: 'light' | 'rim'; x: number; y: number }
const drag = ref<Drag | null>(null)
/** What was dragged and not yet sent, in pad units. */
let waiting = { right: 0, away: 0 }
const sendDragged = useThrottleFn(
  () => {
    const { right, away } = waiting
    waiting = { right: 0, away: 0 }
    if (right !== 0 || away !== 0) void nudges.moveBy((right / R) * METRES, (away / R) * METRES)
  },
  90,
  true,
)
function placeOf({ clientX, clientY }: PointerEvent) {
  const box = pad.value?.getBoundingClientRect()
  if (!box) return { x: 0, y: 0 }
  const scale = (2 * R + 20) / box.width
  return { x: (clientX - box.left - box.width / 2) * scale, y: (clientY - box.top - box.height / 2) * scale }
}
function begin(event: PointerEvent) {
  if (event.button !== 0) return
  const at = placeOf(event)
  drag.value = { kind: Math.hypot(at.x, at.y) > R - 18 ? 'rim' : 'light', ...at }
  pad.value?.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  const { value: before } = drag
  if (!before) return
  const at = placeOf(event)
  if (before.kind === 'rim') {
    const by = Math.atan2(at.y, at.x) - Math.atan2(before.y, before.x)
    face(nudges.facing - (by * 180) / Math.PI)
  } else {
    waiting = { right: waiting.right + at.x - before.x, away: waiting.away - (at.y - before.y) }
    void sendDragged()
  }
  drag.value = { kind: before.kind, ...at }
}
function end() {
  if (drag.value?.kind === 'rim') face(Math.round(nudges.facing / 15) * 15)
  drag.value = null
}
const face = (degrees: number) => (nudges.facing = ((degrees % 360) + 360) % 360)
const ARROWS = [
  { icon: ArrowUp, right: 0, away: 1, label: 'away from me', place: 'top-[28%] left-1/2' },
  { icon: ArrowDown, right: 0, away: -1, label: 'towards me', place: 'top-[72%] left-1/2' },
  { icon: ArrowLeft, right: -1, away: 0, label: 'to my left', place: 'top-1/2 left-[28%]' },
  { icon: ArrowRight, right: 1, away: 0, label: 'to my right', place: 'top-1/2 left-[72%]' },
] as const
</script>

<template>
  <div class="flex flex-col items-center gap-1.5">
    <div class="relative aspect-square w-full max-w-[210px] in-data-touch:max-w-[360px]">
      <svg
        ref="pad"
        class="block size-full touch-none select-none"
        :viewBox="`${-R - 10} ${-R - 10} ${2 * R + 20} ${2 * R + 20}`"
        role="img"
        :aria-label="`Pad that moves the light; I look ${facingInWords(nudges.facing)}. ${touchInWords(nudges.touch) || 'As solved'}`"
        @pointerdown="begin"
        @pointermove="move"
        @pointerup="end"
        @pointercancel="end"
      >
        <circle :r="R" class="fill-plank stroke-rule-2" />
        <circle :r="R - 18" class="fill-none stroke-rule" />
        <path
          v-for="at in ticks"
          :key="at"
          :d="`M0 ${-R}V${-R + (at % 90 === 0 ? 14 : 8)}`"
          :transform="`rotate(${at - nudges.facing})`"
          class="stroke-rule-2"
          stroke-width="2"
        />
        <text
          v-for="{ name, x, y } in names"
          :key="name"
          :x="x"
          :y="y + 4"
          text-anchor="middle"
          class="fill-mist text-[19px] in-data-touch:text-[14px]"
        >
          {{ name }}
        </text>
        <line x1="0" y1="0" :x2="light.x" :y2="light.y" class="stroke-brass" stroke-width="2" />
        <circle r="4" class="fill-brass" />
        <text :x="R" :y="R" text-anchor="end" class="fill-haze text-[17px] in-data-touch:text-[11px]">
          rim {{ METRES }} m
        </text>
        <circle
          :cx="light.x"
          :cy="light.y"
          r="22"
          class="fill-brass/30 stroke-brass"
          :class="drag?.kind === 'light' ? 'cursor-grabbing' : 'cursor-grab'"
          stroke-width="2"
        />
      </svg>
      <IconButton
        v-for="{ icon, right, away, label, place } in ARROWS"
        :key="label"
        :icon="icon"
        :size="18"
        class="absolute hidden size-8 -translate-1/2 place-items-center rounded-full border border-rule-2 bg-deck text-mist hover:bg-plank-2 hover:text-sail in-data-touch:grid in-data-touch:size-12"
        :class="place"
        :aria-label="`Nudge ${label}`"
        @click="nudges.nudge(right, away)"
      />
    </div>
    <div class="flex items-center gap-1 text-sm text-mist" role="group" aria-label="I look">
      <span class="sr-only in-data-touch:not-sr-only">I look</span>
      <button
        v-for="{ name, at } in ROSE"
        :key="name"
        type="button"
        class="chip px-1.5 whitespace-nowrap in-data-touch:px-3"
        :class="facingInWords(nudges.facing) === name ? 'chip-on' : ''"
        :aria-pressed="facingInWords(nudges.facing) === name"
        @click="face(at)"
      >
        {{ name }}
      </button>
    </div>
  </div>
</template>
