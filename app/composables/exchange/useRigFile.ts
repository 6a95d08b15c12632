/** A rig file being looked at: what is in it, where its origin lies, and what of it is taken. */
import { computed, ref, shallowRef } from 'vue'
import type { TakenRig } from '#core/commands/rig/takeRig'
import { turnLevel } from '#core/geometry/rotation'
import { add, vec3, type Vec3 } from '#core/geometry/vector'
import { UNITS, type DrawingUnit, type Up } from '#core/exchange/drawing/units'
import { AS_IT_IS, onStage, placedRig, placementBy, scaleBy, type Placement } from '#core/exchange/mvr/placement'
import type { RigItem } from '#core/exchange/mvr/rigItem'
import type { AXES } from '#core/exchange/gdtf/readType'
import { rigPlan } from '#core/exchange/mvr/rigPlan'
import { rigReading, type RigReading } from '#core/exchange/mvr/rigReading'
import type { Show } from '#core/show/show'
import { requestWithFile } from '../../session/request'
import { useKeeping } from './useKeeping'

/** A place of the file that can be pressed: a fixture, a focus point, an end of a hang. */
export interface FilePoint {
  readonly key: string
  readonly name: string
  readonly at: Vec3
}

/** One of the two places that tell where the file's origin lies: which it is, and where that is on the stage. */
export interface PressedPoint {
  readonly key: string
  readonly stage: Vec3
}

type Axis = (typeof AXES)[number]

