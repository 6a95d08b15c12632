/** Moving about a table by keys and pointer: the active cell, the rows selected, the cell being typed in. */
import { computed, nextTick, ref } from 'vue'
import type { GridColumn, KeepCell } from './gridColumn'

interface GridContext<Row extends { readonly id: string }> {
  readonly rows: () => readonly Row[]
  readonly columns: () => readonly GridColumn<Row>[]
  readonly selected: () => ReadonlySet<string>
  readonly select: (ids: readonly string[]) => void
  readonly keep: KeepCell
  /** Brings a row into view. */
  readonly show: (row: number) => void
  /** Gives the keys back to the table after a cell was typed in. */
  readonly focus: () => void
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-12, 0],
  PageDown: [12, 0],
}

export function useGridCells<Row extends { readonly id: string }>(context: GridContext<Row>) {
  const at = ref({ row: 0, column: 0 })
  /** Where a run of rows began that Shift stretches. */
  let anchor = 0
  const typed = ref<string | null>(null)
  /** Whether the whole cell is selected when it opens: not when typing a key opened it. */
  const isWhole = ref(true)
  /** Counts the edits begun: an answer that comes late must not close the next one. */
  const edit = ref(0)
  const trouble = ref<string | null>(null)

  const activeRow = computed(() => context.rows()[Math.min(at.value.row, context.rows().length - 1)])
  const activeColumn = computed(() => context.columns()[at.value.column])

  function within(n: number, count: number): number {
    return Math.max(0, Math.min(count - 1, n))
  }

  function goTo(row: number, column: number, stretch: boolean) {
    at.value = { row: within(row, context.rows().length), column: within(column, context.columns().length) }
    context.show(at.value.row)
    if (!stretch) anchor = at.value.row
    selectRun()
  }

  function selectRun() {
    const run = context.rows().slice(Math.min(anchor, at.value.row), Math.max(anchor, at.value.row) + 1)
    const ids = run.map(({ id }) => id)
    context.select(anchor <= at.value.row ? ids : ids.reverse())
  }

  function press(event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }, row: number, column: number) {
    if (typed.value !== null) void leave()
    if (!event.ctrlKey && !event.metaKey) return goTo(row, column, event.shiftKey)
    at.value = { row, column }
    anchor = row
    const id = context.rows()[row]?.id
    if (id === undefined) return
    const chosen = context.selected()
    context.select(chosen.has(id) ? [...chosen].filter((other) => other !== id) : [...chosen, id])
  }

  function begin(text: string | null) {
    const row = activeRow.value
    const column = activeColumn.value
    if (!row || !column?.edit) return
    edit.value += 1
    trouble.value = null
    isWhole.value = text === null
    typed.value = text ?? column.text(row)
  }

  /** The rows an edit is for: all that are selected, if the active one is among them. */
  function edited(): readonly string[] {
    const id = activeRow.value?.id
    if (id === undefined) return []
    return context.selected().has(id) ? [...context.selected()] : [id]
  }

  /** Keeps what was typed; a refusal leaves it in the cell with its reason. Tells whether it was kept. */
  async function keep(): Promise<boolean> {
    const row = activeRow.value
    const column = activeColumn.value
    if (typed.value === null || !row || !column) return true
    const ids = edited()
    const mine = edit.value
    const isSame = ids.length === 1 && typed.value === column.text(row)
    const refusal = isSame ? null : await context.keep(ids, column.key, typed.value)
    // Whoever types on while the answer is under way is in another cell by now.
    if (edit.value !== mine) return true
    trouble.value = refusal
    if (refusal !== null) return false
    typed.value = null
    return true
  }

  /** Leaves the cell by pressing elsewhere: what is refused there is not kept. */
  async function leave() {
    if (!(await keep())) putBack()
  }

  function putBack() {
    typed.value = null
    trouble.value = null
  }

  async function onTypingKey(event: KeyboardEvent) {
    event.stopPropagation()
    if (event.key === 'Escape') putBack()
    else if (event.key !== 'Enter' && event.key !== 'Tab') return
    event.preventDefault()
    const mine = edit.value
    if (typed.value !== null && !(await keep())) return
    if (edit.value !== mine) return
    if (event.key === 'Tab')
      at.value = { ...at.value, column: within(at.value.column + (event.shiftKey ? -1 : 1), context.columns().length) }
    await nextTick()
    context.focus()
  }

  /** Keeps what was chosen and gives the keys back to the table. */
  async function choose() {
    const mine = edit.value
    if ((await keep()) && edit.value === mine) context.focus()
  }

  function onKey(event: KeyboardEvent) {
    const step = STEPS[event.key]
    if (event.ctrlKey || event.metaKey) {
      if (event.key.toLowerCase() !== 'a') return
      event.preventDefault()
      return context.select(context.rows().map(({ id }) => id))
    }
    if (event.altKey || event.key === 'Escape' || event.key === 'Tab') return
    // What the table answers is not for the room: a digit here is a number, not a selection.
    event.stopPropagation()
    if (step) goTo(at.value.row + step[0], at.value.column + step[1], event.shiftKey && step[0] !== 0)
    else if (event.key === 'Home') goTo(0, at.value.column, event.shiftKey)
    else if (event.key === 'End') goTo(context.rows().length - 1, at.value.column, event.shiftKey)
    else if (event.key === 'Enter' || event.key === 'F2') begin(null)
    else if (event.key.length === 1 && activeColumn.value?.edit === 'text') begin(event.key)
    else return
    event.preventDefault()
  }

  return { at, typed, edit, trouble, isWhole, choose, activeRow, activeColumn, press, begin, leave, onKey, onTypingKey }
}
