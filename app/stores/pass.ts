/** The pass of the venue in play as this window works in it: which palette and fixture, and whether the stage follows. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { paletteLight } from '#core/cues/paletteLight'
import { inVenue } from '#core/refocus/difference'
import { openCueNotes } from '#core/refocus/cueNotes'
import { nextToCheck, passOf, passProgress, type PassLine } from '#core/refocus/pass'
import type { FixtureId, PaletteId, VenueId } from '#core/show/ids'
import { useMessages } from './messages'
import { useRefocusRoom } from './refocusRoom'
import { useShow } from './show'

export const usePass = defineStore('pass', () => {
  const store = useShow()
  const room = useRefocusRoom()
  const messages = useMessages()
  const asked = ref<PaletteId | null>(null)
  const only = ref<FixtureId | null>(null)
  /** Whether the one fixture worked on is lit alone, with the others of its palette out. */
  const isAlone = ref(true)
  const comparedWith = ref<VenueId | null>(null)

  const pass = computed(() => (store.view ? passOf(store.view) : null))
  const lines = computed(() => pass.value?.lines ?? [])
  const progress = computed(() => passProgress(lines.value))
  const notes = computed(() => (store.view ? openCueNotes(store.view) : []))
  /** What this person has brought up on stage; null while the stage is let alone. */
  const checking = computed(() => (store.person && store.view?.all.person.get(store.person)?.checking) ?? null)
  const isLive = computed(() => pass.value !== null && checking.value !== null)
  const firstLeft = computed(() => (store.person ? nextToCheck(lines.value, null, store.person) : null))
  /** The palette looked at: the one asked for, else the one brought up, else the first that is left. */
  const line = computed<PassLine | null>(() => {
    const find = (id: PaletteId | null) => lines.value.find(({ palette }) => palette === id) ?? null
    return find(asked.value) ?? find(checking.value) ?? find(firstLeft.value) ?? lines.value[0] ?? null
  })
  /** The one fixture worked on; null for all of the palette. */
  const fixture = computed(() => line.value?.fixtures.find((one) => one.fixture === only.value)?.fixture ?? null)
  /** Those a nudge or a word counts for. */
  const meant = computed(() =>
    fixture.value === null ? (line.value?.fixtures.map((one) => one.fixture) ?? []) : [fixture.value],
  )
  const takenByOther = computed(() => {
    const by = line.value?.takenBy ?? null
    return by === null || by === store.person ? null : (store.view?.all.person.get(by)?.name ?? 'Someone else')
  })
  const light = computed(() => (store.view && line.value ? paletteLight(store.view, line.value.palette) : []))
  /** The other venue this one is compared with, while it is still there. */
  const other = computed(() => room.venues.find(({ id }) => id === comparedWith.value && id !== room.inPlay) ?? null)
  const lightThere = computed(() => {
    if (!store.view || !line.value || !other.value) return []
    const meantHere = new Set<string>(meant.value)
    const there = paletteLight(inVenue(store.view, other.value.id), line.value.palette)
    return there.filter(({ rigged }) => meantHere.has(rigged.id))
  })
  /** What is brought up follows what is looked at, as long as anything is and nobody else has it. */
  function bringUp() {
    const { value: looked } = line
    if (!looked || takenByOther.value) return store.send('checkPalette', { palette: null, only: null })
    return store.send('checkPalette', { palette: looked.palette, only: isAlone.value ? fixture.value : null })
  }
  const follow = () => (isLive.value ? bringUp() : Promise.resolve(true))
  const setLive = (live: boolean) => (live ? bringUp() : store.send('checkPalette', { palette: null, only: null }))

  function look(palette: PaletteId | null) {
    ;[asked.value, only.value] = [palette, null]
    return follow()
  }
  function setAlone(alone: boolean) {
    isAlone.value = alone
    return follow()
  }
  function lookAt(one: FixtureId | null) {
    only.value = one
    return follow()
  }
  /** To the next fixture of the palette or the one before; past the ends to all of them. */
  function step(by: 1 | -1) {
    const all: readonly (FixtureId | null)[] = [null, ...(line.value?.fixtures.map((one) => one.fixture) ?? [])]
    return lookAt(all[(all.indexOf(fixture.value) + by + all.length) % all.length] ?? null)
  }

  /** Finds what is worked on right, and goes on: to the next fixture that is not, then to the next palette. */
  async function confirm() {
    const { value: looked } = line
    if (!looked) return
    const fixtures = fixture.value === null ? null : [fixture.value]
    if (!(await store.send('confirmInPass', { palette: looked.palette, fixtures }))) return
    await goOn(looked.palette)
  }
  async function goOn(from: PaletteId) {
    const found = lines.value.find(({ palette }) => palette === from)
    const left = found?.fixtures.find(({ state }) => state !== 'right')?.fixture ?? null
    if (fixture.value !== null && left !== null) return void (await lookAt(left))
    await toNext(from)
  }
  async function toNext(from: PaletteId) {
    const next = store.person ? nextToCheck(lines.value, from, store.person) : null
    if (next === null) messages.say('Nothing is left to check at this venue.')
    await look(next ?? from)
  }
  async function mark(as: 'another look' | 'cannot be done' | null) {
    const { value: looked } = line
    if (!looked) return
    if ((await store.send('markInPass', { palette: looked.palette, mark: as })) && as !== null)
      await toNext(looked.palette)
  }

  return {
    ...{ pass, lines, line, progress, notes, fixture, meant, light, lightThere, other, takenByOther },
    ...{ isAlone, comparedWith, isLive, look, lookAt, step, confirm, mark, setLive, setAlone },
  }
})
