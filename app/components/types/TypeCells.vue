<script setup lang="ts">
/** The cells of a type: how many, how far apart, and what each does by itself. */
import { LEADING } from '#core/attributes/catalogue'
import { computed } from 'vue'
import { attributeName, kindOf, type Attribute } from '#core/attributes/attribute'
import type { FixtureType } from '#core/show/entities'

const props = defineProps<{
  type: FixtureType
  keep: (change: Partial<FixtureType>, path: string) => Promise<string | null>
}>()
type Cells = NonNullable<FixtureType['cells']>

/** A fixture has one position. */
const able = computed(() => props.type.has.filter((attribute) => kindOf(attribute).unit !== 'place'))
/** What bars of cells have mostly. */
const usual = computed(() =>
  able.value.filter((attribute) => attribute === LEADING.light || attribute === LEADING.colour),
)
const set = (cells: Cells | null) => props.keep({ cells }, 'cells')
const change = (part: Partial<Cells>) => {
  const { cells } = props.type
  return cells ? set({ ...cells, ...part }) : Promise.resolve(null)
}
const give = () =>
  set({ count: 4, pitch: 0.1, has: usual.value.length > 0 ? [...usual.value] : able.value.slice(0, 1) })

function turn(attribute: Attribute) {
  const own = props.type.cells?.has ?? []
  const has = own.includes(attribute) ? own.filter((one) => one !== attribute) : [...own, attribute]
  // What has nothing of its own is one piece.
  void (has.length > 0 ? change({ has }) : set(null))
}

/** Beyond this many, squares are too small to tell. */
const MOST_DRAWN = 60
const drawn = computed(() => {
  const count = Math.min(props.type.cells?.count ?? 0, MOST_DRAWN)
  const size = Math.min(16, 300 / Math.max(1, count))
  return Array.from({ length: count }, (_, i) => ({ number: i + 1, x: i * (size + 2), size }))
})
const width = computed(() => {
  const last = drawn.value.at(-1)
  return last ? last.x + last.size : 0
})
</script>

<template>
  <section aria-labelledby="type-cells" class="flex flex-col gap-2">
    <div class="flex items-center gap-2">
      <h3 id="type-cells" class="text-sm font-semibold">Cells</h3>
      <button v-if="type.cells" type="button" class="chip" @click="set(null)">Make it one piece</button>
      <button v-else type="button" class="chip" :disabled="able.length === 0" @click="give">Give it cells</button>
    </div>
    <p v-if="!type.cells" class="text-sm text-mist">
      One light source. A bar of pixels has several: each with its own intensity and colour, selected as 12.1.
    </p>
    <template v-else>
      <div class="grid grid-cols-[92px_116px_1fr] items-end gap-2">
        <NumberField
          label="How many"
          unit=""
          :digits="0"
          :value="type.cells.count"
          :keep="(count) => change({ count })"
        />
        <NumberField
          label="Middle to middle"
          unit="m"
          :digits="3"
          :value="type.cells.pitch"
          :keep="(pitch) => change({ pitch })"
        />
        <svg
          :viewBox="`-4 -8 ${width + 8} 32`"
          class="h-8 justify-self-start"
          role="img"
          :aria-label="`${type.cells.count} cells in a row, ${((type.cells.count - 1) * type.cells.pitch).toFixed(2)} m long`"
        >
          <rect x="-3" y="-3" :width="width + 6" height="22" rx="3" class="fill-none stroke-rule-2" />
          <g v-for="{ number, x, size } in drawn" :key="number">
            <rect :x="x" :y="8 - size / 2" :width="size" :height="size" rx="1.5" class="fill-kelp-deep stroke-kelp" />
            <text
              v-if="size >= 12"
              :x="x + size / 2"
              y="11"
              text-anchor="middle"
              class="fill-sail font-mono text-[8px]"
            >
              {{ number }}
            </text>
          </g>
        </svg>
      </div>
      <div class="flex flex-wrap items-center gap-1.5" role="group" aria-label="What each cell has for itself">
        <span class="text-sm text-mist">Each has its own</span>
        <button
          v-for="attribute in able"
          :key="attribute"
          type="button"
          class="chip"
          :class="type.cells.has.includes(attribute) ? 'border-kelp bg-kelp-deep' : ''"
          :aria-pressed="type.cells.has.includes(attribute)"
          @click="turn(attribute)"
        >
          {{ attributeName(attribute) }}
        </button>
      </div>
      <p class="text-sm text-mist">
        What is not chosen here, and where it points, the fixture has as a whole. In a mode, give the channels of the
        first cell the cell 1 and repeat them.
      </p>
    </template>
  </section>
</template>
