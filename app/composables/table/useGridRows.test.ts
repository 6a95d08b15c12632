import { ref } from 'vue'
import { describe, expect, it } from 'vitest'
import type { GridColumn } from './gridColumn'
import { useGridRows } from './useGridRows'

interface Row {
  readonly name: string
  readonly hang: string
  readonly address: number | null
}
const rows = ref<Row[]>([
  { name: 'Tern 2', hang: 'Bar 1', address: 90 },
  { name: 'Tern 10', hang: 'Bar 2', address: null },
  { name: 'Dunlin 1', hang: 'Bar 2', address: 8 },
])
const columns: readonly GridColumn<Row>[] = [
  { key: 'name', name: 'Name', width: 1, text: ({ name }) => name },
  { key: 'hang', name: 'Hang', width: 1, text: ({ hang }) => hang },
  { key: 'address', name: 'Address', width: 1, text: ({ address }) => String(address ?? ''), rank: (r) => r.address },
]

function grid() {
  const made = useGridRows(
    () => rows.value,
    () => columns,
  )
  return { ...made, names: () => made.shown.value.map(({ name }) => name) }
}

describe('the rows of a table', () => {
  it('are found by what stands in one cell, else by words in any', () => {
    const { filter, names } = grid()
    filter.value = 'bar 1'
    expect(names()).toEqual(['Tern 2'])
    filter.value = '2 tern bar'
    expect(names()).toEqual(['Tern 2', 'Tern 10'])
    filter.value = 'plover'
    expect(names()).toEqual([])
  })

  it('are sorted rising, falling, and then as they were; names by their numbers', () => {
    const { sortBy, names } = grid()
    sortBy('name')
    expect(names()).toEqual(['Dunlin 1', 'Tern 2', 'Tern 10'])
    sortBy('name')
    expect(names()).toEqual(['Tern 10', 'Tern 2', 'Dunlin 1'])
    sortBy('name')
    expect(names()).toEqual(['Tern 2', 'Tern 10', 'Dunlin 1'])
  })

  it('with nothing to sort by stand last either way', () => {
    const { sortBy, names } = grid()
    sortBy('address')
    expect(names()).toEqual(['Dunlin 1', 'Tern 2', 'Tern 10'])
    sortBy('address')
    expect(names()).toEqual(['Tern 2', 'Dunlin 1', 'Tern 10'])
  })
})
