<script setup lang="ts">
/** The shelf: palettes by family, found by number or name, previewed by hovering, recalled by a press. */
import { until, useElementSize } from '@vueuse/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { Tab, TabGroup, TabList } from '@headlessui/vue'
import { computed, nextTick, onUnmounted, ref, useTemplateRef, watch } from 'vue'
import { palettesInOrder } from '#core/palettes/resolve'
import { cueCounts, servedBy } from '#core/palettes/use'
import { SHELVES } from '#core/attributes/families'
import { normalisedName } from '#core/show/names'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useShelfKeys } from '../../composables/keys/useShelfKeys'
import { useStage } from '../../stores/stage'
import { useShelfView } from '../../stores/shelfView'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import DuplicatesDialog from './DuplicatesDialog.vue'
import MakePalettesDialog from './MakePalettesDialog.vue'
import PaletteCard from './PaletteCard.vue'
import PaletteSheetDialog from './PaletteSheetDialog.vue'
import ShelfTools from './ShelfTools.vue'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ show: Show }>()
const store = useShow()
const stage = useStage()
const shelves = useShelfView()
const selection = useSelection()

/** Pixels across for each size, and down for a line of the list. */
const WIDTHS = { list: 216, cards: 141, large: 206 } as const
const LINE = 28

const wanted = ref('')
const scroller = useTemplateRef<HTMLElement>('scroller')
const { height } = useElementSize(scroller)
const layout = computed(() => ({
  width: WIDTHS[shelves.size],
  rows: shelves.size === 'list' ? Math.max(1, Math.floor(height.value / LINE)) : 1,
}))
const onShelf = computed(() => palettesInOrder(props.show).filter(({ palette }) => palette.shelf === shelves.shelf))
const isWanted = computed(() => {
  const { filter, use } = shelves
  const selected = new Set<string>(selection.fixtures)
  return {
    all: () => true,
    serving: (id: PaletteId) => servedBy(props.show, id).some((rigged) => selected.has(rigged.id)),
    'on stage': (id: PaletteId) => use.onStage.has(id),
    'in no cue': (id: PaletteId) => !cueCounts(props.show).get(id),
  }[filter]
})
const palettes = computed(() => {
  const words = normalisedName(wanted.value)
  return onShelf.value.filter(
    ({ id, palette }) =>
      isWanted.value(id) &&
      (normalisedName(`${palette.name} ${palette.note}`).includes(words) || String(palette.number).startsWith(words)),
  )
})

useShelfKeys(() => palettes.value.map(({ id }) => id))

const virtual = useVirtualizer(
  computed(() => ({
    horizontal: true,
    count: Math.ceil(palettes.value.length / layout.value.rows),
    getScrollElement: () => scroller.value,
    estimateSize: () => layout.value.width,
    overscan: 2,
  })),
)
watch(layout, () => virtual.value.measure())
const drawn = computed(() => {
  const { rows } = layout.value
  return virtual.value.getVirtualItems().map(({ index, start }) => ({
    index,
    start,
    palettes: palettes.value.slice(index * rows, index * rows + rows),
  }))
})

const dragged = ref<PaletteId | null>(null)
const over = ref<PaletteId | null>(null)
/** A palette dropped on another takes its number; those in its way move up. */
function drop(target: PaletteId) {
  const palette = dragged.value
  const number = props.show.all.palette.get(target)?.number
  endDrag()
  if (palette && number !== undefined && palette !== target)
    void store.send('placePalette', { palette, number, how: 'make room' })
}
function endDrag() {
  dragged.value = null
  over.value = null
}

/** A card that leaves the screen is no longer looked at. */
const lookAway = () => (stage.hoveredPalette = null)
watch([() => shelves.shelf, wanted], () => {
  lookAway()
  scroller.value?.scrollTo({ left: 0 })
})
onUnmounted(lookAway)

/** A palette recorded just now may be told a frame later: milliseconds it is waited for. */
const SOON = 500
watch(
  () => shelves.revealed,
  async (wish) => {
    if (!wish) return
    wanted.value = ''
    await until(palettes).toMatch((all) => all.some(({ id }) => id === wish.palette), { timeout: SOON })
    await nextTick()
    const at = palettes.value.findIndex(({ id }) => id === wish.palette)
    if (at >= 0) virtual.value.scrollToIndex(Math.floor(at / layout.value.rows))
  },
)

