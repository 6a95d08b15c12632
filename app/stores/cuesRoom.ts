/** What this window looks at in the Cues room: list, cue, family, how near, what is filtered, which cells. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { carrySheet } from '#core/cues/carrySheet'
import { listsInOrder, type CueInOrder } from '#core/cues/tracking'
import type { Family } from '#core/attributes/families'
import type { CueId, CueListId, FixtureId, PaletteId } from '#core/show/ids'
import type { DarkFault } from '#core/travel/dark'
import { useProposal } from './proposal'

/** What the moves of a cue can be found wanting in. */
export type Fault = 'tooFast' | 'sweeps' | 'accepted' | 'wrongPlace' | 'noTime'

/** Pixels of a row and of a cell, from the whole show to single values. */
export const SHEET_ZOOMS = [
  { name: 'the show', row: 13, cell: 6, values: false },
  { name: 'near', row: 22, cell: 10, values: false },
  { name: 'cues', row: 32, cell: 14, values: false },
  { name: 'values', row: 32, cell: 66, values: true },
] as const

/** The cells chosen: a box of cues by fixtures, as they stand in the sheet. */
export interface ChosenCells {
  readonly cues: readonly CueId[]
  readonly fixtures: readonly FixtureId[]
}

export type CuePanel = 'detail' | 'loose' | 'replace' | 'dark' | 'ways' | Exclude<Fault, DarkFault>

export const useCuesRoom = defineStore('cuesRoom', () => {
  const proposal = useProposal()
  const listId = ref<CueListId | null>(null)
  const looked = ref<CueId | null>(null)
  const family = ref<Family>('position')
  const zoom = useLocalStorage('rhopander-sheet-zoom', 2)
  const panel = ref<CuePanel>('detail')
  /** What is seen of the list: what its cues carry, or how they move. */
  const view = ref<'sheet' | 'travel'>('sheet')
  const palette = ref<PaletteId | null>(null)
  /** Fixtures to show, as a person types them; empty for all. */
  const entry = ref('')
  const cells = shallowRef<ChosenCells | null>(null)
  const copied = shallowRef<{ readonly from: CueId; readonly fixtures: readonly FixtureId[] } | null>(null)

  const show = computed(() => proposal.drawn)
  const lists = computed(() => (show.value ? listsInOrder(show.value) : []))
  const list = computed(() => lists.value.find(({ id }) => id === listId.value) ?? lists.value[0] ?? null)
  const sheet = computed(() => (show.value && list.value ? carrySheet(show.value, list.value.id, family.value) : null))
  const size = computed(() => SHEET_ZOOMS[zoom.value] ?? SHEET_ZOOMS[2])

  /** The cue looked at: the one chosen, else the one on stage, else the first. */
  const cue = computed<CueInOrder | null>(() => {
    const cues = list.value?.cues ?? []
    const wanted = looked.value ?? list.value?.list.onStage
    return cues.find(({ id }) => id === wanted) ?? cues[0] ?? null
  })

  function look(id: CueId) {
    looked.value = id
    cells.value = null
    // Plans for a whole list are gone through cue by cue.
    if (panel.value !== 'dark' && panel.value !== 'ways') panel.value = 'detail'
  }

  /** Looks at a cue wherever it stands. */
  function find(id: CueId) {
    listId.value = lists.value.find(({ cues }) => cues.some((one) => one.id === id))?.id ?? listId.value
    look(id)
  }

  function lookAtList(id: CueListId) {
    listId.value = id
    looked.value = null
    cells.value = null
  }

  function choose(next: ChosenCells) {
    cells.value = next
    looked.value = next.cues[0] ?? looked.value
    panel.value = 'detail'
  }

  function zoomBy(by: 1 | -1) {
    zoom.value = Math.min(SHEET_ZOOMS.length - 1, Math.max(0, zoom.value + by))
  }

  return {
    listId,
    looked,
    family,
    zoom,
    panel,
    view,
    palette,
    entry,
    cells,
    copied,
    show,
    lists,
    list,
    sheet,
    size,
    cue,
    look,
    find,
    lookAtList,
    choose,
    zoomBy,
  }
})
