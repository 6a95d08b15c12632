<script setup lang="ts">
/** What can be done with a palette besides recalling it. */
import { EllipsisVertical } from '@lucide/vue'
import { computed } from 'vue'
import type { Palette } from '#core/show/entities'
import type { PaletteId } from '#core/show/ids'
import { useShelfView } from '../../stores/shelfView'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import FloatingPanel from '../shell/FloatingPanel.vue'

const props = defineProps<{ id: PaletteId; palette: Palette }>()
const store = useShow()
const shelves = useShelfView()
const selection = useSelection()
const proposal = useProposal()

const fixtures = computed(() => (selection.fixtures.length > 0 ? [...selection.fixtures] : null))
const isInHand = computed(() => shelves.use.inHand.has(props.id))
const item = 'w-full rounded px-2 py-1 text-left hover:bg-plank-2 disabled:opacity-50'
const palette = computed(() => ({ palette: props.id }))
</script>

<template>
  <FloatingPanel
    :label="`More for palette ${props.palette.number}`"
    button-class="rounded bg-deck/90 p-0.5 text-mist hover:text-sail"
    panel-class="w-60"
  >
    <template #button><EllipsisVertical :size="14" aria-hidden="true" /></template>
    <template #default="{ close }">
      <button type="button" :class="item" @click="(shelves.look(id), close())">Look inside …</button>
      <button
        type="button"
        :class="item"
        @click="(store.send('recallPalette', { ...palette, fixtures: null }), close())"
      >
        Recall for all it holds
      </button>
      <button
        type="button"
        :class="item"
        @click="(store.send('recallPalette', { ...palette, fixtures, as: 'loose' }), close())"
      >
        Recall loose <span class="key float-right">Alt press</span>
      </button>
      <button
        type="button"
        :class="item"
        :disabled="!isInHand"
        @click="(store.send('takeOffPalette', { ...palette, fixtures }), close())"
      >
        Take it off again
      </button>
      <button type="button" :class="item" @click="(shelves.edit(id), close())">Edit it in the hand</button>
      <a
        v-if="store.view"
        :class="['block', item]"
        :href="`/api/shows/${store.view.id}/palettes/${encodeURIComponent(id)}/aims`"
        download
        @click="close()"
        >Export its aims as CSV</a
      >
      <button
        v-if="fixtures"
        type="button"
        :class="item"
        @click="(proposal.propose('removeFromPalette', { ...palette, fixtures, attributes: null }, true), close())"
      >
        Remove the selected {{ fixtures.length }}
      </button>
    </template>
  </FloatingPanel>
</template>
