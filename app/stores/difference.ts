/** What two venues do to each palette: looked for beside the page, and again as the show changes. */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { byHurt, lossesOf, type Loss, type PaletteDifference } from '#core/refocus/difference'
import type { VenueId } from '#core/show/ids'
import { useConfirmed } from './confirmed'
import { useRefocusRoom } from './refocusRoom'
import { useShow } from './show'

export const useDifference = defineStore('difference', () => {
  const store = useShow()
  const ground = useConfirmed()
  const room = useRefocusRoom()

  const askedHere = ref<VenueId | null>(null)
  const askedThere = ref<VenueId | null>(null)
  const filter = ref<Loss | 'all'>('all')
  const found = shallowRef<readonly PaletteDifference[]>([])
  /** How far the look has come, 0 to 1; null while none goes on. */
  const part = ref<number | null>(null)
  let looks = 0

  const isThere = (id: VenueId | null) => room.venues.some((one) => one.id === id)
  const here = computed(() => (isThere(askedHere.value) ? askedHere.value : room.inPlay))
  /** The venue compared with: the one chosen, else the first other. */
  const there = computed(() => {
    if (isThere(askedThere.value) && askedThere.value !== here.value) return askedThere.value
    return room.venues.find(({ id }) => id !== here.value)?.id ?? null
  })

  async function look() {
    const own = (looks += 1)
    const show = store.view
    if (!show || !here.value || !there.value) return void (found.value = [])
    part.value = 0
    const all: PaletteDifference[] = []
    const isWhole = await ground.difference(show, here.value, there.value, (news) => {
      all.push(...news.found)
      // The last of the news may come after the end.
      if (own === looks && news.part < 1) part.value = news.part
      if (own === looks && news.part === 1) [found.value, part.value] = [[...all].sort(byHurt), null]
    })
    if (own === looks && !isWhole) part.value = null
  }
  function stop() {
    looks += 1
    part.value = null
    ground.stop('difference')
  }
  /** Looks on as long as somebody wants to know. */
  function follow() {
    const changed = () => [store.view?.id, here.value, there.value, ...KINDS.map((kind) => store.view?.all[kind])]
    return watch(changed, () => void look(), { immediate: true })
  }

  const shown = computed(() =>
    found.value.filter(({ fixtures }) => filter.value === 'all' || fixtures.flatMap(lossesOf).includes(filter.value)),
  )
  return { askedHere, askedThere, filter, found, part, here, there, shown, look, stop, follow }
})

/** What the differences go by. */
const KINDS = [
  ...(['palette', 'paletteValue', 'touchUp', 'venue', 'hangPlace', 'fixturePlace', 'fixture', 'fixtureType'] as const),
  ...(['substitute', 'setPiece', 'setPiecePlace', 'target', 'targetPlace'] as const),
]
