<script setup lang="ts">
/** The shelf: palettes by family, previewed by hovering, recalled by a click. */
import { Tab, TabGroup, TabList } from '@headlessui/vue'
import { computed, onUnmounted, ref, watch } from 'vue'
import { palettesInOrder } from '#core/palettes/resolve'
import { servedBy } from '#core/palettes/use'
import { SHELVES } from '#core/show/families'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useHand } from '../../composables/useHand'
import { useDesk } from '../../stores/desk'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import PaletteCard from './PaletteCard.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const desk = useDesk()
const selection = useSelection()
const hand = useHand()

const tab = ref(2)
const shelf = computed(() => SHELVES[tab.value] ?? 'focus')
const palettes = computed(() => palettesInOrder(props.show).filter(({ palette }) => palette.shelf === shelf.value))
const inHand = computed(() => {
  const linked = new Set<string>()
  for (const value of hand.values.value.values()) if (value.kind === 'link') linked.add(value.palette)
  return linked
})

/** A card that leaves the screen is no longer looked at. */
const lookAway = () => (desk.hoveredPalette = null)
watch(tab, lookAway)
onUnmounted(lookAway)

/** Recalls for the selection; without one, selects what the palette serves and recalls for that. */
function recall(palette: PaletteId) {
  if (selection.fixtures.length === 0) selection.set(servedBy(props.show, palette).map((rigged) => rigged.id))
  void store.send('recallPalette', { palette, fixtures: [...selection.fixtures] })
}

function look(palette: PaletteId, isOver: boolean) {
  if (isOver) desk.hoveredPalette = palette
  else if (desk.hoveredPalette === palette) desk.hoveredPalette = null
}
</script>

<template>
  <section class="flex min-h-0 flex-col border-t border-rule bg-deck px-3 pt-1.5 pb-2" aria-label="Palettes">
    <div class="flex items-center gap-4">
      <h2 class="font-semibold">Palettes</h2>
      <TabGroup :selected-index="tab" @change="tab = $event">
        <TabList class="flex gap-3">
          <Tab v-for="name in SHELVES" :key="name" v-slot="{ selected }" as="template">
            <button
              class="border-b-2 py-1 first-letter:uppercase"
              :class="
                selected ? 'border-coral font-semibold text-sail' : 'border-transparent text-mist hover:text-sail'
              "
            >
              {{ name }}
            </button>
          </Tab>
        </TabList>
      </TabGroup>
      <p v-if="selection.fixtures.length" class="ml-auto flex items-center gap-3 text-sm text-mist">
        <span class="flex items-center gap-1.5"
          >serves all {{ selection.fixtures.length }}<i class="h-[3px] w-6 bg-kelp"
        /></span>
        <span class="flex items-center gap-1.5">some<i class="h-[3px] w-3 bg-brass" /></span>
        <span>none, dimmed</span>
      </p>
    </div>
    <div class="mt-1.5 flex min-h-[118px] gap-2 overflow-x-auto pb-1" role="group" :aria-label="`${shelf} palettes`">
      <PaletteCard
        v-for="{ id, palette } in palettes"
        :id="id"
        :key="id"
        :show="show"
        :palette="palette"
        :selected="selection.fixtures"
        :in-hand="inHand.has(id)"
        @recall="recall(id)"
        @look="look(id, $event)"
      />
      <p
        v-if="palettes.length === 0"
        class="grid flex-1 place-items-center rounded-lg border border-dashed border-rule-2 text-mist"
      >
        <span
          >{{ shelf.charAt(0).toUpperCase() + shelf.slice(1) }} palettes stand here. Get something in hand, then press
          Record and choose this shelf.</span
        >
      </p>
    </div>
  </section>
</template>
