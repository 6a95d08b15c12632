/** The pass of the venue in play as this window works in it: which palette and fixture, how far a nudge goes, which way one faces. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { mayRun } from '#core/access/roles'
import { paletteLight } from '#core/cues/paletteLight'
import { LEADING } from '#core/attributes/catalogue'
import { length, vec3 } from '#core/geometry/vector'
import { storedFor } from '#core/palettes/resolve'
import { offsetIn } from '#core/show/perVenue'
import { rigOf } from '#core/show/rig'
import { inVenue } from '#core/refocus/difference'
import { openCueNotes } from '#core/refocus/cueNotes'
import { nextToCheck, passOf, passProgress, type PassLine } from '#core/refocus/pass'
import { touchOf } from '#core/refocus/touchUpBy'
import type { FixtureId, PaletteId, VenueId } from '#core/show/ids'
import { useMessages } from './messages'
import { useRefocusRoom } from './refocusRoom'
import { useShow } from './show'

/** How far a nudge goes: metres on the floor, degrees of the axes. */
export const NUDGES = {
  metres: [0.01, 0.05, 0.2],
  degrees: [0.1, 0.5, 2],
} as const
export type NudgeUnit = keyof typeof NUDGES

export const usePass = defineStore('pass', () => {
  const store = useShow()
  const room = useRefocusRoom()
  const messages = useMessages()
  const asked = ref<PaletteId | null>(null)
  const only = ref<FixtureId | null>(null)
  /** Whether the one fixture worked on is lit alone, with the others of its palette out. */
  const isAlone = ref(true)
  const unit = ref<NudgeUnit>('metres')
  /** Which of the nudges. */
  const size = ref(1)
  /** Where whoever is on the stage looks, degrees clockwise from upstage as seen from above. */
  const facing = useLocalStorage('rhopander-facing', 0)
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
  /** How far the light worked on has been touched up here; of one fixture, or the first of all. */
  const touch = computed(() => {
    const [first] = meant.value
    return store.view && line.value && first ? touchOf(store.view, line.value.palette, first) : null
  })
  const corrections = computed(() => pass.value?.pass.corrections ?? 'for here')
  const mayCorrectForGood = computed(() => mayRun(store.role, 'correctPalette'))

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
    const next = store.person ? nextToCheck(lines.value, from, store.person) : null
    if (next === null) messages.say('Nothing is left to check at this venue.')
    await look(next ?? from)
  }
  async function mark(as: 'another look' | 'cannot be done' | null) {
    const { value: looked } = line
    if (!looked) return
    if ((await store.send('markInPass', { palette: looked.palette, mark: as })) && as !== null)
      await goOn(looked.palette)
  }

  /** Moves the light: to the right and away as one faces, in steps of the size chosen, or by so many metres. */
  function nudge(right: number, away: number, part = 1) {
    const by = NUDGES[unit.value][size.value] ?? NUDGES[unit.value][1]
    if (unit.value === 'metres') return moveBy(right * by * part, away * by * part)
    return correct({ degrees: { pan: right * by * part, tilt: away * by * part } })
  }
  function moveBy(right: number, away: number) {
    const turn = (facing.value * Math.PI) / 180
    const x = right * Math.cos(turn) + away * Math.sin(turn)
    const y = away * Math.cos(turn) - right * Math.sin(turn)
    return correct({ metres: vec3(x, y, 0) })
  }
  function correct(by: { metres: ReturnType<typeof vec3> } | { degrees: { pan: number; tilt: number } }) {
    const { value: looked } = line
    if (!looked || meant.value.length === 0) return Promise.resolve(false)
    const input = { palette: looked.palette, fixtures: [...meant.value], by }
    return store.send(corrections.value === 'for good' ? 'correctPalette' : 'touchUp', input)
  }
  /** Makes the pools worked on so much larger, in every venue. */
  function resize(factor: number) {
    const { value: looked } = line
    if (!looked || meant.value.length === 0) return Promise.resolve(false)
    return store.send('resizeInPalette', { palette: looked.palette, fixtures: [...meant.value], factor })
  }
  /** Takes away what is touched up here of the light worked on. */
  function putBack() {
    const { value: looked } = line
    if (!looked || !room.inPlay) return Promise.resolve(false)
    const [palette, venue] = [looked.palette, room.inPlay]
    return store.send('clearTouchUps', { touchUps: meant.value.map((one) => ({ venue, palette, fixture: one })) })
  }
  /** Whether the palette itself has any of them off its target: the reverse of making good makes that a touch-up. */
  const hasOwnOffset = computed(() => {
    const { view } = store
    const { value: looked } = line
    if (!view || !looked) return false
    return meant.value.some((id) => {
      const rigged = rigOf(view).get(id)
      const value = rigged && storedFor(view, looked.palette, rigged, LEADING.place)?.value
      return value?.kind === 'aim' && value.target !== null && length(offsetIn(value, room.inPlay ?? '')) > 1e-4
    })
  })
  const keepOffsetHere = () =>
    line.value ? store.send('keepOffsetHere', { palette: line.value.palette, fixtures: [...meant.value] }) : null
  const isTouchedUp = computed(
    () => line.value?.fixtures.some((one) => one.isTouchedUp && meant.value.includes(one.fixture)) ?? false,
  )

  return {
    ...{ pass, lines, line, progress, notes, fixture, meant, light, lightThere, other, touch, takenByOther, isAlone },
    ...{ unit, size, facing, comparedWith, isLive, corrections, mayCorrectForGood, isTouchedUp },
    ...{
      look,
      lookAt,
      step,
      confirm,
      mark,
      nudge,
      moveBy,
      putBack,
      setLive,
      setAlone,
      resize,
      keepOffsetHere,
      hasOwnOffset,
    },
  }
})
