<script setup lang="ts">
/** Targets with their places on the stage. */
import { computed } from 'vue'
import { asTargetId } from '#core/show/ids'
import { dependentsOfTarget } from '#core/show/dependents'
import { targetsOf, type PlacedTarget } from '#core/show/targets'
import type { Show } from '#core/show/show'
import type { GridColumn } from '../../../composables/table/gridColumn'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../../composables/forms/numbers'
import { TARGET_FORMS } from '../../../composables/rig/rigWords'
import { useCommit } from '../../../composables/forms/useCommit'
import { useChosen } from '../../../stores/chosen'
import GridTable from '../../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const chosen = useChosen()
const { keep, offer } = useCommit()

const rows = computed(() =>
  [...targetsOf(props.show).values()].sort((a, b) => a.target.name.localeCompare(b.target.name)),
)
const selected = computed(() => new Set([chosen.idOf('target') ?? '']))
const palettes = computed(
  () => new Map(rows.value.map(({ id }) => [id, dependentsOfTarget(props.show, id).palettes.length] as const)),
)

function measured(key: 'x' | 'y' | 'z', name: string): GridColumn<PlacedTarget> {
  const of = ({ position }: PlacedTarget) => position[key]
  return { key, name, width: 80, isNumber: true, edit: 'text', text: (row) => shortNumber(of(row), 3), rank: of }
}
const stations = ({ target: { form } }: PlacedTarget) => (form.kind === 'point' ? 0 : form.stations)
const columns: readonly GridColumn<PlacedTarget>[] = [
  { key: 'name', name: 'Name', width: 150, edit: 'text', text: ({ target }) => target.name },
  {
    key: 'form',
    name: 'Form',
    width: 70,
    text: ({ target }) => TARGET_FORMS.find(({ key }) => key === target.form.kind)?.name ?? '',
  },
  {
    key: 'stations',
    name: 'Stations',
    width: 74,
    isNumber: true,
    text: (row) => String(stations(row) || ''),
    rank: stations,
  },
  {
    key: 'tied',
    name: 'Tied to',
    width: 110,
    text: ({ target }) => props.show.all.setPiece.get(target.setPiece ?? '')?.name ?? '',
  },
  measured('x', 'Across'),
  measured('y', 'Upstage'),
  measured('z', 'Height'),
  {
    key: 'palettes',
    name: 'Palettes',
    width: 80,
    isNumber: true,
    text: ({ id }) => String(palettes.value.get(id) ?? 0),
    rank: ({ id }) => palettes.value.get(id) ?? 0,
  },
]

async function commitCell(ids: readonly string[], column: string, text: string): Promise<string | null> {
  const row = rows.value.find(({ id }) => id === ids[0])
  if (!row) return null
  if (column === 'name') return keep('changeTarget', { target: row.id, name: text })
  const value = numberTyped(text)
  if (value === null) return NOT_A_NUMBER
  return offer('moveTarget', { target: row.id, position: { ...row.position, [column]: value } })
}

function select(ids: readonly string[]) {
  const [id] = ids.slice(-1)
  if (id === undefined) chosen.clear()
  else chosen.choose({ kind: 'target', id: asTargetId(id) })
}
</script>

<template>
  <GridTable
    label="Targets"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="commitCell"
    empty="No targets yet. A target is a named place light is aimed at: name the first one."
    @select="select"
  >
    <template #bar><slot /></template>
  </GridTable>
</template>
