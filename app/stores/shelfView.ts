/** What this window has open of the palettes, and how the shelf is shown. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { adjustedInHand, type Adjusted } from '#core/palettes/update'
import { palettesInUse } from '#core/cues/palettesInUse'
import { servedBy } from '#core/palettes/use'
import type { Shelf } from '#core/attributes/families'
import { asPaletteId, type PaletteId } from '#core/show/ids'
import { useStage } from './stage'
import { useSelection } from './selection'
import { useShow } from './show'

export const SHELF_SIZES = ['list', 'cards', 'large'] as const

/** Which palettes of a shelf are shown. */
export const SHELF_FILTERS = ['all', 'serving', 'on stage', 'in no cue'] as const

export const useShelfView = defineStore('shelfView', () => {
  const show = useShow()
  const stage = useStage()
  const selection = useSelection()
  const shelf = ref<Shelf>('focus')
  const size = useLocalStorage<(typeof SHELF_SIZES)[number]>('rhopander-shelf-size', 'cards')
  /** The palette whose contents and use are looked at. */
  const looked = ref<PaletteId | null>(null)
  const filter = ref<(typeof SHELF_FILTERS)[number]>('all')
  /** Seconds a recall takes here; null for what the palette says. */
  const recallTime = ref<number | null>(null)
  /** Whether a recall with nothing selected selects what it brings into the hand. */
  const recallSelects = useLocalStorage('rhopander-recall-selects', true)
  const dialog = ref<'make' | 'sheet' | 'duplicates' | null>(null)

  const opened = computed(() => (looked.value && show.view?.all.palette.get(looked.value) ? looked.value : null))
  /** The show as the panels tell it. */
  const panelShow = computed(() => stage.panelState.show)
  const use = computed(() =>
    panelShow.value && show.person
      ? palettesInUse(panelShow.value, show.person)
      : { inHand: new Set<PaletteId>(), onStage: new Set<PaletteId>() },
  )
  /** What in hand was changed away from its palette, by palette. */
  const adjusted = computed<ReadonlyMap<PaletteId, readonly Adjusted[]>>(() =>
    panelShow.value && show.person ? adjustedInHand(panelShow.value, show.person) : new Map(),
  )
  /** The palette that is open in the hand. */
  const editing = computed(() => (show.person && show.view?.all.person.get(show.person)?.editing) ?? null)

  /** The palette the shelf is to bring into view. */
  const revealed = shallowRef<{ readonly palette: PaletteId } | null>(null)

  /** Brings a palette into view on its shelf. */
  function reveal(palette: PaletteId) {
    shelf.value = show.view?.all.palette.get(palette)?.shelf ?? shelf.value
    filter.value = 'all'
    revealed.value = { palette }
  }

  /** Brings the palette of a number into view: one that was recorded just now. */
  function revealNumber(number: number) {
    for (const [id, palette] of show.view?.all.palette ?? []) if (palette.number === number) reveal(asPaletteId(id))
  }

  /** Opens a palette's panel, on its shelf. */
  function look(palette: PaletteId) {
    looked.value = palette
    reveal(palette)
  }

  /** Puts a palette in the hand for the selection; without one, for all the palette holds, which is selected then. */
  async function recall(palette: PaletteId, as: 'link' | 'loose' = 'link') {
    const fixtures = selection.fixtures.length > 0 ? [...selection.fixtures] : null
    const seconds = recallTime.value ?? undefined
    const done = show.send('recallPalette', { palette, fixtures, as, seconds })
    if (fixtures === null && recallSelects.value) selectServed(palette)
    return done
  }

  function selectServed(palette: PaletteId) {
    if (show.view) selection.set(servedBy(show.view, palette).map(({ id }) => id))
  }

  /** Opens a palette in the hand to be changed in place; its fixtures are selected where none are. */
  async function edit(palette: PaletteId) {
    const isOpen = await show.send('openPalette', { palette })
    if (!isOpen || !show.view) return
    looked.value = null
    if (selection.fixtures.length === 0) selectServed(palette)
  }

  return {
    shelf,
    size,
    filter,
    looked: opened,
    look,
    revealed,
    revealNumber,
    close: () => (looked.value = null),
    dialog,
    recallTime,
    recallSelects,
    use,
    adjusted,
    editing,
    recall,
    edit,
  }
})
