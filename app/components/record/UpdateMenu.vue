<script setup lang="ts">
/** Updates the palettes that what is in hand came from: all, or those picked. What follows is shown first. */
import { computed, ref } from 'vue'
import type { PaletteId } from '#core/show/ids'
import { useActions } from '../../composables/keys/useActions'
import { useShelfView } from '../../stores/shelfView'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'
import FloatingPanel from '../shell/FloatingPanel.vue'
import { entity, showRecordOf } from '#core/show/show'
import { counted } from '#core/show/counted'

const store = useShow()
const shelves = useShelfView()
const proposal = useProposal()
const left = ref<readonly PaletteId[]>([])
/** Whether places change in every venue, or are touched up in the one in play. */
const where = ref<'for good' | 'for here'>('for good')
const venueName = computed(() => {
  const show = store.view
  return show ? entity(show, 'venue', showRecordOf(show).venue).name : ''
})
const WHERES = [
  { key: 'for good', name: 'for good' },
  { key: 'for here', name: 'for here' },
] as const

const sources = computed(() =>
  [...shelves.adjusted].flatMap(([id, values]) => {
    const palette = store.view?.all.palette.get(id)
    const count = new Set(values.map(({ fixture }) => fixture)).size
    return palette ? [{ id, palette, count }] : []
  }),
)
const chosen = computed(() => sources.value.map(({ id }) => id).filter((id) => !left.value.includes(id)))

function toggle(id: PaletteId) {
  left.value = left.value.includes(id) ? left.value.filter((other) => other !== id) : [...left.value, id]
}
/** Writes all back that is left in; what follows is shown first. */
function updateChosen() {
  if (shelves.editing || chosen.value.length === 0) return
  void proposal.offerOrSay('updatePalettes', { palettes: [...chosen.value], where: where.value })
  left.value = []
}
useActions({ update: updateChosen })
</script>

<template>
  <FloatingPanel
    v-if="sources.length && !shelves.editing"
    button-class="chip min-w-0 max-w-full truncate border-coral px-2 py-0.5"
    panel-class="w-72 p-2.5"
    label="Update the palettes this came from"
  >
    <template #button
      >{{ where === 'for here' ? 'Touch up' : 'Update' }}
      {{ sources.length === 1 ? sources[0]?.palette.name : `${sources.length} palettes` }}</template
    >
    <template #default="{ close }">
      <p class="mb-1.5 text-sm text-mist">Changed in hand. Write it back to where it came from:</p>
      <ul class="max-h-56 overflow-y-auto">
        <li v-for="{ id, palette, count } in sources" :key="id">
          <label class="flex items-center gap-2 rounded px-1 py-0.5 hover:bg-plank-2">
            <input type="checkbox" class="accent-kelp" :checked="!left.includes(id)" @change="toggle(id)" />
            <span class="font-mono text-mist">{{ palette.number }}</span>
            <span class="min-w-0 truncate">{{ palette.name }}</span>
            <span class="ml-auto shrink-0 text-xs text-haze">{{ counted(count, 'fixture') }}</span>
          </label>
        </li>
      </ul>
      <SwitchField
        class="mt-2 w-max"
        label="Where it counts"
        :options="WHERES"
        :value="where"
        @choose="(key) => (where = key)"
      />
      <p class="mt-1 text-sm text-haze">
        {{
          where === 'for good'
            ? 'The palettes change, and every venue follows.'
            : `A touch-up of places at ${venueName} only; other venues stay as they are.`
        }}
      </p>
      <button
        type="button"
        class="main-button mt-2 w-full py-1.5"
        :disabled="!chosen.length"
        @click="(close(), updateChosen())"
      >
        See what follows
      </button>
    </template>
  </FloatingPanel>
</template>
