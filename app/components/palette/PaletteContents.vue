<script setup lang="ts">
/** What a palette holds, line by line; a line, or all of an attribute, can be taken out. */
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { paletteLines, type PaletteLine } from '#core/refocus/paletteLines'
import { attributeName, inCatalogueOrder } from '#core/attributes/attribute'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'

const props = defineProps<{ show: Show; id: PaletteId }>()
const proposal = useProposal()
/** More lines than this are counted. */
const MOST = 200

const lines = computed(() => paletteLines(props.show, props.id))
const shown = computed(() => lines.value.slice(0, MOST))
const attributes = computed(() => [...new Set(lines.value.map(({ attribute }) => attribute))].sort(inCatalogueOrder))

function remove({ fixture, attribute }: Pick<PaletteLine, 'fixture' | 'attribute'>) {
  const fixtures = fixture ? [fixture] : null
  proposal.propose('removeFromPalette', { palette: props.id, fixtures, attributes: [attribute] }, true)
}
</script>

<template>
  <section class="border-b border-rule px-3 py-2.5" aria-labelledby="contents-title">
    <h3 id="contents-title" class="mb-1 font-semibold">
      Holds <span class="text-sm font-normal text-mist">{{ lines.length }} values</span>
    </h3>
    <div v-if="attributes.length > 1" class="mb-1.5 flex flex-wrap gap-1">
      <button
        v-for="attribute in attributes"
        :key="attribute"
        type="button"
        class="chip flex items-center gap-1 px-1.5 py-0"
        :aria-label="`Take all ${attributeName(attribute)} out`"
        @click="remove({ fixture: null, attribute })"
      >
        {{ attributeName(attribute) }}<X :size="11" class="text-haze" aria-hidden="true" />
      </button>
    </div>
    <div class="max-h-52 overflow-y-auto" role="table" aria-label="Values" tabindex="0">
      <div
        v-for="line in shown"
        :key="line.id"
        role="row"
        class="group grid grid-cols-[60px_58px_1fr_14px] items-baseline gap-1 py-px text-sm"
      >
        <span role="rowheader" class="truncate" :title="line.whom" :class="line.fixture ? 'font-mono' : 'text-brass'">{{
          line.whom
        }}</span>
        <span role="cell" class="truncate text-mist">{{ attributeName(line.attribute) }}</span>
        <span role="cell" class="truncate" :title="line.value">{{ line.value }}</span>
        <span role="cell">
          <IconButton
            v-if="line.fixture"
            :icon="X"
            :size="12"
            class="rounded text-haze opacity-0 group-hover:opacity-100 hover:text-sail focus:opacity-100 pointer-coarse:opacity-100"
            :aria-label="`Take ${attributeName(line.attribute)} of ${line.whom} out`"
            @click="remove(line)"
          />
        </span>
      </div>
      <p v-if="lines.length > MOST" class="text-sm text-haze">and {{ lines.length - MOST }} more</p>
    </div>
  </section>
</template>