/** With Alt as loose values. */
function recall(palette: PaletteId, event: MouseEvent | KeyboardEvent) {
  void shelves.recall(palette, event.altKey ? 'loose' : 'link')
}

/** A palette is looked at when the pointer rests on it, not when it only passes. */
const RESTS = 90
let resting: ReturnType<typeof setTimeout> | undefined
function look(palette: PaletteId, isOver: boolean) {
  clearTimeout(resting)
  if (isOver) resting = setTimeout(() => (stage.hoveredPalette = palette), RESTS)
  else if (stage.hoveredPalette === palette) stage.hoveredPalette = null
}
onUnmounted(() => clearTimeout(resting))

/** Wheels turn up and down; the shelf runs across. */
function turn(event: WheelEvent) {
  if (Math.abs(event.deltaY) > Math.abs(event.deltaX)) scroller.value?.scrollBy({ left: event.deltaY })
}
</script>

<template>
  <section class="flex min-h-0 flex-col border-t border-rule bg-deck px-3 pt-1.5 pb-2" aria-label="Palettes">
    <div class="flex items-center gap-4 max-[1100px]:gap-2">
      <h2 class="font-semibold max-[1100px]:sr-only">Palettes</h2>
      <TabGroup
        :selected-index="SHELVES.indexOf(shelves.shelf)"
        @change="shelves.shelf = SHELVES[$event] ?? shelves.shelf"
      >
        <TabList class="flex gap-3 max-[1100px]:gap-2">
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
      <ShelfTools v-model="wanted" class="ml-auto" :show="show" :shelf="shelves.shelf" />
    </div>
    <div
      v-show="palettes.length"
      ref="scroller"
      class="mt-1.5 min-h-0 flex-1 overflow-x-auto overflow-y-hidden bg-deck will-change-scroll"
      role="group"
      :aria-label="`${shelves.shelf} palettes`"
      @wheel.passive="turn"
    >
      <div class="relative h-full" :style="{ width: `${virtual.getTotalSize()}px` }">
        <div
          v-for="column in drawn"
          :key="column.index"
          class="absolute inset-y-0 flex flex-col gap-px"
          :style="{ width: `${layout.width - 8}px`, left: `${column.start}px` }"
        >
          <!-- What is dragged is a normalisedName element: a card is drawn anew only when it changes itself. -->
          <div
            v-for="{ id, palette } in column.palettes"
            :key="id"
            class="flex min-h-0 flex-col rounded-lg"
            :class="[
              over === id ? 'shadow-[inset_2px_0_0_var(--color-shoal)]' : '',
              shelves.size === 'list' ? 'shrink-0' : 'flex-1',
            ]"
            draggable="true"
            @dragstart="dragged = id"
            @dragover.prevent="over = dragged ? id : null"
            @dragleave="over = null"
            @drop.prevent="drop(id)"
            @dragend="endDrag"
          >
            <PaletteCard
              :id="id"
              :show="show"
              :palette="palette"
              :selected="selection.fixtures"
              :size="shelves.size"
              @recall="recall(id, $event)"
              @look="look(id, $event)"
            />
          </div>
        </div>
      </div>
    </div>
    <div
      v-if="palettes.length === 0"
      class="mt-1.5 grid flex-1 place-items-center rounded-lg border border-dashed border-rule-2 px-4 text-center text-mist"
    >
      <p v-if="wanted">No {{ shelves.shelf }} palette is called or numbered “{{ wanted }}”.</p>
      <p v-else-if="onShelf.length">
        None of the {{ onShelf.length }} {{ shelves.shelf }} palettes:
        {{ shelves.filter === 'serving' ? 'serving the selection' : shelves.filter }}.
        <button type="button" class="underline hover:text-sail" @click="shelves.filter = 'all'">Show all</button>
      </p>
      <p v-else>
        {{ capitalised(shelves.shelf) }} palettes stand here. Get something in hand, then press Record and choose this
        shelf, or
        <button type="button" class="underline hover:text-sail" @click="shelves.dialog = 'make'">
          make some from targets or types</button
        >.
      </p>
    </div>
    <MakePalettesDialog :open="shelves.dialog === 'make'" :show="show" @close="shelves.dialog = null" />
    <PaletteSheetDialog :open="shelves.dialog === 'sheet'" :show="show" @close="shelves.dialog = null" />
    <DuplicatesDialog :open="shelves.dialog === 'duplicates'" :show="show" @close="shelves.dialog = null" />
  </section>
</template>
