/** How the light that is checked in a pass is moved: by how much, which way one faces, and what a correction counts for. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { mayRun } from '#core/access/roles'
import { LEADING } from '#core/attributes/catalogue'
import { length, vec3, type Vec3 } from '#core/geometry/vector'
import { storedFor } from '#core/palettes/resolve'
import { touchUpsOf } from '#core/palettes/touchUps'
import { touchOf } from '#core/refocus/touchUpBy'
import { offsetIn } from '#core/show/perVenue'
import { rigOf } from '#core/show/rig'
import { usePass } from './pass'
import { useRefocusRoom } from './refocusRoom'
import { useShow } from './show'

/** How far a nudge goes: metres on the floor, degrees of the axes. */
export const NUDGES = {
  metres: [0.01, 0.05, 0.2],
  degrees: [0.1, 0.5, 2],
} as const
export type NudgeUnit = keyof typeof NUDGES

export const usePassNudges = defineStore('passNudges', () => {
  const store = useShow()
  const room = useRefocusRoom()
  const pass = usePass()
  const unit = ref<NudgeUnit>('metres')
  /** Which of the nudges. */
  const size = ref(1)
  /** Where whoever is on the stage looks, degrees clockwise from upstage as seen from above. */
  const facing = useLocalStorage('rhopander-facing', 0)
  /** How far the light worked on has been touched up here; of one fixture, or the first of all. */
  const touch = computed(() => {
    const [first] = pass.meant
    return store.view && pass.line && first ? touchOf(store.view, pass.line.palette, first) : null
  })
  const corrections = computed(() => pass.pass?.pass.corrections ?? 'for here')
  const mayCorrectForGood = computed(() => mayRun(store.role, 'correctPalette'))

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
  function correct(by: { metres: Vec3 } | { degrees: { pan: number; tilt: number } }) {
    const { line: looked } = pass
    if (!looked || pass.meant.length === 0) return Promise.resolve(false)
    const input = { palette: looked.palette, fixtures: [...pass.meant], by }
    return store.send(corrections.value === 'for good' ? 'correctPalette' : 'touchUp', input)
  }
  /** Makes the pools worked on so much larger, in every venue. */
  function resize(factor: number) {
    const { line: looked } = pass
    if (!looked || pass.meant.length === 0) return Promise.resolve(false)
    return store.send('resizeInPalette', { palette: looked.palette, fixtures: [...pass.meant], factor })
  }
  /** Takes away what is touched up here of the light worked on. */
  function putBack() {
    const { line: looked } = pass
    if (!looked || !room.inPlay) return Promise.resolve(false)
    const [palette, venue] = [looked.palette, room.inPlay]
    return store.send('clearTouchUps', { touchUps: pass.meant.map((one) => ({ venue, palette, fixture: one })) })
  }
  /** Whether the palette itself has any of them off its target: the reverse of making good makes that a touch-up. */
  const hasOwnOffset = computed(() => {
    const { view } = store
    const { line: looked } = pass
    if (!view || !looked) return false
    return pass.meant.some((id) => {
      const rigged = rigOf(view).get(id)
      const value = rigged && storedFor(view, looked.palette, rigged, LEADING.place)?.value
      return value?.kind === 'aim' && value.target !== null && length(offsetIn(value, room.inPlay ?? '')) > 1e-4
    })
  })
  const keepOffsetHere = () =>
    pass.line ? store.send('keepOffsetHere', { palette: pass.line.palette, fixtures: [...pass.meant] }) : null
  /** The touch-ups of the light worked on. */
  const touchUps = computed(() => {
    const [{ view }, { line: looked }] = [store, pass]
    if (!view || !looked) return []
    const known = pass.meant.flatMap((one) => touchUpsOf(view, looked.palette, one))
    return known.filter(({ venue }) => venue === room.inPlay)
  })
  const isTouchedUp = computed(
    () => pass.line?.fixtures.some((one) => one.isTouchedUp && pass.meant.includes(one.fixture)) ?? false,
  )

  return {
    ...{ unit, size, facing, touch, corrections, mayCorrectForGood, hasOwnOffset, isTouchedUp },
    touchUps,
    ...{ nudge, moveBy, resize, putBack, keepOffsetHere },
  }
})
