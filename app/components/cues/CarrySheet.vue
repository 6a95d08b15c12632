<script setup lang="ts">
/** Cues down, fixtures across by hang: block is set here, line is carried, dashed is loose. */
import { computed } from 'vue'
import { carrySheet, type SheetCell } from '#core/cues/carrySheet'
import type { ListInOrder } from '#core/cues/tracking'
import { hangsOf } from '#core/show/rig'
import type { Family } from '#core/show/families'
import type { CueId, FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useWorkingSet } from '../../stores/workingSet'
import { PALETTE_FILL } from '../shelf/paletteColours'

const props = defineProps<{ show: Show; list: ListInOrder; family: Family; looked: CueId | null }>()
const emit = defineEmits<{ look: [cue: CueId]; go: [cue: CueId] }>()
const workingSet = useWorkingSet()

const CELL = 14
const GAP = 16

const columns = computed(() => {
  let x = 0
  return hangsOf(props.show)
    .filter((hang) => hang.fixtures.length > 0)
    .sort((a, b) => (a.fixtures[0]?.fixture.number ?? 0) - (b.fixtures[0]?.fixture.number ?? 0))
    .map((hang) => {
      const start = x
      const fixtures = [...hang.fixtures].sort((a, b) => a.fixture.number - b.fixture.number)
      x += Math.max(fixtures.length * CELL, hang.hang.name.length * 6.2) + GAP
      return { name: hang.hang.name, start, fixtures: fixtures.map((f, i) => ({ id: f.id, x: start + i * CELL })) }
    })
})
const width = computed(() => (columns.value.at(-1)?.start ?? 0) + 120)
const fixtures = computed(() => columns.value.flatMap((column) => column.fixtures))
const rows = computed(() => {
  const cues = new Map(props.list.cues.map(({ id, cue }) => [id, cue]))
  return carrySheet(props.show, props.list, props.family).flatMap((row) => {
    const cue = cues.get(row.cue)
    return cue ? [{ ...row, cueRecord: cue, drawn: drawnCells(row.cells) }] : []
  })
})

/** Cells of one look are one path: a row is a handful of elements, however many fixtures there are. */
function drawnCells(cells: ReadonlyMap<FixtureId, SheetCell>) {
  const paths = new Map<string, { look: 'carried' | 'loose' | 'set'; fill: string; isShutOut: boolean; d: string }>()
  for (const { id, x } of fixtures.value) {
    const cell = cells.get(id)
    if (!cell) continue
    const palette = cell.palette && props.show.all.palette.get(cell.palette)
    const fill = palette ? PALETTE_FILL[palette.colour] : 'fill-mist'
    const isLoose = !palette && props.family !== 'intensity'
    const look = cell.how === 'carried' ? 'carried' : isLoose ? 'loose' : 'set'
    const isShutOut = !workingSet.isIn(id)
    const key = `${look} ${fill} ${isShutOut}`
    const d = (paths.get(key)?.d ?? '') + SHAPES[look](x)
    paths.set(key, { look, fill, isShutOut, d })
  }
  return [...paths.values()]
}

const SHAPES = {
  set: (x: number) => roundedBox(x, 2.5, CELL - 2, 13),
  loose: (x: number) => roundedBox(x + 0.7, 3.2, CELL - 3.4, 11.6),
  carried: (x: number) => `M${x - 1} 8h${CELL}v2.5h-${CELL}Z`,
}

function roundedBox(x: number, y: number, width: number, height: number): string {
  const r = 2
  const across = width - 2 * r
  const down = height - 2 * r
  return `M${x + r} ${y}h${across}a${r} ${r} 0 0 1 ${r} ${r}v${down}a${r} ${r} 0 0 1 -${r} ${r}h-${across}a${r} ${r} 0 0 1 -${r} -${r}v-${down}a${r} ${r} 0 0 1 ${r} -${r}Z`
}

const legend = computed(() => {
  const used = new Set(rows.value.flatMap((row) => [...row.cells.values()].flatMap((cell) => cell.palette ?? [])))
  return [...used].flatMap((id) => {
    const palette = props.show.all.palette.get(id)
    return palette ? [{ id, name: palette.name, fill: PALETTE_FILL[palette.colour] }] : []
  })
})
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="min-h-0 flex-1 overflow-auto">
      <table class="w-full border-separate border-spacing-0">
        <thead class="sticky top-0 z-10 bg-night text-left text-sm text-haze">
          <tr>
            <th scope="col" class="border-b border-rule py-2 pl-4 font-normal">cue</th>
            <th scope="col" class="border-b border-rule font-normal">name</th>
            <th scope="col" class="border-b border-rule pr-4 text-right font-normal">time</th>
            <th scope="col" class="border-b border-rule pl-2 font-normal">
              <svg
                :width="width"
                height="16"
                class="block"
                role="img"
                :aria-label="columns.map((c) => c.name).join(', ')"
              >
                <text
                  v-for="column in columns"
                  :key="column.name"
                  :x="column.start"
                  y="12"
                  class="fill-mist text-[11px]"
                >
                  {{ column.name }}
                </text>
              </svg>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in rows"
            :key="row.cue"
            :class="[row.cue === looked ? 'bg-plank' : 'hover:bg-deck']"
            :aria-current="row.cue === list.list.onStage ? 'true' : undefined"
            @click="emit('look', row.cue)"
            @dblclick="emit('go', row.cue)"
          >
            <td
              class="border-b border-rule/60 py-1.5 pr-3 pl-4 font-mono"
              :class="row.cue === list.list.onStage ? 'font-bold text-coral' : 'text-mist'"
            >
              {{ row.cueRecord.number }}
            </td>
            <td class="max-w-48 border-b border-rule/60">
              <button
                type="button"
                class="block w-full truncate pr-3 text-left"
                :class="
                  row.drawn.length > 0 && row.drawn.every(({ isShutOut }) => isShutOut) ? 'text-haze' : 'font-semibold'
                "
                @click.stop="emit('look', row.cue)"
              >
                {{ row.cueRecord.name || 'No name' }}
              </button>
            </td>
            <td class="border-b border-rule/60 pr-4 text-right font-mono text-mist">{{ row.cueRecord.rise }}</td>
            <td class="border-b border-rule/60 pl-2">
              <svg :width="width" height="18" class="block" aria-hidden="true">
                <path
                  v-for="cells in row.drawn"
                  :key="`${cells.look} ${cells.fill} ${cells.isShutOut}`"
                  :d="cells.d"
                  :class="cells.look === 'loose' ? 'fill-none stroke-coral' : cells.fill"
                  :opacity="(cells.look === 'carried' ? 0.4 : 1) * (cells.isShutOut ? 0.25 : 1)"
                  :stroke-width="cells.look === 'loose' ? 1.4 : undefined"
                  :stroke-dasharray="cells.look === 'loose' ? '2.5 2' : undefined"
                />
              </svg>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="flex shrink-0 flex-wrap gap-x-4 gap-y-1 border-t border-rule px-4 py-2 text-sm text-mist">
      <span v-for="item in legend" :key="item.id" class="flex items-center gap-1.5">
        <svg width="10" height="10" aria-hidden="true"><rect width="10" height="10" rx="2" :class="item.fill" /></svg
        >{{ item.name }}
      </span>
      <span>block: set here</span><span>line: carried</span><span class="text-coral">dashed: loose value</span>
    </p>
  </div>
</template>
