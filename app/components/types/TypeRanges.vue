<script setup lang="ts">
/** Between which ends a type does what is measured in degrees, hertz and the like, and what it rests at. */
import { LEADING } from '#core/attributes/catalogue'
import { computed, shallowRef } from 'vue'
import { attributeName, isNumberAttribute, kindOf, type NumberAttribute } from '#core/attributes/attribute'
import { rangeOf, rangeSaid, type AttributeRange } from '#core/show/attributeRange'
import type { FixtureType } from '#core/show/entities'
import type { GridColumn } from '../../composables/table/gridColumn'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../composables/forms/numbers'
import { UNIT_SIGNS } from '../../composables/forms/unitNames'
import GridTable from '../grid/GridTable.vue'

interface Row {
  readonly id: NumberAttribute
  readonly range: AttributeRange
}

const props = defineProps<{
  type: FixtureType
  keep: (change: Partial<FixtureType>, path: string) => Promise<string | null>
}>()
const selected = shallowRef<ReadonlySet<string>>(new Set())

/** A zoom is as its lenses are. */
const MEASURED = ['degrees', 'turn', 'rpm', 'hertz', 'kelvin']
const rows = computed<Row[]>(() =>
  props.type.has
    .filter(isNumberAttribute)
    .filter((attribute) => attribute !== LEADING.width && MEASURED.includes(kindOf(attribute).unit))
    .map((attribute) => ({ id: attribute, range: rangeOf(props.type, attribute) })),
)

function measured(key: 'min' | 'max' | 'home' | 'fastest', name: string): GridColumn<Row> {
  return {
    key,
    name,
    width: 90,
    isNumber: true,
    edit: 'text',
    text: ({ range }) => (range[key] === null ? '' : shortNumber(range[key], 3)),
    rank: ({ range }) => range[key],
  }
}
const columns: readonly GridColumn<Row>[] = [
  { key: 'name', name: 'Between which ends', width: 190, text: ({ id }) => attributeName(id) },
  { key: 'unit', name: 'In', width: 60, text: ({ range }) => UNIT_SIGNS[range.unit] },
  measured('min', 'From'),
  measured('max', 'To'),
  measured('home', 'Rests at'),
  measured('fastest', 'Spins, rpm'),
]

async function commitCell(ids: readonly string[], column: string, text: string): Promise<string | null> {
  const value = numberTyped(text)
  if (value === null) return NOT_A_NUMBER
  const changed = rows.value.filter(({ id }) => ids.includes(id))
  const others = props.type.ranges.filter(({ attribute }) => !ids.includes(attribute))
  const made = changed.map(({ id, range: { fastest } }) => {
    const before = rangeSaid(props.type, id)
    if (column === 'fastest') return { ...before, fastest: fastest === null ? null : value }
    return column === 'min' || column === 'max' ? { ...before, [column]: value } : { ...before, rest: value }
  })
  return props.keep({ ranges: [...others, ...made] }, 'ranges')
}
</script>

<template>
  <GridTable
    v-if="rows.length > 0"
    class="rounded-lg border border-rule"
    :style="{ height: `${Math.min(8, rows.length) * 28 + 70}px` }"
    label="Between which ends"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="commitCell"
    empty="Nothing it does is measured."
    @select="(ids) => (selected = new Set(ids))"
  />
</template>
