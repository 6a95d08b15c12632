<script setup lang="ts">
/** What another venue does to each palette, what hurts most first. */
import { computed, ref } from 'vue'
import { LOSS_WORDS, LOSSES, lossesOf, type PaletteDifference } from '#core/refocus/difference'
import { differenceTable } from '#core/exchange/differenceTable'
import { showRecordOf, type Show } from '#core/show/show'
import { lossesInWords, measured, mostTurned } from '../../composables/refocus/differenceWords'
import { downloadTable } from '../../composables/table/downloadTable'
import type { GridColumn } from '../../composables/table/gridColumn'
import { useDifference } from '../../stores/difference'
import GridTable from '../grid/GridTable.vue'
import CheckBar from '../travel/CheckBar.vue'
import DifferenceDetail from './DifferenceDetail.vue'
import VenuePair from './VenuePair.vue'

const props = defineProps<{ show: Show }>()
const difference = useDifference()
const selected = ref<ReadonlySet<string>>(new Set())
difference.follow()

interface Row extends PaletteDifference {
  readonly id: string
  /** Its place among those that hurt most. */
  readonly place: number
}
const rows = computed<Row[]>(() => difference.shown.map((one, place) => ({ id: one.palette, place, ...one })))
const paletteOf = ({ palette }: Row) => props.show.all.palette.get(palette)

function pair(key: 'throwMetres' | 'poolMetres' | 'lux', name: string, width: number, digits: number): GridColumn<Row> {
  const change = (row: Row) => {
    const both = measured(row, key)
    return both && both[1] - both[0]
  }
  return {
    ...{ key, name, width, isNumber: true },
    text: (row) =>
      measured(row, key)
        ?.map((number) => number.toFixed(digits))
        .join(' → ') ?? '–',
    rank: change,
  }
}
const columns = computed<readonly GridColumn<Row>[]>(() => [
  {
    ...{ key: 'number', name: 'No.', width: 54, isNumber: true },
    text: (row) => String(paletteOf(row)?.number ?? ''),
    rank: (row) => paletteOf(row)?.number ?? null,
  },
  { key: 'name', name: 'Palette', width: 150, text: (row) => paletteOf(row)?.name ?? '' },
  {
    ...{ key: 'losses', name: 'What is worse there', width: 260 },
    text: (row) => lossesInWords(props.show, row) || '–',
    rank: ({ place }) => place,
    trouble: (row) => lossesInWords(props.show, row) || null,
  },
  {
    ...{ key: 'turn', name: 'Turns, °', width: 76, isNumber: true },
    text: (row) => mostTurned(row).toFixed(1),
    rank: mostTurned,
  },
  pair('throwMetres', 'Mean throw, m', 116, 2),
  pair('poolMetres', 'Mean pool, m', 110, 2),
  pair('lux', 'Mean lux', 116, 0),
])

/** The losses there are, with how many palettes have each. */
const chips = computed(() => [
  { key: 'all' as const, name: 'all', count: difference.found.length },
  ...LOSSES.map((key) => ({
    key,
    name: LOSS_WORDS[key],
    count: difference.found.filter(({ fixtures }) => fixtures.some((one) => lossesOf(one).includes(key))).length,
  })).filter(({ count, key }) => count > 0 || difference.filter === key),
])
/** The line that is opened: the one chosen, alone. */
const opened = computed(() => {
  const [only] = selected.value
  return selected.value.size === 1 ? (difference.found.find(({ palette }) => palette === only) ?? null) : null
})
function download() {
  const { here, there } = difference
  if (!here || !there) return
  const name = `${showRecordOf(props.show).name}, difference`
  downloadTable(name, differenceTable(props.show, difference.found, here, there))
}
const NOTHING_TO_TYPE = async () => null
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <p
      v-if="difference.there === null"
      class="m-4 grid flex-1 place-items-center rounded-lg border border-dashed border-rule-2 text-mist"
    >
      A show with one venue has nothing to compare. Add another, as this one or empty.
    </p>
    <div
      v-if="difference.there !== null"
      class="flex flex-wrap gap-1 border-b border-rule bg-deck px-3 py-1.5"
      role="radiogroup"
      aria-label="What is worse"
    >
      <button
        v-for="{ key, name, count } in chips"
        :key="key"
        type="button"
        role="radio"
        class="chip px-2"
        :class="difference.filter === key ? 'chip-on' : ''"
        :aria-checked="difference.filter === key"
        @click="difference.filter = key"
      >
        {{ name }} <span class="font-mono text-xs">{{ count }}</span>
      </button>
    </div>
    <GridTable
      v-if="difference.there !== null"
      label="Difference of two venues"
      class="min-h-0 flex-1"
      :rows="rows"
      :columns="columns"
      :selected="selected"
      :keep="NOTHING_TO_TYPE"
      :empty="difference.part === null ? 'No palette gives a place.' : 'Looking through the palettes.'"
      @select="(ids) => (selected = new Set(ids))"
    >
      <template #bar>
        <VenuePair />
        <div v-if="difference.part !== null" class="flex w-40 items-center gap-2">
          <CheckBar :part="difference.part" label="Looking through the palettes" />
          <button type="button" class="chip px-1.5" @click="difference.stop()">Stop</button>
        </div>
        <button
          v-else
          type="button"
          class="chip whitespace-nowrap"
          :disabled="difference.found.length === 0"
          @click="download"
        >
          To a table
        </button>
      </template>
    </GridTable>
    <DifferenceDetail
      v-if="opened && difference.here && difference.there"
      class="min-h-0 flex-[1.3]"
      :show="show"
      :difference="opened"
      :here="difference.here"
      :there="difference.there"
      @close="selected = new Set()"
    />
  </div>
</template>
