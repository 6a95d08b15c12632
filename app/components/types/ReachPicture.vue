<script setup lang="ts">
/**
 * What a head can reach, drawn live. Left, from above: pan as a spiral from stop to stop, for an
 * upright hung head that leans upstage at pan 0. Right, from the side: tilt between its stops, with
 * straight down at 0.
 */
import { computed } from 'vue'
import type { FixtureType } from '#core/show/entities'
import { shortNumber } from '#core/show/shortNumber'

const props = defineProps<{
  pan: FixtureType['pan']
  tilt: FixtureType['tilt']
  /** Where the head stands, degrees. */
  at?: { readonly pan: number; readonly tilt: number } | undefined
}>()

const R = 46
/** How much wider a spiral gets in a whole turn. */
const WIDENS = 10
const STEP = 4

interface Place {
  readonly x: number
  readonly y: number
}

/** Pan seen from above: 0 is up the page, positive runs against the clock. */
function panPlace(angle: number): Place {
  const radius = R - WIDENS + ((angle - props.pan.min) / 360) * WIDENS
  const turn = (angle * Math.PI) / 180
  return { x: -radius * Math.sin(turn), y: -radius * Math.cos(turn) }
}
/** Tilt seen from stage left: straight down is 0, positive leans upstage, to the right. */
function tiltPlace(angle: number, radius = R): Place {
  const turn = (angle * Math.PI) / 180
  return { x: radius * Math.sin(turn), y: radius * Math.cos(turn) }
}
function swept(min: number, max: number, place: (angle: number) => Place): string {
  const count = Math.max(2, Math.ceil((max - min) / STEP))
  return Array.from({ length: count + 1 }, (_, i) => {
    const { x, y } = place(min + ((max - min) * i) / count)
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
  }).join('')
}

const pan = computed(() => swept(props.pan.min, props.pan.max, panPlace))
const tilt = computed(() => swept(props.tilt.min, props.tilt.max, tiltPlace))
const sector = computed(() => `${tilt.value}L0 0Z`)
const head = computed(() => props.at && { pan: panPlace(props.at.pan), tilt: tiltPlace(props.at.tilt) })
const twice = computed(() => props.pan.max - props.pan.min - 360)

/** Stops, with the side of the drawing their figure stands on. */
const panStops = computed(() => [props.pan.min, props.pan.max].map((angle) => stop(angle, panPlace(angle))))
const tiltStops = computed(() => [props.tilt.min, props.tilt.max].map((angle) => stop(angle, tiltPlace(angle))))

function stop(angle: number, at: Place) {
  const far = Math.hypot(at.x, at.y) || 1
  const out = { x: (at.x / far) * (far + 16), y: (at.y / far) * (far + 16) }
  return { at, out, text: `${shortNumber(angle)}°` }
}
</script>

<template>
  <figure>
    <svg
      viewBox="0 0 300 160"
      class="w-full rounded-lg border border-rule bg-night"
      role="img"
      :aria-label="`Reach: pan ${shortNumber(props.pan.min)}° to ${shortNumber(props.pan.max)}°, tilt ${shortNumber(props.tilt.min)}° to ${shortNumber(props.tilt.max)}°`"
    >
      <g transform="translate(82 78)">
        <circle :r="R + 4" class="fill-plank/60 stroke-rule" stroke-dasharray="2 4" />
        <path :d="`M0 ${-R - 8}V${R + 8}M${-R - 8} 0H${R + 8}`" class="stroke-rule" />
        <path :d="pan" class="fill-none stroke-brass" stroke-width="2.5" />
        <g v-for="(end, i) in panStops" :key="i">
          <circle
            :cx="end.at.x"
            :cy="end.at.y"
            r="3.5"
            :class="(i === 0) === props.pan.reversed ? 'fill-coral' : 'fill-sail'"
          />
          <text :x="end.out.x" :y="end.out.y + 4" text-anchor="middle" class="halo fill-sail font-mono text-[10px]">
            {{ end.text }}
          </text>
        </g>
        <path v-if="head" :d="`M0 0L${head.pan.x} ${head.pan.y}`" class="stroke-coral" stroke-width="2.5" />
        <text y="-62" text-anchor="middle" class="fill-haze text-[10px]">upstage, pan 0</text>
        <text y="74" text-anchor="middle" class="fill-mist text-[11px]">Pan, from above</text>
      </g>
      <g transform="translate(222 78)">
        <path :d="sector" class="fill-brass/10" />
        <path :d="`M0 ${-R - 8}V${R + 8}M${-R - 8} 0H${R + 8}`" class="stroke-rule" />
        <path :d="tilt" class="fill-none stroke-brass" stroke-width="2.5" />
        <rect x="-9" y="-14" width="18" height="10" rx="2" class="fill-plank-2 stroke-mist" />
        <circle r="4" class="fill-night stroke-mist" />
        <g v-for="(end, i) in tiltStops" :key="i">
          <path :d="`M0 0L${end.at.x} ${end.at.y}`" class="stroke-brass/50" />
          <circle
            :cx="end.at.x"
            :cy="end.at.y"
            r="3.5"
            :class="(i === 0) === props.tilt.reversed ? 'fill-coral' : 'fill-sail'"
          />
          <text :x="end.out.x" :y="end.out.y + 4" text-anchor="middle" class="halo fill-sail font-mono text-[10px]">
            {{ end.text }}
          </text>
        </g>
        <path v-if="head" :d="`M0 0L${head.tilt.x} ${head.tilt.y}`" class="stroke-coral" stroke-width="2.5" />
        <text y="74" text-anchor="middle" class="fill-mist text-[11px]">Tilt, from the side</text>
      </g>
    </svg>
    <figcaption class="mt-1.5 text-sm text-mist">
      {{
        twice >= 0
          ? `Every direction can be reached, and ${shortNumber(twice)}° of pan two ways round.`
          : `${shortNumber(-twice)}° of pan cannot be reached one way round.`
      }}
      Coral is the stop of the highest value.
    </figcaption>
  </figure>
</template>
