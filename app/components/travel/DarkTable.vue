<script setup lang="ts">
/** What is in place before it lights, and what is seen to come there, cue by cue: as it is, or as a plan would have it. */
import { computed } from 'vue'
import { numbersInWords } from '#core/selection/written'
import { listInWords } from '#core/show/listInWords'
import type { Show } from '#core/show/show'
import type { DarkLine } from '#core/travel/dark'
import type { GridColumn } from '../../composables/table/gridColumn'
import { outcomeInWords, whereInWords } from '../../composables/travel/darkWords'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useDarkPlan } from '../../stores/darkPlan'
import GridTable from '../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const plan = useDarkPlan()
const room = useCuesRoom()

interface Row extends DarkLine {
  readonly id: string
}
const rows = computed<Row[]>(() => plan.shown.map((line) => ({ id: line.key, ...line })))
const cueOf = ({ cue }: Row) => props.show.all.cue.get(cue)

const columns = computed<readonly GridColumn<Row>[]>(() => [
  {
    ...{ key: 'cue', name: 'Lights in', width: 76, isNumber: true },
    text: (row) => String(cueOf(row)?.number ?? ''),
    rank: (row) => row.at,
  },
  { key: 'name', name: 'Name', width: 170, text: (row) => cueOf(row)?.name ?? '' },
  { key: 'fixtures', name: 'Fixtures', width: 120, text: ({ fixtures }) => numbersInWords(props.show, fixtures) },
  { key: 'what', name: 'What', width: 170, text: ({ families }) => listInWords(families) },
  {
    ...{ key: 'where', name: 'Moves', width: 140 },
    text: (row) => whereInWords(tried.value, row),
    rank: ({ goesIn, at }) => (goesIn ? (tried.value.all.cue.get(goesIn.cue)?.number ?? at) : null),
  },
  {
    ...{ key: 'needs', name: 'Needs, s', width: 72, isNumber: true },
    text: ({ needs }) => needs.toFixed(1),
    rank: ({ needs }) => needs,
  },
  {
    ...{ key: 'outcome', name: 'So it is', width: 230 },
    text: outcomeInWords,
    trouble: (row) => (row.fault ? outcomeInWords(row) : null),
  },
])
const tried = computed(() => plan.tried ?? props.show)

function select(ids: readonly string[]) {
  plan.chosenLines = plan.shown.filter(({ key }) => ids.includes(key))
  const [first] = plan.chosenLines
  if (first) room.look(first.cue)
}
const NOTHING_TO_TYPE = async () => null
</script>

<template>
  <GridTable
    label="Moves in the dark"
    :rows="rows"
    :columns="columns"
    :selected="plan.chosen"
    :keep="NOTHING_TO_TYPE"
    empty="Everything is in place when it lights."
    @select="select"
  />
</template>
