<script setup lang="ts">
/** Set pieces with their places and layers. */
import { computed } from 'vue'
import { asLayerId, asSetPieceId } from '#core/show/ids'
import { setPiecesOf, type PlacedSetPiece } from '#core/show/setPieces'
import type { Show } from '#core/show/show'
import type { GridColumn } from '../../../composables/table/gridColumn'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../../composables/forms/numbers'
import { SOLID_KINDS } from '../../../composables/rig/rigWords'
import { useCommit } from '../../../composables/forms/useCommit'
import { useChosen } from '../../../stores/chosen'
import GridTable from '../../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const chosen = useChosen()
const { keep, offer } = useCommit()

const NO_LAYER = 'No layer'
const rows = computed(() => [...setPiecesOf(props.show)].sort((a, b) => a.piece.name.localeCompare(b.piece.name)))
const selected = computed(() => new Set([chosen.idOf('setPiece') ?? '']))
const made = ({ piece }: PlacedSetPiece) =>
  [...new Set(piece.solids.map((solid) => SOLID_KINDS.find(({ key }) => key === solid.kind)?.name ?? ''))].join(', ')
const targetsOn = ({ id }: PlacedSetPiece) =>
  [...props.show.all.target.values()].filter((target) => target.setPiece === id).length

function measured(key: string, name: string, of: (row: PlacedSetPiece) => number): GridColumn<PlacedSetPiece> {
  return { key, name, width: 80, isNumber: true, edit: 'text', text: (row) => shortNumber(of(row), 3), rank: of }
}
const columns = computed<GridColumn<PlacedSetPiece>[]>(() => [
  { key: 'name', name: 'Name', width: 150, edit: 'text', text: ({ piece }) => piece.name },
  { key: 'made', name: 'Made of', width: 150, text: made },
  {
    key: 'layer',
    name: 'Layer',
    width: 110,
    edit: [NO_LAYER, ...[...props.show.all.layer.values()].map(({ name }) => name)],
    text: ({ piece }) => props.show.all.layer.get(piece.layer ?? '')?.name ?? '',
  },
  measured('x', 'Across', ({ place }) => place.position.x),
  measured('y', 'Upstage', ({ place }) => place.position.y),
  measured('z', 'Height', ({ place }) => place.position.z),
  measured('yaw', 'Turned', ({ place }) => place.yaw),
  {
    key: 'targets',
    name: 'Targets',
    width: 80,
    isNumber: true,
    text: (row) => String(targetsOn(row)),
    rank: targetsOn,
  },
])

async function commitCell(ids: readonly string[], column: string, text: string): Promise<string | null> {
  const row = rows.value.find(({ id }) => id === ids[0])
  if (!row) return null
  const { id: setPiece, place } = row
  if (column === 'name') return keep('changeSetPiece', { setPiece, name: text })
  if (column === 'layer') {
    const layer = [...props.show.all.layer].find(([, { name }]) => name === text)?.[0]
    return keep('changeSetPiece', { setPiece, layer: layer ? asLayerId(layer) : null })
  }
  const value = numberTyped(text)
  if (value === null) return NOT_A_NUMBER
  if (column === 'yaw') return offer('moveSetPiece', { setPiece, position: place.position, yaw: value })
  return offer('moveSetPiece', { setPiece, position: { ...place.position, [column]: value }, yaw: place.yaw })
}

function select(ids: readonly string[]) {
  const [id] = ids.slice(-1)
  if (id === undefined) chosen.clear()
  else chosen.choose({ kind: 'setPiece', id: asSetPieceId(id) })
}
</script>

<template>
  <GridTable
    label="Set pieces"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="commitCell"
    empty="No set pieces yet. Simple solids are enough to judge by; targets can be tied to them."
    @select="select"
  >
    <template #bar><slot /></template>
  </GridTable>
</template>
