/** The rows of a table as they are shown: filtered by any of their cells, and sorted by one column. */
import { computed, ref } from 'vue'
import type { GridColumn } from './gridColumn'

interface Sorting {
  readonly column: string
  readonly way: 'ascending' | 'descending'
}

const ORDER = new Intl.Collator('en', { numeric: true, sensitivity: 'base' })

export function useGridRows<Row>(rows: () => readonly Row[], columns: () => readonly GridColumn<Row>[]) {
  const filter = ref('')
  const sorting = ref<Sorting | null>(null)

  const shown = computed<readonly Row[]>(() => {
    const found = filtered(filter.value.trim().toLowerCase())
    const column = columns().find(({ key }) => key === sorting.value?.column)
    if (!column) return found
    const turn = sorting.value?.way === 'descending' ? -1 : 1
    return [...found].sort((a, b) => compare(rankOf(column, a), rankOf(column, b), turn))
  })

  /** Rows with a cell that holds what was typed; where there are none, rows that hold each of its words somewhere. */
  function filtered(typed: string): readonly Row[] {
    if (typed === '') return rows()
    const whole = rows().filter((row) => holds(row, typed))
    if (whole.length > 0) return whole
    const words = typed.split(/\s+/)
    return rows().filter((row) => words.every((word) => holds(row, word)))
  }

  function holds(row: Row, word: string): boolean {
    return columns().some((column) => column.text(row).toLowerCase().includes(word))
  }

  function rankOf(column: GridColumn<Row>, row: Row): number | string | null {
    return column.rank ? column.rank(row) : column.text(row) || null
  }

  /** Rising first, then falling, then as it was. */
  function sortBy(column: string) {
    const now = sorting.value
    if (now?.column !== column) sorting.value = { column, way: 'ascending' }
    else sorting.value = now.way === 'ascending' ? { column, way: 'descending' } : null
  }

  return { filter, sorting, shown, sortBy }
}

/** Empty cells stand last, whichever way it is sorted. */
function compare(a: number | string | null, b: number | string | null, turn: number): number {
  if (a === null || b === null) return Number(a === null) - Number(b === null)
  if (typeof a === 'number' && typeof b === 'number') return turn * (a - b)
  return turn * ORDER.compare(String(a), String(b))
}
