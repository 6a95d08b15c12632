/** Whether a file that is taken is kept with the show, so that what has no place here goes out with it again. */
import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { TakenFile } from '#core/commands/rig/takeRig'
import type { Refusal } from '#core/commands/command'
import type { AXES } from '#core/exchange/gdtf/readType'
import type { Placement } from '#core/exchange/mvr/placement'
import type { RigPlan } from '#core/exchange/mvr/rigPlan'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import { MOST_KEPT } from '#core/show/entities'
import { rigFilesOf } from '#core/show/keptFiles'
import type { Show } from '#core/show/show'
import { keepFile } from './keepFile'

/** What is known of a file that is looked at. */
interface LookedAtFile {
  readonly file: Ref<File | null>
  readonly reading: Ref<RigReading | null>
  readonly plan: ComputedRef<RigPlan | null>
  readonly placement: Ref<Placement>
  readonly leftHanded: Ref<readonly (typeof AXES)[number][]>
}

const KEPT = 'Kept'
const NOT_KEPT = 'Not kept'

export function useKeeping(show: () => Show, { file, reading, plan, placement, leftHanded }: LookedAtFile) {
  const said = ref<string | null>(null)
  const isTooLarge = computed(() => (file.value?.size ?? 0) > MOST_KEPT)
  /** Whatever the file is called: a type by itself is in no other file. */
  const isRig = computed(() => reading.value !== null && !reading.value.types.some(({ entry }) => entry === ''))
  /** The newest that is kept for the venue already. */
  const before = computed(() => rigFilesOf(show())[0] ?? null)
  const inPlace = computed(() => (isRig.value && before.value ? `In place of ${before.value[1].name}` : null))

  /** What can be chosen; nothing for a drawing, which is all taken. */
  const choices = computed((): readonly string[] => {
    if (reading.value === null || reading.value.drawing) return []
    if (isTooLarge.value) return [NOT_KEPT]
    return inPlace.value === null ? [KEPT, NOT_KEPT] : [inPlace.value, 'Beside it', NOT_KEPT]
  })
  /** A newer file of a rig that is there stands for the one before. */
  const isKnownRig = computed(() => {
    const known = plan.value
    return (
      known !== null &&
      (known.same > 0 ||
        known.items.some(({ kind, what, suggested: isSure }) => kind === 'fixture' && what !== 'new' && isSure))
    )
  })
  const suggested = computed(() => (inPlace.value && !isKnownRig.value ? 'Beside it' : (choices.value[0] ?? NOT_KEPT)))
  const chosen = computed({
    get: () => (said.value !== null && choices.value.includes(said.value) ? said.value : suggested.value),
    set: (choice: string) => (said.value = choice),
  })

  const willKeep = computed(() => reading.value !== null && choices.value.length > 0 && chosen.value !== NOT_KEPT)

  /** Puts the file in; null where it is not to be kept. */
  async function keep(): Promise<{ ok: true; file: TakenFile | null } | { ok: false; refusal: Refusal }> {
    const from = file.value
    if (!from || !willKeep.value) return { ok: true, file: null }
    const answered = await keepFile(show().id, from)
    if (!answered.ok) return answered
    const { mirrored, turn, shift } = placement.value
    const replaces = chosen.value === inPlace.value ? (before.value?.[0] ?? null) : null
    const kept = { name: from.name.slice(0, 200), ...answered.body, leftHanded: [...leftHanded.value] }
    return { ok: true, file: { ...kept, rig: isRig.value ? { mirrored, turn, shift, replaces } : null } }
  }

  return { choices, chosen, willKeep, isTooLarge, keep, forget: () => (said.value = null) }
}
