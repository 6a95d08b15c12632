<script setup lang="ts">
/** The 512 channels of one universe: who takes which, what clashes and what runs over the end. */
import { computed } from 'vue'
import { portAddress } from '#core/patch/portAddress'
import { UNIVERSE_SIZE, type Span } from '#core/patch/span'
import type { FixtureId } from '#core/show/ids'
import { COLUMNS, doubled, ROWS, rowRuns } from '#core/patch/universeMap'

const props = defineProps<{
  universe: number
  spans: readonly Span[]
  selected: ReadonlySet<string>
  /** A number from 0 for the tint of each fixture. */
  tints: ReadonlyMap<string, number>
  /** Its 512 levels as they go out, 0 to 255; null to leave them out. */
  levels: Uint8Array | null
  /** The numbers it goes by elsewhere; that of protocols that count from 0 where this is left out. */
  numbers?: string | undefined
}>()
const emit = defineEmits<{ select: [fixture: FixtureId, add: boolean] }>()

const CELL = 13
const LINE = 15
const TINTS = ['fill-shoal', 'fill-brass', 'fill-heather', 'fill-kelp', 'fill-rose', 'fill-amber'] as const

const wire = computed(() => {
  const port = portAddress(props.universe)
  return port
    ? `port address ${port.port} (${port.net}:${port.subNet}:${port.universe}) where counting starts at 0`
    : 'too high for protocols that count from 0'
})
const drawn = computed(() =>
  props.spans.map((span, i) => ({
    ...span,
    over: Math.max(0, span.last - UNIVERSE_SIZE),
    runs: rowRuns(span.first, span.last),
    strength: i % 2 === 0 ? 0.22 : 0.38,
    tint: TINTS[(props.tints.get(span.fixture) ?? 0) % TINTS.length],
    isSelected: props.selected.has(span.fixture),
  })),
)
/** One bar a channel, from the foot of its cell. */
const bars = computed(() =>
  [...(props.levels ?? [])]
    .map((level, i) => {
      const height = (level / 255) * (LINE - 2)
      if (height === 0) return ''
      const x = (i % COLUMNS) * CELL + 1
      const foot = (Math.floor(i / COLUMNS) + 1) * LINE - 1
      return `M${x} ${foot}h${CELL - 2}v${-height.toFixed(1)}h${2 - CELL}Z`
    })
    .join(''),
)
const clashes = computed(() => doubled(props.spans).flatMap(({ first, last }) => rowRuns(first, last)))
const over = computed(() => drawn.value.filter((span) => span.over > 0))
const free = computed(() => {
  const taken = new Set(
    props.spans.flatMap(({ first, last }) => Array.from({ length: last - first + 1 }, (_, i) => first + i)),
  )
  return UNIVERSE_SIZE - [...taken].filter((channel) => channel <= UNIVERSE_SIZE).length
})
const grid = computed(() => {
  const down = Array.from({ length: COLUMNS + 1 }, (_, i) => `M${i * CELL} 0V${ROWS * LINE}`)
  const across = Array.from({ length: ROWS + 1 }, (_, i) => `M0 ${i * LINE}H${COLUMNS * CELL}`)
  return [...down, ...across].join('')
})
</script>

<template>
  <section :aria-label="`Universe ${universe}`" class="min-w-0">
    <h3 class="flex items-baseline gap-2">
      <span class="shrink-0 font-semibold">Universe {{ universe }}</span>
      <span class="truncate text-xs text-haze">{{ numbers ?? wire }}</span>
      <span class="ml-auto shrink-0 font-mono text-xs text-mist">{{ free }} free</span>
    </h3>
    <svg
      :viewBox="`-26 -1 ${COLUMNS * CELL + 28} ${ROWS * LINE + 2}`"
      class="mt-1 w-full"
      role="group"
      :aria-label="`Channels of universe ${universe}`"
    >
      <defs>
        <pattern
          :id="`clash${universe}`"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V5" class="stroke-coral" stroke-width="2.5" />
        </pattern>
      </defs>
      <rect :width="COLUMNS * CELL" :height="ROWS * LINE" class="fill-night" />
      <g
        v-for="span in drawn"
        :key="span.fixture"
        role="img"
        :aria-label="`Fixture ${span.number}, channels ${span.first} to ${span.last}${span.isSelected ? ', selected' : ''}`"
        class="cursor-pointer"
        @click="emit('select', span.fixture, $event.shiftKey || $event.ctrlKey || $event.metaKey)"
      >
        <title v-if="levels">{{ levels.subarray(span.first - 1, span.last).join(' ') }}</title>
        <rect
          v-for="(run, i) in span.runs"
          :key="i"
          :x="run.column * CELL"
          :y="run.row * LINE"
          :width="run.width * CELL"
          :height="LINE"
          :class="span.isSelected ? 'fill-coral-deep' : span.tint"
          :fill-opacity="span.isSelected ? 1 : span.strength"
        />
      </g>
      <path :d="grid" class="stroke-rule/50" pointer-events="none" />
      <path v-if="levels" :d="bars" class="fill-brass" fill-opacity="0.5" pointer-events="none" />
      <g v-for="span in drawn" :key="`t${span.fixture}`" pointer-events="none">
        <path
          v-if="span.runs[0]"
          :d="`M${span.runs[0].column * CELL} ${span.runs[0].row * LINE}v${LINE}`"
          :class="span.isSelected ? 'stroke-coral' : 'stroke-mist'"
          stroke-width="2"
        />
        <text
          v-if="span.runs[0]"
          :x="span.runs[0].column * CELL + 3"
          :y="span.runs[0].row * LINE + 11"
          class="halo font-mono text-[10px]"
          :class="span.isSelected ? 'fill-coral' : 'fill-sail'"
        >
          {{ span.number }}
        </text>
      </g>
      <rect
        v-for="(run, i) in clashes"
        :key="`c${i}`"
        :x="run.column * CELL"
        :y="run.row * LINE"
        :width="run.width * CELL"
        :height="LINE"
        :fill="`url(#clash${universe})`"
        class="stroke-coral"
        pointer-events="none"
      />
      <path
        v-if="over.length"
        :d="`M${COLUMNS * CELL - 1} ${(ROWS - 1) * LINE}v${LINE}`"
        class="stroke-coral"
        stroke-width="4"
        pointer-events="none"
      />
      <text
        v-for="row in ROWS"
        :key="`r${row}`"
        x="-4"
        :y="row * LINE - 4"
        text-anchor="end"
        class="fill-haze font-mono text-[9px]"
      >
        {{ (row - 1) * COLUMNS + 1 }}
      </text>
    </svg>
    <p v-for="span in over" :key="span.fixture" class="text-xs text-coral">
      Fixture {{ span.number }} runs {{ span.over }} channels past {{ UNIVERSE_SIZE }}; they never arrive.
    </p>
  </section>
</template>
