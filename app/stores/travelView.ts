/** What the Travel view looks at: the moves of one cue, at an instant that can be moved by hand or runs. */
import { useRafFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { cuePicture } from '#core/cues/comparedCue'
import type { StageFixture } from '#core/cues/onStage'
import { placeOfCue, valuesByCue } from '#core/cues/tracking'
import { moveTime } from '#core/kinematics/motorTime'
import type { FixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { DARK } from '#core/cues/darkness'
import { isSeenToMove, stepAt, type Step } from '#core/travel/course'
import { endOfStep, seenAt } from '#core/travel/onTheWay'
import type { TriedRemedy } from '../composables/travel/remedies'
import { useCuesRoom } from './cuesRoom'
import { useDarkPlan } from './darkPlan'
import { useSelection } from './selection'
import { useUnwinding } from './unwinding'

export const useTravelView = defineStore('travelView', () => {
  const room = useCuesRoom()
  const selection = useSelection()
  const plan = useDarkPlan()
  const unwinding = useUnwinding()
  /** Seconds from the start of the cue. */
  const instant = ref(0)

  /** What is looked at instead of the cue as it is: as it would be with something done about it. */
  const tried = shallowRef<TriedRemedy | null>(null)

  /** What the cue does with every fixture it sets something of, or that moves in the dark in it. */
  const steps = computed<readonly Step[]>(() => {
    const { cue } = room
    const show = tried.value?.show ?? plan.tried ?? unwinding.tried ?? room.show
    const place = show && cue && placeOfCue(show, cue.id)
    if (!show || !cue || !place) return []
    const ahead = plan.moves.filter(({ place: dark }) => dark.kind === 'goes' && dark.cue === cue.id)
    const set = new Set([...(valuesByCue(show).get(cue.id) ?? []), ...ahead].map(({ fixture }) => fixture))
    const rig = rigOf(show)
    return [...set].flatMap((id) => {
      const rigged = rig.get(id)
      return (rigged && stepAt(show, place.list, rigged, place.at)) ?? []
    })
  })
  const turning = computed(() =>
    steps.value.filter(({ from, to }) => moveTime(to.rigged.mount.head, from.position.pose, to.position.pose) > 0),
  )
  /** Those that are seen to move. */
  const seen = computed(() => turning.value.filter(isSeenToMove))
  /** Those looked at: the selected ones that turn, else all that are seen to. */
  const shown = computed(() => {
    const chosen = turning.value.filter(({ to }) => selection.order.has(to.rigged.id))
    return chosen.length > 0 ? chosen : seen.value.length > 0 ? seen.value : turning.value
  })

  /** When everything has arrived. */
  const end = computed(() => Math.max(0, ...steps.value.map(endOfStep)))
  const picture = computed<ReadonlyMap<FixtureId, StageFixture>>(() => {
    const { show } = room
    return new Map(show ? steps.value.map((step) => [step.to.rigged.id, seenAt(show, step, instant.value)]) : [])
  })
  const looked = computed(() => shown.value.flatMap(({ to }) => picture.value.get(to.rigged.id) ?? []))
  /** The rest of the light, as it is at the instant. */
  const around = computed(() => {
    const { show, cue } = room
    if (!show || !cue) return []
    const own = new Set(shown.value.map(({ to }) => to.rigged.id))
    return [...cuePicture(show, cue.id).values()]
      .filter(({ rigged }) => !own.has(rigged.id))
      .map((fixture) => picture.value.get(fixture.rigged.id) ?? fixture)
      .filter(({ intensity }) => intensity > DARK)
  })

  const {
    isActive: isPlaying,
    pause,
    resume,
  } = useRafFn(
    ({ delta }) => {
      instant.value = Math.min(end.value, instant.value + delta / 1000)
      if (instant.value >= end.value) pause()
    },
    { immediate: false },
  )
  /** Runs through the move in its own time, from the beginning where it has ended. */
  function play() {
    if (isPlaying.value) return pause()
    if (instant.value >= end.value) instant.value = 0
    resume()
  }
  function moveTo(seconds: number) {
    pause()
    instant.value = Math.min(end.value, Math.max(0, seconds))
  }
  watch(
    () => room.cue?.id,
    () => {
      tried.value = null
      moveTo(0)
    },
  )
  watch(end, () => (instant.value = Math.min(instant.value, end.value)))

  return { instant, tried, steps, turning, seen, shown, end, looked, around, isPlaying, play, moveTo }
})
