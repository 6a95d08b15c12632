<script setup lang="ts" generic="Row extends { readonly id: string }">
/**
 * A table like a spreadsheet: sorted by its headings, filtered by typing, edited in place for all
 * selected rows at once, copied and pasted. Only the rows in view are drawn.
 */
import { useVirtualizer } from '@tanstack/vue-virtual'
import { ArrowDown, ArrowUp, Search } from '@lucide/vue'
import { computed, nextTick, useId, useTemplateRef, watch } from 'vue'
import Papa from 'papaparse'
import type { GridColumn, GridPaste, KeepCell } from '../../composables/table/gridColumn'
import { useGridCells } from '../../composables/table/useGridCells'
import { useGridRows } from '../../composables/table/useGridRows'
import TableOut from './TableOut.vue'

const props = defineProps<{
  label: string
  rows: readonly Row[]
  columns: readonly GridColumn<Row>[]
  selected: ReadonlySet<string>
  empty: string
  keep: KeepCell
}>()
const emit = defineEmits<{ select: [ids: readonly string[]]; paste: [paste: GridPaste]; remove: [] }>()

const ROW = 28
const uid = useId()
const scroller = useTemplateRef<HTMLElement>('scroller')
const input = useTemplateRef<(HTMLInputElement | HTMLSelectElement)[]>('input')
const { filter, sorting, shown, sortBy } = useGridRows(
  () => props.rows,
  () => props.columns,
)
const virtual = useVirtualizer(
  computed(() => ({
    count: shown.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => ROW,
    overscan: 8,
    // The heading row stands above the rows and stays in view.
    scrollMargin: ROW,
    scrollPaddingStart: ROW,
  })),
)
/** The row chosen here last. */
let chosenHere: string | undefined
const cells = useGridCells({
  rows: () => shown.value,
  columns: () => props.columns,
  selected: () => props.selected,
  select: (ids) => {
    chosenHere = ids.at(-1)
    emit('select', ids)
  },
  keep: (...given) => props.keep(...given),
  show: (row) => virtual.value.scrollToIndex(row),
  focus: () => scroller.value?.focus({ preventScroll: true }),
})
const { at, typed, trouble, isWhole } = cells

const drawn = computed(() =>
  virtual.value.getVirtualItems().flatMap(({ index, start }) => {
    const row = shown.value[index]
    return row ? [{ row, index, start }] : []
  }),
)
const template = computed(() => props.columns.map(({ width }) => `minmax(${width}px, ${width}fr)`).join(' '))
const leastWidth = computed(() => props.columns.reduce((sum, { width }) => sum + width, 0))
const cellId = (row: string, column: string) => `${uid}-${row}-${column}`
const activeId = computed(() =>
  cells.activeRow.value && cells.activeColumn.value
    ? cellId(cells.activeRow.value.id, cells.activeColumn.value.key)
    : undefined,
)
const isTypedIn = (index: number, column: number) =>
  typed.value !== null && at.value.row === index && at.value.column === column

watch(cells.edit, async () => {
  await nextTick()
  const [field] = input.value ?? []
  field?.focus()
  if (field instanceof HTMLInputElement && isWhole.value) field.select()
})
/** What is selected elsewhere is brought into view here. */
watch(
  () => [...props.selected].at(-1),
  (id) => {
    const index = shown.value.findIndex((row) => row.id === id)
    if (index < 0 || id === chosenHere) return
    at.value = { ...at.value, row: index }
    virtual.value.scrollToIndex(index)
  },
)

/** Rows under the heads of their columns, as texts. */
function asSeen(rows: readonly Row[]): string[][] {
  return [props.columns.map(({ name }) => name), ...rows.map((row) => props.columns.map((column) => column.text(row)))]
}

function copy(event: ClipboardEvent) {
  if (typed.value !== null) return
  const chosen = shown.value.filter(({ id }) => props.selected.has(id))
  const text = Papa.unparse(asSeen(chosen.length > 0 ? chosen : shown.value), { delimiter: '\t', newline: '\n' })
  event.clipboardData?.setData('text/plain', text)
  event.preventDefault()
}

