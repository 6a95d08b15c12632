/**
 * The stage of the venue in play as a DXF file (the plain kind of release 12, in metres): faces of set,
 * levels and hangs by layers, the outlines of stage and keep-clear zones, fixtures as circles with their
 * numbers at their mounting points, targets as points with their names.
 */
import { mountingPoint } from '../../geometry/frame'
import { vec3, type Vec3 } from '../../geometry/vector'
import { hangsOf, rigOf } from '../../show/rig'
import { entity, showRecordOf, type Show } from '../../show/show'
import { targetsOf } from '../../show/targets'
import { endsOf, HANG_LAYER, stageModel, STAGE_LAYER } from './stageModel'

/** Metres: of the circle of a fixture, and of letters. */
const CIRCLE = 0.12
const LETTERS = 0.2
const METRES = 6

type Pair = readonly [code: number, value: string | number]

export function writeDxf(show: Show): string {
  const venue = entity(show, 'venue', showRecordOf(show).venue)
  const entities: Pair[] = [
    ...outline(STAGE_LAYER, venue.outline),
    ...venue.keepClear.flatMap((zone) => outline('Keep clear', zone.outline)),
    ...stageModel(show)
      .filter(({ name, layer }) => layer !== HANG_LAYER && name !== 'Stage floor')
      .flatMap(({ layer, faces }) => faces.flatMap((corners) => fan(corners).flatMap((face) => faceOf(layer, face)))),
    ...hangsOf(show).flatMap((hang) => line(HANG_LAYER, ...endsOf(hang))),
    ...fixtures(show),
    ...[...targetsOf(show).values()].flatMap(({ target, position }) => [
      ...started('POINT', 'Targets'),
      ...at(position),
      ...text('Targets', position, target.name),
    ]),
  ]
  const header: Pair[] = [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    [9, '$INSUNITS'],
    [70, METRES],
    [0, 'ENDSEC'],
  ]
  const pairs: Pair[] = [...header, [0, 'SECTION'], [2, 'ENTITIES'], ...entities, [0, 'ENDSEC'], [0, 'EOF']]
  return `${pairs.map(([code, value]) => `${code}\r\n${typeof value === 'number' ? tidy(value) : value}`).join('\r\n')}\r\n`
}

const tidy = (value: number) => String(Math.round(value * 1e6) / 1e6 + 0)

/** Names of layers are letters, digits and lines; others are put as they are in words of Latin letters. */
const layerName = (name: string) =>
  name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9 _$-]/g, '')
    .trim()
    .slice(0, 31) || 'Layer'

/** Letters beyond those of every reader are written by their number. */
const inLetters = (words: string) =>
  words
    .replace(/[\r\n]+/g, ' ')
    .replace(/[^\x20-\x7e]/g, (letter) => `\\U+${letter.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}`)

const started = (type: string, layer: string): Pair[] => [
  [0, type],
  [8, layerName(layer)],
]

/** Coordinates of the nth point of an entity. */
const at = ({ x, y, z }: Vec3, nth = 0): Pair[] => [
  [10 + nth, x],
  [20 + nth, y],
  [30 + nth, z],
]

function outline(layer: string, corners: readonly { readonly x: number; readonly y: number }[]): Pair[] {
  const closed: Pair[] = [...started('POLYLINE', layer), [66, 1], [70, 1], ...at(vec3(0, 0, 0))]
  const vertices = corners.flatMap(({ x, y }) => [...started('VERTEX', layer), ...at(vec3(x, y, 0))])
  return [...closed, ...vertices, [0, 'SEQEND']]
}

/** A convex face in parts of at most four corners. */
function fan(corners: readonly Vec3[]): (readonly Vec3[])[] {
  const [first] = corners
  if (!first || corners.length <= 4) return [corners]
  return corners.slice(1, -1).flatMap((corner, i) => {
    const next = corners[i + 2]
    return next ? [[first, corner, next]] : []
  })
}

function faceOf(layer: string, corners: readonly Vec3[]): Pair[] {
  const last = corners.at(-1)
  if (!last) return []
  return [...started('3DFACE', layer), ...[0, 1, 2, 3].flatMap((nth) => at(corners[nth] ?? last, nth))]
}

const line = (layer: string, from: Vec3, to: Vec3): Pair[] => [...started('LINE', layer), ...at(from), ...at(to, 1)]

const text = (layer: string, place: Vec3, words: string): Pair[] => [
  ...started('TEXT', layer),
  ...at(vec3(place.x + CIRCLE, place.y + CIRCLE, place.z)),
  [40, LETTERS],
  [1, inLetters(words)],
]

function fixtures(show: Show): Pair[] {
  return [...rigOf(show).values()]
    .filter(({ bar }) => bar === null)
    .flatMap(({ hangPlace, place, fixture }) => {
      const hung = mountingPoint(hangPlace, place)
      return [
        ...started('CIRCLE', 'Fixtures'),
        ...at(hung),
        [40, CIRCLE],
        ...text('Fixtures', hung, String(fixture.number)),
      ] satisfies Pair[]
    })
}
