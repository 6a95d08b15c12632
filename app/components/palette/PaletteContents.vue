<script setup lang="ts">
/** What a palette holds: whom it serves down, attributes across. A cell, or all of an attribute, can be taken out. */
import { ChevronRight, X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { counted } from '#core/show/counted'
import { attributeName, type Attribute } from '#core/attributes/attribute'
import { paletteTable, unfolded, type PaletteRow } from '#core/refocus/paletteTable'
import type { FixtureId, PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'

const props = defineProps<{ show: Show; id: PaletteId }>()
const proposal = useProposal()
/** More rows than this are counted. */
const MOST = 200

const table = computed(() => paletteTable(props.show, props.id))
const count = computed(() =>
  table.value.rows.reduce((sum, { fixtures, cells }) => sum + Math.max(1, fixtures.length) * cells.size, 0),
)
/** Folded rows that are opened, by their words. */
const opened = ref<readonly string[]>([])
const toggle = (whom: string) =>
  (opened.value = opened.value.includes(whom) ? opened.value.filter((one) => one !== whom) : [...opened.value, whom])

interface Shown extends PaletteRow {
  readonly isFolded: boolean
  readonly isPart: boolean
}
const rows = computed<Shown[]>(() =>
  table.value.rows.flatMap((row) => {
    const isFolded = row.fixtures.length > 1
    const parts = isFolded && opened.value.includes(row.whom) ? unfolded(props.show, row) : []
    return [{ ...row, isFolded, isPart: false }, ...parts.map((part) => ({ ...part, isFolded: false, isPart: true }))]
  }),
)
const columns = computed(
  () => `minmax(64px, max-content) repeat(${table.value.attributes.length}, minmax(max-content, 1fr))`,
)

function remove(fixtures: readonly FixtureId[] | null, attribute: Attribute) {
  proposal.propose(
    'removeFromPalette',
    { palette: props.id, fixtures: fixtures && [...fixtures], attributes: [attribute] },
    true,
  )
}
</script>

<template>
  <section class="border-b border-rule px-3 py-2.5" aria-labelledby="contents-title">
    <h3 id="contents-title" class="mb-1 font-semibold">
      Holds <span class="text-sm font-normal text-mist">{{ counted(count, 'value', 'values') }}</span>
    </h3>
    <div
      class="grid max-h-60 items-baseline gap-x-1.5 gap-y-0.5 overflow-auto text-sm whitespace-nowrap"
      role="table"
      aria-label="Values"
      tabindex="0"
      :style="{ gridTemplateColumns: columns }"
    >
      <div role="row" class="contents text-haze">
        <span role="columnheader" class="sticky top-0 z-10 bg-deck">for</span>
        <span
          v-for="attribute in table.attributes"
          :key="attribute"
          role="columnheader"
          class="sticky top-0 z-10 flex items-center gap-1 bg-deck"
        >
          <span class="truncate" :title="attributeName(attribute)">{{ attributeName(attribute) }}</span>
          <IconButton
            v-if="table.attributes.length > 1"
            :icon="X"
            :size="11"
            class="rounded hover:text-sail"
            :aria-label="`Take all ${attributeName(attribute)} out`"
            @click="remove(null, attribute)"
          />
        </span>
      </div>
      <div
        v-for="row in rows.slice(0, MOST)"
        :key="`${row.isPart} ${row.whom}`"
        role="row"
        class="contents"
        :class="row.isPart ? 'text-mist' : ''"
      >
        <span role="rowheader" class="max-w-28 truncate" :class="row.fixtures.length ? 'font-mono' : 'text-brass'">
          <button
            v-if="row.isFolded"
            type="button"
            class="flex max-w-full items-center gap-0.5 hover:text-sail"
            :aria-expanded="opened.includes(row.whom)"
            :title="row.whom"
            @click="toggle(row.whom)"
          >
            <ChevronRight
              :size="12"
              class="shrink-0 text-haze"
              :class="opened.includes(row.whom) ? 'rotate-90' : ''"
              aria-hidden="true"
            /><span class="truncate">{{ row.whom }}</span>
          </button>
          <span v-else class="pl-3.5" :title="row.whom">{{ row.whom }}</span>
        </span>
        <span
          v-for="attribute in table.attributes"
          :key="attribute"
          role="cell"
          class="group flex min-w-0 items-center gap-1"
        >
          <span class="truncate" :title="row.cells.get(attribute)">{{ row.cells.get(attribute) ?? '' }}</span>
          <IconButton
            v-if="row.fixtures.length > 0 && row.cells.has(attribute)"
            :icon="X"
            :size="11"
            class="shrink-0 rounded text-haze opacity-0 group-hover:opacity-100 hover:text-sail focus:opacity-100 pointer-coarse:opacity-100"
            :aria-label="`Take ${attributeName(attribute)} of ${row.whom} out`"
            @click="remove(row.fixtures, attribute)"
          />
        </span>
      </div>
      <p v-if="rows.length > MOST" class="col-span-full text-haze">and {{ rows.length - MOST }} more</p>
    </div>
  </section>
</template>
