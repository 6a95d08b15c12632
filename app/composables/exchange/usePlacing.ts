/** Where the origin of a file lies on the stage: by numbers, or by two of its places whose place is known. */
import { computed, ref, shallowRef, type Ref } from 'vue'
import { turnLevel } from '#core/geometry/rotation'
import { add, distance, vec3, type Vec3 } from '#core/geometry/vector'
import { pathCorners } from '#core/exchange/drawing/underlay'
import { AS_IT_IS, inFile, onStage, placementBy, scaleBy, type Placement } from '#core/exchange/mvr/placement'
import { nearestPoint } from '#core/venue/outline'
import type { ReadUnderlay, RigReading } from '#core/exchange/mvr/rigReading'

/** A place of the file that can be pressed: a fixture, a focus point, an end of a hang, a corner. */
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

export function usePlacing(reading: Ref<RigReading | null>) {
  const placement = shallowRef<Placement>(AS_IT_IS)
  const points = shallowRef<readonly PressedPoint[]>([])
  /** Places of the drawing that were pressed between its corners. */
  const free = shallowRef<readonly FilePoint[]>([])
  /** Whether two places tell how large a drawing is, beside where it lies. */
  const isSizedByPoints = ref(true)

  const filePoints = computed(() => (reading.value ? [...free.value, ...pointsOf(reading.value)] : []))
  const placedPoints = computed(() =>
    filePoints.value.map((point) => ({ ...point, at: onStage(placement.value, point.at) })),
  )
  /** What can be pressed besides: ends of lines, in the file. */
  const ends = computed(() => endsOf(reading.value?.underlay ?? null))
  /** Where a place of the file lies on the stage as it is placed now. */
  const seenAt = (key: string): Vec3 | null => placedPoints.value.find((one) => one.key === key)?.at ?? null

  function reset(to: Placement) {
    placement.value = to
    points.value = []
    free.value = []
  }

  /** Presses a place: the first, then the second, then the nearer one anew. */
  function press(key: string) {
    const at = seenAt(key)
    if (!at) return
    const others = points.value.filter((point) => point.key !== key)
    points.value = [...others.slice(-1), { key, stage: at }]
  }

  /** Presses a place between what is known by name; it catches on the end of a line within a reach, metres on the stage. */
  function pressAt(stage: Vec3, reach: number) {
    const at = inFile(placement.value, { ...stage, z: 0 })
    const near = nearestPoint(ends.value, at)
    const caught = near && distance(near, at) * placement.value.scale <= reach ? near : at
    const key = `pressed ${caught.x} ${caught.y}`
    const kept = free.value.filter((point) => point.key !== key && points.value.some((one) => one.key === point.key))
    free.value = [...kept, { key, name: 'a place pressed', at: caught }]
    press(key)
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
    placement,
    points,
    isSizedByPoints,
    filePoints,
    placedPoints,
    seenAt,
    reset,
    press,
    pressAt,
    setPoint,
    setPlacement,
  }
}

function shiftedTo(placement: Placement, at: Vec3, stage: Vec3): Placement {
  const now = onStage({ ...placement, shift: vec3(0, 0, 0) }, at)
  return { ...placement, shift: vec3(stage.x - now.x, stage.y - now.y, stage.z - now.z) }
}

function endsOf(underlay: ReadUnderlay | null): Vec3[] {
  if (!underlay) return []
  const { corner, layers } = underlay
  return layers.flatMap(({ path }) => pathCorners(path).map(({ x, y }) => vec3(corner.x + x, corner.y + y, 0)))
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

/** The corners of the paper, so to speak. */
function edgesOf(underlay: ReadUnderlay | null): FilePoint[] {
  if (!underlay) return []
  const { corner, width, height } = underlay
  return (['lower left', 'lower right', 'upper left', 'upper right'] as const).map((name, i) => ({
    key: name,
    name: `its ${name} corner`,
    at: vec3(corner.x + (i % 2) * width, corner.y + Math.floor(i / 2) * height, 0),
  }))
}

function pointsOf(reading: RigReading): FilePoint[] {
  return reading.drawing ? [...edgesOf(reading.underlay), ...cornersOf(reading)] : placesOf(reading)
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
