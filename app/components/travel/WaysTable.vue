<script setup lang="ts">
/** How much each head would turn by better ways round, before and after. */
import { computed } from 'vue'
import { fixtureNumber } from '#core/show/cells'
import { asFixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { Turning, Unwound } from '#core/travel/unwinding'
import type { GridColumn } from '../../composables/table/gridColumn'
import { useSelection } from '../../stores/selection'
import { useUnwinding } from '../../stores/unwinding'
import GridTable from '../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const unwinding = useUnwinding()
const selection = useSelection()

interface Row extends Unwound {
  readonly id: string
}
const rows = computed<Row[]>(() => (unwinding.found ?? []).map((one) => ({ id: one.fixture, ...one })))
const selected = computed(() => new Set<string>(selection.order.keys()))

function compared(key: keyof Turning, name: string, width: number, digits: number): GridColumn<Row> {
  return {
    ...{ key, name, width, isNumber: true },
    text: ({ before, after }) => `${before[key].toFixed(digits)} → ${after[key].toFixed(digits)}`,
    rank: ({ before, after }) => after[key] - before[key],
  }
}
const columns = computed<readonly GridColumn<Row>[]>(() => [
  {
    ...{ key: 'fixture', name: 'Head', width: 70, isNumber: true },
    text: ({ fixture }) => {
      const known = props.show.all.fixture.get(fixture)
      return known ? fixtureNumber(known) : ''
    },
    rank: ({ fixture }) => props.show.all.fixture.get(fixture)?.number ?? 0,
  },
  compared('longest', 'Longest seen, s', 140, 1),
  compared('seen', 'All seen, s', 140, 1),
  compared('degrees', 'Turning, °', 150, 0),
  compared('longWays', 'Past half round', 130, 0),
  compared('bent', 'Straight, not kept', 140, 0),
  {
    ...{ key: 'cues', name: 'In cues', width: 150 },
    text: ({ ways }) => ways.map(({ cue }) => props.show.all.cue.get(cue)?.number ?? '').join(', '),
    rank: ({ ways }) => ways.length,
  },
])
const NOTHING_TO_TYPE = async () => null
</script>

<template>
  <GridTable
    label="Better ways round"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="NOTHING_TO_TYPE"
    :empty="
      unwinding.found === null
        ? 'Look for better ways: each head then stands here, as it turns now and as it would.'
        : 'Every head turns as little as it can.'
    "
    @select="(ids) => selection.set(ids.map(asFixtureId))"
  />
</template>