function paste(event: ClipboardEvent) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (typed.value !== null || text.trim() === '') return
  event.preventDefault()
  const { data } = Papa.parse<string[]>(text.trimEnd(), { delimitersToGuess: ['\t', ';', ','] })
  emit('paste', {
    cells: data,
    rows: shown.value.slice(at.value.row).map(({ id }) => id),
    columns: props.columns.slice(at.value.column).map(({ key }) => key),
  })
}
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <div class="flex items-center gap-2 px-3 py-1.5">
      <slot name="bar" />
      <label class="relative ml-auto w-52 shrink-0">
        <span class="sr-only">Filter {{ label.toLowerCase() }}</span>
        <Search :size="13" class="absolute top-1/2 left-2 -translate-y-1/2 text-haze" aria-hidden="true" />
        <input
          v-model="filter"
          type="search"
          class="field py-0.5 pl-7 font-sans"
          placeholder="Filter"
          @keydown.esc.stop="filter = ''"
        />
      </label>
      <span class="w-20 shrink-0 text-right text-sm text-haze" role="status">{{
        shown.length === rows.length ? rows.length : `${shown.length} of ${rows.length}`
      }}</span>
      <TableOut v-if="rows.length" :name="label" :cells="() => asSeen(shown)" />
    </div>
    <div
      v-if="rows.length === 0"
      class="m-3 flex flex-1 flex-col items-center justify-center gap-2 rounded-lg border border-dashed border-rule-2 p-3 text-center text-mist"
    >
      <p>{{ empty }}</p>
      <slot name="begin" />
    </div>
    <div
      v-show="rows.length"
      ref="scroller"
      class="min-h-0 flex-1 overflow-auto outline-none contain-strict focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-shoal"
      role="grid"
      tabindex="0"
      :aria-label="label"
      :aria-rowcount="shown.length + 1"
      :aria-colcount="columns.length"
      :aria-activedescendant="activeId"
      aria-multiselectable="true"
      @keydown="cells.onKey"
      @keydown.delete="emit('remove')"
      @copy="copy"
      @paste="paste"
    >
      <div
        class="sticky top-0 z-10 grid border-b border-rule bg-deck text-xs text-haze"
        role="row"
        aria-rowindex="1"
        :style="{ gridTemplateColumns: template, minWidth: `${leastWidth}px`, height: `${ROW}px` }"
      >
        <div
          v-for="column in columns"
          :key="column.key"
          role="columnheader"
          class="flex"
          :aria-sort="sorting?.column === column.key ? sorting.way : 'none'"
        >
          <button
            type="button"
            tabindex="-1"
            class="flex w-full items-center gap-1 truncate px-2 hover:text-sail"
            :class="column.isNumber ? 'justify-end' : ''"
            @click="sortBy(column.key)"
          >
            {{ column.name }}
            <component
              :is="sorting.way === 'ascending' ? ArrowUp : ArrowDown"
              v-if="sorting?.column === column.key"
              :size="12"
              aria-hidden="true"
            />
          </button>
        </div>
      </div>
      <div
        role="rowgroup"
        class="relative"
        :style="{ height: `${virtual.getTotalSize()}px`, minWidth: `${leastWidth}px` }"
      >
        <div
          v-for="{ row, index, start } in drawn"
          :key="row.id"
          role="row"
          class="absolute inset-x-0 top-0 grid cursor-default items-stretch select-none border-b border-rule/50"
          :class="
            selected.has(row.id) ? 'bg-coral-deep/40 shadow-[inset_2px_0_0_var(--color-coral)]' : 'hover:bg-plank'
          "
          :aria-rowindex="index + 2"
          :aria-selected="selected.has(row.id)"
          :style="{ gridTemplateColumns: template, transform: `translateY(${start - ROW}px)`, height: `${ROW}px` }"
        >
          <div
            v-for="(column, c) in columns"
            :id="cellId(row.id, column.key)"
            :key="column.key"
            role="gridcell"
            class="relative flex min-w-0 items-center px-2"
            :class="[
              column.isNumber ? 'justify-end font-mono text-sm' : '',
              at.row === index && at.column === c ? 'shadow-[inset_0_0_0_1px_var(--color-rule-2)]' : '',
              column.trouble?.(row) ? 'text-coral' : column.isMarked?.(row) ? 'text-brass' : '',
            ]"
            :title="column.trouble?.(row) ?? undefined"
            @pointerdown="cells.press($event, index, c)"
            @dblclick="cells.begin(null)"
          >
            <template v-if="isTypedIn(index, c)">
              <select
                v-if="column.edit && column.edit !== 'text'"
                ref="input"
                v-model="typed"
                class="field absolute inset-0 rounded-none px-1 py-0 font-sans"
                :aria-label="column.name"
                @pointerdown.stop
                @keydown="cells.onTypingKey"
                @change="cells.choose"
                @blur="cells.leave"
              >
                <option v-for="option in column.edit" :key="option" :value="option">{{ option }}</option>
              </select>
              <input
                v-else
                ref="input"
                v-model="typed"
                class="field absolute inset-0 rounded-none px-2 py-0"
                :class="column.isNumber ? 'text-right' : 'font-sans'"
                :aria-label="column.name"
                :aria-invalid="trouble !== null"
                autocomplete="off"
                @pointerdown.stop
                @keydown="cells.onTypingKey"
                @blur="cells.leave"
              />
              <span
                v-if="trouble"
                class="absolute top-full left-0 z-20 w-max max-w-80 rounded-md border border-coral bg-plank px-2 py-1 font-sans text-xs text-coral shadow-lg"
                role="alert"
                >{{ trouble }}</span
              >
            </template>
            <span v-else class="truncate">{{ column.text(row) }}</span>
          </div>
        </div>
      </div>
    </div>
  </div>
</template>
