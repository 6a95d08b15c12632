<script setup lang="ts">
/** How long the wheels, lenses and blades of a type take from one end to the other: by that moves in the dark are planned. */
import { computed, shallowRef } from 'vue'
import { attributeName, isNumberAttribute, type NumberAttribute } from '#core/attributes/attribute'
import { rangeSaid } from '#core/show/attributeRange'
import type { FixtureType } from '#core/show/entities'
import { endToEndOf } from '#core/show/settleTime'
import type { GridColumn } from '../../composables/table/gridColumn'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../composables/forms/numbers'
import GridTable from '../grid/GridTable.vue'

interface Row {
  readonly id: NumberAttribute
  readonly seconds: number
}

const props = defineProps<{
  type: FixtureType
  keep: (change: Partial<FixtureType>, path: string) => Promise<string | null>
}>()
const selected = shallowRef<ReadonlySet<string>>(new Set())

const rows = computed<Row[]>(() =>
  props.type.has.filter(isNumberAttribute).flatMap((id) => {
    const seconds = endToEndOf(props.type, id)
    return seconds === null ? [] : [{ id, seconds }]
  }),
)
const columns: readonly GridColumn<Row>[] = [
  { key: 'name', name: 'From end to end', width: 190, text: ({ id }) => attributeName(id) },
  {
    ...{ key: 'seconds', name: 'Seconds', width: 90, isNumber: true, edit: 'text' },
    text: ({ seconds }) => shortNumber(seconds, 2),
    rank: ({ seconds }) => seconds,
  },
]

async function commitCell(ids: readonly string[], _column: string, text: string): Promise<string | null> {
  const endToEnd = numberTyped(text)
  if (endToEnd === null) return NOT_A_NUMBER
  const others = props.type.ranges.filter(({ attribute }) => !ids.includes(attribute))
  const changed = rows.value.filter(({ id }) => ids.includes(id))
  return props.keep(
    { ranges: [...others, ...changed.map(({ id }) => ({ ...rangeSaid(props.type, id), endToEnd }))] },
    'ranges',
  )
}
</script>

<template>
  <GridTable
    v-if="rows.length > 0"
    class="max-w-96 rounded-lg border border-rule"
    :style="{ height: `${Math.min(8, rows.length) * 28 + 70}px` }"
    label="From end to end"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="commitCell"
    empty="No motor moves anything of it."
    @select="(ids) => (selected = new Set(ids))"
  />
</template>
