/** What cannot be watched of the moves of every list: checked beside the page, and again as the show changes. */
import { group } from 'd3-array'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, triggerRef, watch } from 'vue'
import type { DarkMove } from '#core/cues/darkMoves'
import type { CueId, ShowId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { acceptedSweeps, openSweeps } from '#core/travel/accepted'
import { CHECKED_KINDS, faultySteps, type CheckedCourse, type FixtureStep } from '#core/travel/check'
import { darkFaultOf } from '#core/travel/dark'
import { useConfirmed } from './confirmed'
import type { Fault } from './cuesRoom'
import { useShow } from './show'

const NOTHING: readonly FixtureStep[] = []
const NO_MOVES: readonly DarkMove[] = []

/** A course, and what of it is wrong: told once as it comes, for a long list has tens of thousands of steps. */
interface KnownCourse {
  readonly course: CheckedCourse
  readonly faulty: readonly FixtureStep[]
  readonly late: readonly DarkMove[]
}

export const useTravelCheck = defineStore('travelCheck', () => {
  const store = useShow()
  const ground = useConfirmed()
  const courses = shallowRef(new Map<string, KnownCourse>())
  /** The show they are of. */
  let of: ShowId | null = null
  /** How often it was looked at: only the newest look tells how far it has come. */
  let looks = 0
  /** How far a check has come, 0 to 1; null while none goes on. */
  const part = ref<number | null>(null)
  /** Whether the last check was stopped by hand: what is told is as it was before. */
  const isStopped = ref(false)

  /** Of what is still there. */
  const there = computed(() => {
    const show = store.view
    if (!show) return []
    const rig = rigOf(show)
    return [...courses.value.values()].filter(
      ({ course: { list, fixture } }) => show.all.cueList.has(list) && rig.has(fixture),
    )
  })
  const known = computed(() => there.value.map(({ course }) => course))
  const faulty = computed(() =>
    group(
      there.value.flatMap((one) => one.faulty),
      ({ cue }) => cue,
    ),
  )
  /** What lights before it is in place, by the cue it lights in. */
  const late = computed(() =>
    group(
      there.value.flatMap((one) => one.late),
      ({ cue }) => cue,
    ),
  )
  /** How many cues have such faults. */
  const counts = computed<Record<Fault, number>>(() => {
    const all = [...faulty.value.values()]
    const counted = (fault: 'tooFast' | 'sweeps' | 'accepted') =>
      all.filter((steps) => steps.some((step) => hasFault(step, fault))).length
    const inTheDark = (fault: 'wrongPlace' | 'noTime') =>
      [...late.value.values()].filter((moves) => moves.some((move) => darkFaultOf(move) === fault)).length
    return {
      tooFast: counted('tooFast'),
      sweeps: counted('sweeps'),
      accepted: counted('accepted'),
      wrongPlace: inTheDark('wrongPlace'),
      noTime: inTheDark('noTime'),
    }
  })
  /** Whether a step is wanting in this; what is accepted is told apart. */
  function hasFault(step: FixtureStep, fault: 'tooFast' | 'sweeps' | 'accepted'): boolean {
    if (fault === 'tooFast') return step.tooFast !== null
    if (!store.view) return false
    return (fault === 'sweeps' ? openSweeps : acceptedSweeps)(store.view, step).length > 0
  }
  const faultsOf = (cue: CueId) => faulty.value.get(cue) ?? NOTHING
  const lateIn = (cue: CueId) => late.value.get(cue) ?? NO_MOVES
  /** The same without what is accepted. */
  const open = computed<ReadonlyMap<CueId, readonly FixtureStep[]>>(() => {
    const show = store.view
    if (!show) return new Map()
    return new Map(
      [...faulty.value].map(([cue, steps]) => [
        cue,
        steps
          .map((step) => ({ ...step, sweeps: openSweeps(show, step) }))
          .filter(({ tooFast, sweeps }) => tooFast !== null || sweeps.length > 0),
      ]),
    )
  })
  const openFaultsOf = (cue: CueId) => open.value.get(cue) ?? NOTHING
  /** What is wrong with the moves of a cue, in a few words; empty where nothing is. */
  function troubleOf(cue: CueId): string {
    const steps = openFaultsOf(cue)
    const fast = steps.filter(({ tooFast }) => tooFast).length
    const sweeping = steps.filter(({ sweeps }) => sweeps.length > 0).length
    const seen = new Set(lateIn(cue).map(({ fixture }) => fixture)).size
    return [
      fast > 0 ? `${fast} too fast` : '',
      sweeping > 0 ? `${sweeping} sweep` : '',
      seen > 0 ? `${seen} lit on the way` : '',
    ]
      .filter((words) => words)
      .join(', ')
  }

  async function look() {
    const show = store.view
    if (!show) return
    if (show.id !== of) courses.value = new Map()
    of = show.id
    isStopped.value = false
    part.value = 0
    const own = (looks += 1)
    const isWhole = await ground.checkMoves(show, (news) => {
      for (const course of news.found) {
        const wrong = course.dark.filter((move) => darkFaultOf(move) !== null)
        courses.value.set(`${course.list} ${course.fixture}`, { course, faulty: faultySteps(course), late: wrong })
      }
      if (news.found.length > 0) triggerRef(courses)
      // The last of the news may come after the end, which is told another way.
      if (own === looks && part.value !== null) part.value = news.part
    })
    if (own === looks && (isWhole || isStopped.value)) part.value = null
  }

  /** Leaves off; what was found by then stays. */
  function stop() {
    isStopped.value = true
    part.value = null
    ground.stop('check')
  }

  /** Looks on as long as somebody wants to know, whenever something it goes by changes. */
  function follow() {
    const sources = CHECKED_KINDS.map((kind) => () => store.view?.all[kind])
    return watch([() => store.view?.id, ...sources], () => void look(), { immediate: true })
  }

  return {
    known,
    counts,
    faultsOf,
    openFaultsOf,
    lateIn,
    troubleOf,
    hasFault,
    part,
    isStopped,
    look,
    stop,
    follow,
  }
})