export function useRigFile(show: () => Show) {
  const name = ref('')
  const reading = shallowRef<RigReading | null>(null)
  const trouble = ref<string | null>(null)
  const isReading = ref(false)
  const placement = shallowRef<Placement>(AS_IT_IS)
  const points = shallowRef<readonly PressedPoint[]>([])
  const said = shallowRef<ReadonlyMap<string, boolean>>(new Map())
  /** The axes of its types that count left-handed, which the standard leaves open. */
  const leftHanded = ref<readonly Axis[]>([])
  /** Which way is up in a drawing that does not say. */
  const up = ref<Up>('y')
  /** Whether two places tell how large a drawing is, beside where it lies. */
  const isSizedByPoints = ref(true)
  const file = shallowRef<File | null>(null)
  let stop: AbortController | null = null

  /** Reads a file; false where it cannot be read, or is given up. */
  async function read(from: File, axes: readonly Axis[], upwards: Up = 'y'): Promise<boolean> {
    stop?.abort()
    const own = new AbortController()
    stop = own
    isReading.value = true
    trouble.value = null
    const path = `/api/shows/${show().id}/rig/look?name=${encodeURIComponent(from.name)}&leftHanded=${axes.join(',')}&up=${upwards}`
    const answered = await requestWithFile(path, rigReading, from, own.signal)
    if (own.signal.aborted) return false
    isReading.value = false
    trouble.value = answered.ok ? null : answered.refusal.message
    if (answered.ok) reading.value = answered.body
    return answered.ok
  }

  async function open(from: File) {
    if (!(await read(from, []))) return
    name.value = from.name
    file.value = from
    leftHanded.value = []
    up.value = 'y'
    placement.value = AS_IT_IS
    points.value = []
    said.value = new Map()
    keeping.forget()
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

  /** A drawing that says no unit was read as metres. */
  function setUnit(unit: DrawingUnit) {
    setPlacement({ scale: UNITS[unit] })
  }

  function cancel() {
    stop?.abort()
    isReading.value = false
  }

  const placed = computed(() => reading.value && placedRig(reading.value, placement.value))
  const plan = computed(() => placed.value && rigPlan(show(), placed.value))
  const items = computed(() => plan.value?.items ?? [])
  const isTaken = ({ key, suggested }: RigItem) => said.value.get(key) ?? suggested
  const taken = computed(() => items.value.filter(isTaken))

  function take(some: readonly RigItem[], isWanted: boolean) {
    said.value = new Map([...said.value, ...some.map(({ key }) => [key, isWanted] as const)])
  }

  const input = computed((): TakenRig | null => {
    const keys = new Set(taken.value.map(({ key }) => key))
    return plan.value?.taking((key) => keys.has(key)) ?? null
  })

  const keeping = useKeeping(show, { file, reading, plan, placement, leftHanded })

  const filePoints = computed(() => (reading.value ? pointsOf(reading.value) : []))
  const placedPoints = computed(() =>
    filePoints.value.map((point) => ({ ...point, at: onStage(placement.value, point.at) })),
  )
  /** Where a place of the file lies on the stage as it is placed now. */
  const seenAt = (key: string): Vec3 | null => placedPoints.value.find((one) => one.key === key)?.at ?? null

  /** Presses a place: the first, then the second, then the nearer one anew. */
  function press(key: string) {
    const at = seenAt(key)
    if (!at) return
    const others = points.value.filter((point) => point.key !== key)
    points.value = [...others.slice(-1), { key, stage: at }]
  }

  function setPoint(index: number, change: Partial<PressedPoint>) {
    points.value = points.value.map((point, i) => (i === index ? { ...point, ...change } : point))
    place()
  }

  function place() {
    const [first, second] = points.value
    const [a, b] = [first, second].map((one) => filePoints.value.find(({ key }) => key === one?.key)?.at)
    if (!first || !a) return
    const pair = second && b ? ({ file: [a, b], stage: [first.stage, second.stage] } as const) : null
    const told = pair && reading.value?.drawing && isSizedByPoints.value ? scaleBy(pair) : null
    const sized = { ...placement.value, scale: told ?? placement.value.scale }
    placement.value = (pair && placementBy(pair, sized)) ?? shiftedTo(sized, a, first.stage)
  }

  function setPlacement(change: Partial<Placement>) {
    points.value = []
    placement.value = { ...placement.value, ...change }
  }

  return {
    name,
    reading,
    trouble,
    isReading,
    placement,
    points,
    placed,
    plan,
    items,
    taken,
    input,
    keeping,
    filePoints,
    leftHanded,
    turnAxis,
    up,
    turnUp,
    setUnit,
    isSizedByPoints,
    placedPoints,
    open,
    cancel,
    isTaken,
    take,
    press,
    setPoint,
    setPlacement,
    seenAt,
  }
}

function shiftedTo(placement: Placement, at: Vec3, stage: Vec3): Placement {
  const now = onStage({ ...placement, shift: vec3(0, 0, 0) }, at)
  return { ...placement, shift: vec3(stage.x - now.x, stage.y - now.y, stage.z - now.z) }
}

/** So many corners of a drawing can be pressed. */
const MOST_CORNERS = 1500

/** The corners of set pieces at their feet; those of a rig file have better places. */
function cornersOf({ pieces }: RigReading): FilePoint[] {
  return pieces
    .flatMap(({ id, name, position, yaw, prisms }) =>
      prisms.flatMap(({ outline, bottom }, i) =>
        outline.map(({ x, y }, j) => ({
          key: `${id} ${i} ${j}`,
          name: `${name}, corner ${i * 100 + j + 1}`,
          at: add(position, turnLevel(vec3(x, y, bottom), yaw)),
        })),
      ),
    )
    .slice(0, MOST_CORNERS)
}

function pointsOf(reading: RigReading): FilePoint[] {
  return reading.drawing ? cornersOf(reading) : placesOf(reading)
}

function placesOf({ fixtures, targets, hangs }: RigReading): FilePoint[] {
  return [
    ...fixtures.map(({ id, number, name, position }) => ({ key: id, name: `fixture ${number ?? name}`, at: position })),
    ...targets.map(({ id, name, position }) => ({ key: id, name, at: position })),
    ...hangs.flatMap(({ id, name, ends }) =>
      (ends ?? []).map((at, i) => ({ key: `${id} ${i}`, name: `${name}, ${i === 0 ? 'one' : 'other'} end`, at })),
    ),
  ]
}
