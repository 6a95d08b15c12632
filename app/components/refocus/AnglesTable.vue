<script setup lang="ts">
/** Places stored as raw angles, which follow nothing: what each lights, and what it would be tied to. */
import { computed, ref } from 'vue'
import { metresInWords, offsetInWords } from '#core/geometry/lengthInWords'
import type { CommandInput } from '#core/commands/registry'
import { NEARBY, rawAngles, type RawAngles } from '#core/refocus/rawAngles'
import { numberOfFixture } from '#core/show/cells'
import { showRecordOf, type Show } from '#core/show/show'
import { anglesIn } from '#core/show/perVenue'
import NumberField from '../fields/NumberField.vue'
import { useCommit } from '../../composables/forms/useCommit'
import type { GridColumn } from '../../composables/table/gridColumn'
import GridTable from '../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const { keep } = useCommit()
const selected = ref<ReadonlySet<string>>(new Set())
const within = ref(NEARBY)
const trouble = ref<string | null>(null)

interface Row extends RawAngles {
  readonly id: string
}
const rows = computed<Row[]>(() =>
  rawAngles(props.show, within.value).map((one) => ({ id: `${one.palette ?? one.cue} ${one.fixture}`, ...one })),
)
function whereOf({ palette, cue }: Row): string {
  const known = props.show.all.palette.get(palette ?? '')
  return known ? `${known.number} ${known.name}` : `cue ${props.show.all.cue.get(cue ?? '')?.number ?? ''}`
}
function landsOn({ tie }: Row): string {
  if (typeof tie === 'string') return tie
  return tie.on.kind === 'set' ? (props.show.all.setPiece.get(tie.on.piece)?.name ?? '') : tie.on.name
}
function becomes({ tie }: Row): string {
  if (typeof tie === 'string') return '–'
  const { target } = tie.aim
  const offset = offsetInWords(tie.aim.offset)
  if (target === null) return `a free place, ${offset || 'the origin'}`
  return `at ${props.show.all.target.get(target)?.name ?? ''}${offset ? `, ${offset}` : ''}`
}
const isTied = ({ tie }: Row) => typeof tie !== 'string'
const columns = computed<readonly GridColumn<Row>[]>(() => [
  { key: 'where', name: 'In', width: 170, text: whereOf },
  {
    ...{ key: 'fixture', name: 'Fixture', width: 70, isNumber: true },
    text: ({ fixture }) => numberOfFixture(props.show, fixture),
    rank: ({ fixture }) => props.show.all.fixture.get(fixture)?.number ?? null,
  },
  {
    ...{ key: 'angles', name: 'Pan, tilt', width: 120, isNumber: true },
    text: ({ value }) => {
      const { pan, tilt } = anglesIn(value, showRecordOf(props.show).venue)
      return `${pan.toFixed(1)}°, ${tilt.toFixed(1)}°`
    },
  },
  {
    ...{ key: 'on', name: 'Lands on', width: 140, text: landsOn },
    trouble: (row) => (isTied(row) ? null : landsOn(row)),
  },
  { key: 'becomes', name: 'Becomes an aim', width: 330, text: becomes },
  {
    ...{ key: 'off', name: 'Off the target', width: 110, isNumber: true },
    text: ({ tie }) => (typeof tie === 'string' || tie.metres === null ? '–' : metresInWords(tie.metres)),
    rank: ({ tie }) => (typeof tie === 'string' ? null : tie.metres),
  },
])
const meant = computed(() =>
  selected.value.size > 0 ? rows.value.filter(({ id }) => selected.value.has(id)) : rows.value,
)
const count = computed(() => meant.value.filter(isTied).length)

async function tie() {
  const values = meant.value.flatMap(({ palette, cue, fixture }): NonNullable<CommandInput<'tieToStage'>['values']> =>
    palette !== null ? [{ palette, fixture }] : cue !== null ? [{ cue, fixture }] : [],
  )
  trouble.value = await keep('tieToStage', { values, within: within.value })
  selected.value = new Set()
}
async function keepWithin(metres: number): Promise<string | null> {
  if (metres < 0 || metres > 20) return 'From 0 to 20 m.'
  within.value = metres
  return null
}
const venue = computed(() => props.show.all.venue.get(showRecordOf(props.show).venue)?.name ?? '')
const NOTHING_TO_TYPE = async () => null
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <GridTable
      label="Raw angles"
      class="min-h-0 flex-1"
      :rows="rows"
      :columns="columns"
      :selected="selected"
      :keep="NOTHING_TO_TYPE"
      empty="Every place is an aim: all of them follow the stage."
      @select="(ids) => (selected = new Set(ids))"
    >
      <template #bar>
        <div class="w-36">
          <NumberField label="A target counts within" unit="m" :value="within" :digits="2" :keep="keepWithin" />
        </div>
        <button type="button" class="chip chip-on self-end" :disabled="count === 0" @click="tie">
          Tie {{ count }} to the stage
        </button>
        <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
      </template>
    </GridTable>
    <p class="border-t border-rule px-4 py-1.5 text-sm text-mist">
      They are tied as they light at {{ venue }}, where no head turns for it; from then on it follows the set, the trims
      and the venue. What lands nowhere stays as it is.
    </p>
  </div>
</template>
