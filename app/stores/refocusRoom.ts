/** What is looked at in the Refocus room. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { venueSheet, venuesInOrder, type VenueRow } from '#core/refocus/venueSheet'
import type { VenueId } from '#core/show/ids'
import { showRecordOf } from '#core/show/show'
import { useShow } from './show'

/** Which lines of the venues' sheet are shown. */
export const LINE_KINDS = [
  { key: 'all', name: 'all', kinds: null },
  { key: 'hangs', name: 'hangs', kinds: ['hang'] },
  { key: 'fixtures', name: 'fixtures', kinds: ['fixture'] },
  { key: 'set', name: 'set', kinds: ['setPiece', 'target'] },
  { key: 'stage', name: 'stage', kinds: ['opening', 'zone', 'level'] },
  { key: 'touchUps', name: 'touch-ups', kinds: ['touchUp'] },
] as const satisfies readonly { key: string; name: string; kinds: readonly VenueRow['kind'][] | null }[]
export type LineKind = (typeof LINE_KINDS)[number]['key']

/** The parts of the room. */
export const REFOCUS_VIEWS = [
  { key: 'venues', name: 'Per venue' },
  { key: 'difference', name: 'Difference' },
  { key: 'pass', name: 'Pass' },
  { key: 'touchUps', name: 'Touch-ups' },
  { key: 'trueUp', name: 'True up' },
  { key: 'angles', name: 'Angles' },
  { key: 'takeOver', name: 'Take over' },
  { key: 'cues', name: 'Through the cues' },
] as const
export type RefocusView = (typeof REFOCUS_VIEWS)[number]['key']

export const useRefocusRoom = defineStore('refocusRoom', () => {
  const store = useShow()
  const view = ref<RefocusView>('venues')
  const asked = ref<VenueId | null>(null)
  const lines = ref<LineKind>('all')
  /** Whether only lines are shown in which the venues differ. */
  const onlyDiffering = ref(true)
  const isAdding = ref(false)

  const venues = computed(() => (store.view ? venuesInOrder(store.view) : []))
  const inPlay = computed(() => (store.view ? showRecordOf(store.view).venue : null))
  /** The venue looked at: the one chosen, else the one in play. */
  const venue = computed(() => {
    const wanted = venues.value.find(({ id }) => id === asked.value) ? asked.value : inPlay.value
    return venues.value.find(({ id }) => id === wanted) ?? null
  })
  const sheet = computed(() => (store.view ? venueSheet(store.view) : []))
  const shown = computed(() => {
    const kinds: readonly VenueRow['kind'][] | null = LINE_KINDS.find(({ key }) => key === lines.value)?.kinds ?? null
    return sheet.value.filter(
      (row) => (!onlyDiffering.value || row.differs) && (kinds === null || kinds.includes(row.kind)),
    )
  })

  return { view, asked, lines, onlyDiffering, isAdding, venues, inPlay, venue, sheet, shown }
})
