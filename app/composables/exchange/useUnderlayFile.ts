/** What of a drawing is laid under the plan, and how it is kept. */
import { computed, type ComputedRef, type Ref } from 'vue'
import type { Refusal } from '#core/commands/command'
import type { TakenRig } from '#core/commands/rig/takeRig'
import { linesAsText } from '#core/exchange/drawing/linesFile'
import { isPictureTaken, linesTaken, underlayFields } from '#core/exchange/drawing/planUnderlay'
import type { Placement } from '#core/exchange/mvr/placement'
import type { RigItem } from '#core/exchange/mvr/rigItem'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import type { Show } from '#core/show/show'
import { keepFile } from './keepFile'
import type { PictureFile } from './pictureFile'

interface LookedAtDrawing {
  readonly reading: Ref<RigReading | null>
  readonly picture: Ref<PictureFile | null>
  readonly placement: Ref<Placement>
  readonly taken: ComputedRef<readonly RigItem[]>
}

type Laid =
  { readonly ok: true; readonly underlays: TakenRig['underlays'] } | { readonly ok: false; readonly refusal: Refusal }

export function useUnderlayFile(show: () => Show, { reading, picture, placement, taken }: LookedAtDrawing) {
  const keys = computed(() => new Set(taken.value.map(({ key }) => key)))
  const read = computed(() => reading.value?.underlay ?? null)
  /** The lines that will lie there; null where there are none, or it is a picture. */
  const lines = computed(() => (read.value ? linesTaken(read.value, (key) => keys.value.has(key)) : null))
  /** The picture that will lie there, as a data URL. */
  const shown = computed(() =>
    read.value && isPictureTaken(read.value, (key) => keys.value.has(key)) ? (picture.value?.shown ?? null) : null,
  )

  /** Puts its file in; nothing where none of it is taken. */
  async function lay(): Promise<Laid> {
    const blob = shown.value ? picture.value?.kept : lines.value && new Blob([linesAsText(lines.value)])
    if (!read.value || !blob) return { ok: true, underlays: [] }
    const kept = await keepFile(show().id, blob)
    if (!kept.ok) return kept
    return { ok: true, underlays: [{ ...underlayFields(read.value, placement.value), ...kept.body }] }
  }

  return { lines, shown, lay }
}
