<script setup lang="ts">
/** Hangs with their places. */
import { computed } from 'vue'
import { hangsOf, type RiggedHang } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { asHangId } from '#core/show/ids'
import type { GridColumn } from '../../../composables/table/gridColumn'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../../composables/forms/numbers'
import { HANG_FORMS } from '../../../composables/rig/rigWords'
import { useCommit } from '../../../composables/forms/useCommit'
import { useChosen } from '../../../stores/chosen'
import GridTable from '../../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const chosen = useChosen()
const { keep, offer } = useCommit()

const rows = computed(() => hangsOf(props.show))
const selected = computed(() => new Set([chosen.idOf('hang') ?? '']))
const formName = ({ hang }: RiggedHang) => HANG_FORMS.find(({ key }) => key === hang.form)?.name ?? ''

function measured(key: string, name: string, width: number, of: (row: RiggedHang) => number): GridColumn<RiggedHang> {
  return { key, name, width, isNumber: true, edit: 'text', text: (row) => shortNumber(of(row), 3), rank: of }
}
const columns: readonly GridColumn<RiggedHang>[] = [
  { key: 'name', name: 'Name', width: 140, edit: 'text', text: ({ hang }) => hang.name },
  { key: 'form', name: 'Kind', width: 90, edit: HANG_FORMS.map(({ name }) => name), text: formName },
  measured('x', 'Across', 80, ({ place }) => place.origin.x),
  measured('y', 'Upstage', 80, ({ place }) => place.origin.y),
  measured('z', 'Trim height', 90, ({ place }) => place.origin.z),
  measured('length', 'Length', 80, ({ place }) => place.length),
  measured('yaw', 'Turned', 80, ({ place }) => place.yaw),
  measured('rise', 'Rising', 80, ({ place }) => place.rise),
  {
    key: 'count',
    name: 'Fixtures',
    width: 80,
    isNumber: true,
    text: ({ fixtures }) => String(fixtures.length),
    rank: ({ fixtures }) => fixtures.length,
  },
]

async function commitCell(ids: readonly string[], column: string, text: string): Promise<string | null> {
  const row = rows.value.find(({ id }) => id === ids[0])
  if (!row) return null
  const { id: hang, place } = row
  const { name, form } = row.hang
  if (column === 'name') return keep('changeHang', { hang, name: text, form })
  if (column === 'form')
    return keep('changeHang', { hang, name, form: HANG_FORMS.find((f) => f.name === text)?.key ?? form })
  const value = numberTyped(text)
  if (value === null) return NOT_A_NUMBER
  const isAxis = column === 'x' || column === 'y' || column === 'z'
  if (isAxis) return offer('moveHang', { hang, origin: { ...place.origin, [column]: value } })
  return offer('moveHang', { hang, origin: place.origin, [column]: value })
}

function select(ids: readonly string[]) {
  const [id] = ids.slice(-1)
  if (id === undefined) chosen.clear()
  else chosen.choose({ kind: 'hang', id: asHangId(id) })
}
</script>

<template>
  <GridTable
    label="Hangs"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="commitCell"
    empty="No hangs yet. A hang is a bar, a bridge, a boom or a row on the floor; fixtures hang on it."
    @select="select"
  >
    <template #bar><slot /></template>
  </GridTable>
</template>
