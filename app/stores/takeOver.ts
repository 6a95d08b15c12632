/** What is to be taken over from another venue or another show: the source, the mask, and what that comes to. */
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { LEADING } from '#core/attributes/catalogue'
import type { CommandInput } from '#core/commands/registry'
import { palettesInOrder } from '#core/palettes/resolve'
import { inVenue } from '#core/refocus/difference'
import { takeOver, type TakeOverMask } from '#core/refocus/takeOver'
import type { PaletteId, VenueId } from '#core/show/ids'
import type { Mask } from '#core/show/masks'
import { showRecordOf, type Show } from '#core/show/show'
import { beginReadingBackup, type BackupReading } from '../session/backupReading'
import { useRefocusRoom } from './refocusRoom'
import { useShow } from './show'

export const useTakeOver = defineStore('takeOver', () => {
  const store = useShow()
  const room = useRefocusRoom()
  const askedVenue = ref<VenueId | null>(null)
  /** Another show that was looked into, by the name of its file. */
  const other = shallowRef<{ readonly show: Show; readonly file: string } | null>(null)
  const trouble = ref<string | null>(null)
  const palettes = ref<ReadonlySet<PaletteId>>(new Set())
  const mask = ref<Mask>({ take: ['position'], heldBack: [] })
  const as = ref<TakeOverMask['as']>('place')
  const match = ref<TakeOverMask['match']>('number')
  const byHand = ref<ReadonlyMap<PaletteId, PaletteId | null>>(new Map())
  const where = ref<CommandInput<'takeOverValues'>['where']>('for here')

  const venue = computed(() => {
    const others = room.venues.filter(({ id }) => id !== room.inPlay)
    return (others.find(({ id }) => id === askedVenue.value) ?? others[0])?.id ?? null
  })
  /** The show looked into, as it plays where it is taken from. */
  const source = computed<Show | null>(() => {
    if (other.value) return other.value.show
    return store.view && venue.value ? inVenue(store.view, venue.value) : null
  })
  const there = computed(() => (source.value ? palettesInOrder(source.value) : []))
  watch(
    () => [other.value, venue.value],
    () => ([palettes.value, byHand.value] = [new Set(), new Map()]),
  )

  const found = computed(() =>
    store.view && source.value
      ? takeOver(store.view, source.value, {
          ...mask.value,
          palettes: [...palettes.value],
          fixtures: null,
          as: as.value,
          match: match.value,
          byHand: byHand.value,
        })
      : null,
  )
  const name = computed(() => {
    if (!source.value) return ''
    const record = showRecordOf(source.value)
    const venueName = source.value.all.venue.get(record.venue)?.name ?? ''
    return other.value ? `${record.name} at ${venueName}` : venueName
  })

  /** The file that is being read. */
  const reading = shallowRef<(BackupReading & { readonly file: string }) | null>(null)
  async function lookInto(file: File) {
    reading.value?.stop()
    const one = { ...beginReadingBackup(file), file: file.name }
    reading.value = one
    trouble.value = null
    const read = await one.read
    if (reading.value === one) reading.value = null
    if (!read) return
    trouble.value = read.ok ? null : read.message
    if (read.ok) other.value = { show: read.show, file: file.name }
  }
  onScopeDispose(() => reading.value?.stop())
  function choose(palette: PaletteId) {
    const chosen = new Set(palettes.value)
    if (!chosen.delete(palette)) chosen.add(palette)
    palettes.value = chosen
  }
  function matchByHand(from: PaletteId, to: PaletteId | null) {
    byHand.value = new Map(byHand.value).set(from, to)
  }
  /** Whether any place would be taken: only those can be touch-ups. */
  const hasPlaces = computed(() => found.value?.lines.some(({ attribute }) => attribute === LEADING.place) ?? false)

  return {
    ...{ askedVenue, other, trouble, palettes, mask, as, match, byHand, where, venue, source, there, found, name },
    ...{ hasPlaces, reading, lookInto, choose, matchByHand },
  }
})
