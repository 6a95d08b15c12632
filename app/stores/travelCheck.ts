/** What cannot be watched of the moves of every list: checked beside the page, and again as the show changes. */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, triggerRef, watch } from 'vue'
import type { CueId, ShowId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { acceptedSweeps, openSweeps } from '#core/travel/accepted'
import { CHECKED_KINDS, faultyByCue, type CheckedCourse, type FixtureStep } from '#core/travel/check'
import { useConfirmed } from './confirmed'
import type { Fault } from './cuesRoom'
import { useShow } from './show'

const NOTHING: readonly FixtureStep[] = []

export const useTravelCheck = defineStore('travelCheck', () => {
  const store = useShow()
  const ground = useConfirmed()
  const courses = shallowRef(new Map<string, CheckedCourse>())
  /** The show they are of. */
  let of: ShowId | null = null
  /** How far a check has come, 0 to 1; null while none goes on. */
  const part = ref<number | null>(null)
  /** Whether the last check was stopped by hand: what is told is as it was before. */
  const isStopped = ref(false)

  /** Of what is still there. */
  const known = computed(() => {
    const show = store.view
    if (!show) return []
    const rig = rigOf(show)
    return [...courses.value.values()].filter(({ list, fixture }) => show.all.cueList.has(list) && rig.has(fixture))
  })
  const faulty = computed(() => faultyByCue(known.value))
  /** How many cues have such faults. */
  const counts = computed<Record<Fault, number>>(() => {
    const all = [...faulty.value.values()]
    const counted = (fault: Fault) => all.filter((steps) => steps.some((step) => hasFault(step, fault))).length
    return { tooFast: counted('tooFast'), sweeps: counted('sweeps'), accepted: counted('accepted') }
  })
  /** Whether a step is wanting in this; what is accepted is told apart. */
  function hasFault(step: FixtureStep, fault: Fault): boolean {
    if (fault === 'tooFast') return step.tooFast !== null
    if (!store.view) return false
    return (fault === 'sweeps' ? openSweeps : acceptedSweeps)(store.view, step).length > 0
  }
  const faultsOf = (cue: CueId) => faulty.value.get(cue) ?? NOTHING
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
    const late = steps.filter(({ tooFast }) => tooFast).length
    const sweeping = steps.filter(({ sweeps }) => sweeps.length > 0).length
    return [late > 0 ? `${late} too fast` : '', sweeping > 0 ? `${sweeping} sweep` : '']
      .filter((part) => part)
      .join(', ')
  }

  async function look() {
    const show = store.view
    if (!show) return
    if (show.id !== of) courses.value = new Map()
    of = show.id
    isStopped.value = false
    part.value = 0
    const isWhole = await ground.checkMoves(show, (news) => {
      for (const course of news.courses) courses.value.set(`${course.list} ${course.fixture}`, course)
      if (news.courses.length > 0) triggerRef(courses)
      part.value = news.part
    })
    if (isWhole || isStopped.value) part.value = null
  }

  /** Leaves off; what was found by then stays. */
  function stop() {
    isStopped.value = true
    part.value = null
    ground.stopCheck()
  }

  /** Looks on as long as somebody wants to know, whenever something it goes by changes. */
  function follow() {
    const sources = CHECKED_KINDS.map((kind) => () => store.view?.all[kind])
    return watch([() => store.view?.id, ...sources], () => void look(), { immediate: true })
  }

  return { known, faulty, counts, faultsOf, openFaultsOf, troubleOf, hasFault, part, isStopped, look, stop, follow }
})
