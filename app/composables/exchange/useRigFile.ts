/** A file being looked at: what is in it, where its origin lies, and what of it is taken. */
import { computed, ref, shallowRef } from 'vue'
import type { TakenRig } from '#core/commands/rig/takeRig'
import type { Refusal } from '#core/commands/command'
import type { Up } from '#core/exchange/drawing/units'
import { firstPlacement, liesTooFar, placedRig } from '#core/exchange/mvr/placement'
import type { RigItem } from '#core/exchange/mvr/rigItem'
import type { AXES } from '#core/exchange/gdtf/readType'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import { rigReading, type RigReading } from '#core/exchange/mvr/rigReading'
import type { Show } from '#core/show/show'
import { requestWithFile } from '../../session/request'
import { isPicture, readPicture, type PictureFile } from './pictureFile'
import { useKeeping } from './useKeeping'
import { usePlacing } from './usePlacing'
import { useUnderlayFile } from './useUnderlayFile'

type Axis = (typeof AXES)[number]

export function useRigFile(show: () => Show) {
  const name = ref('')
  const reading = shallowRef<RigReading | null>(null)
  const trouble = ref<string | null>(null)
  const isReading = ref(false)
  const said = shallowRef<ReadonlyMap<string, boolean>>(new Map())
  /** The axes of its types that count left-handed, which the standard leaves open. */
  const leftHanded = ref<readonly Axis[]>([])
  /** Which way is up in a drawing that does not say. */
  const up = ref<Up>('y')
  const file = shallowRef<File | null>(null)
  /** Where it is a picture or a page. */
  const picture = shallowRef<PictureFile | null>(null)
  const placing = usePlacing(reading)
  const { placement } = placing
  let stop: AbortController | null = null

  /** Begins to read, in place of what is still read; the signal says when this is given up. */
  function begin(): AbortSignal {
    stop?.abort()
    stop = new AbortController()
    isReading.value = true
    trouble.value = null
    return stop.signal
  }

  /** Reads a file; false where it cannot be read, or is given up. */
  async function read(from: File, axes: readonly Axis[], upwards: Up = 'y'): Promise<boolean> {
    const given = begin()
    const path = `/api/shows/${show().id}/rig/look?name=${encodeURIComponent(from.name)}&leftHanded=${axes.join(',')}&up=${upwards}`
    const answered = await requestWithFile(path, rigReading, from, given)
    if (given.aborted) return false
    isReading.value = false
    trouble.value = answered.ok ? null : answered.refusal.message
    if (answered.ok) reading.value = answered.body
    return answered.ok
  }

  /** Reads a picture, or a page of a PDF. */
  async function readPage(from: File, page: number): Promise<boolean> {
    const given = begin()
    const found = await readPicture(from, page, given)
    if (found === null) return false
    isReading.value = false
    if (typeof found === 'string') {
      trouble.value = found
      return false
    }
    picture.value = found
    reading.value = found.reading
    placing.reset(found.placement)
    return true
  }

  async function open(from: File) {
    const isRead = isPicture(from.name) ? readPage(from, 1) : read(from, [])
    if (!(await isRead)) return
    name.value = from.name
    file.value = from
    leftHanded.value = []
    up.value = 'y'
    said.value = new Map()
    keeping.forget()
    if (isPicture(from.name)) return
    picture.value = null
    if (reading.value) placing.reset(firstPlacement(reading.value))
  }

  /** Looks at another page of the PDF; says why it cannot be. */
  async function turnPage(page: number): Promise<string | null> {
    if (file.value) await readPage(file.value, page)
    return trouble.value
  }

  /** Reads the file again with an axis of its types counting the other way round. */
  async function turnAxis(axis: Axis) {
    const others = leftHanded.value.filter((one) => one !== axis)
    const axes = leftHanded.value.includes(axis) ? others : [...others, axis]
    if (file.value && (await read(file.value, axes))) leftHanded.value = axes
  }

  /** Reads a drawing again with another way up. */
  async function turnUp(upwards: Up) {
    if (file.value && (await read(file.value, [], upwards))) up.value = upwards
  }

  function cancel() {
    stop?.abort()
    isReading.value = false
  }

  const placed = computed(() => reading.value && placedRig(reading.value, placement.value))
  const isTooFar = computed(() => reading.value !== null && liesTooFar(reading.value, placement.value))
  const plan = computed(() => placed.value && rigPlan(show(), placed.value))
  const items = computed(() => plan.value?.items ?? [])
  const isTaken = ({ key, suggested }: RigItem) => said.value.get(key) ?? suggested
  const taken = computed(() => items.value.filter(isTaken))

  function take(some: readonly RigItem[], isWanted: boolean) {
    said.value = new Map([...said.value, ...some.map(({ key }) => [key, isWanted] as const)])
  }

  const keeping = useKeeping(show, { file, reading, plan, placement, leftHanded })
  const underlay = useUnderlayFile(show, { reading, picture, placement, taken })

  /** What is taken, once its files are kept. */
  async function input(): Promise<{ ok: true; input: TakenRig } | { ok: false; refusal: Refusal } | null> {
    const keys = new Set(taken.value.map(({ key }) => key))
    const chosen = plan.value?.taking((key) => keys.has(key))
    if (!chosen) return null
    const kept = await keeping.keep()
    if (!kept.ok) return kept
    const laid = await underlay.lay()
    return laid.ok ? { ok: true, input: { ...chosen, file: kept.file, underlays: laid.underlays } } : laid
  }

  const looked = {
    name,
    reading,
    trouble,
    isReading,
    file,
    picture,
    leftHanded,
    up,
    placed,
    isTooFar,
    plan,
    items,
    taken,
  }
  return { ...looked, placing, keeping, underlay, open, cancel, turnAxis, turnUp, turnPage, isTaken, take, input }
}
