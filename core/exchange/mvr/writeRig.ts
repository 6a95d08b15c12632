/**
 * Writes the rig of the venue in play as the scene of a rig file (DIN SPEC 15801, version 1.6):
 * hangs as trusses with the positions they carry, fixtures, targets as focus points and the set.
 */
import { fixtureFrame, hangDirection, type FixturePlace, type Frame, type HangPlace } from '../../geometry/frame'
import { DEGREE, rotation, rotationOf } from '../../geometry/rotation'
import { cross, vec3 } from '../../geometry/vector'
import { byNumber, wholeFixtures } from '../../show/cells'
import { placeId } from '../../show/compositeIds'
import type { Fixture } from '../../show/entities'
import { hangId, type FixtureId, type VenueId } from '../../show/ids'
import { setPiecesOf, type PlacedSetPiece } from '../../show/setPieces'
import { showRecordOf, type Show } from '../../show/show'
import { targetsOf } from '../../show/targets'
import { convexPieces } from '../../venue/convex'
import { facesOf, prismsOf, type Face, type Prism } from '../../venue/solids'
import { uuidOf } from '../uuid'
import { appended, parseXml, xmlText, type Element } from '../xml/xml'
import { typeIn } from './planTypes'
import { matrixText } from './matrix'
import { prismAround } from './modelParts'
import type { TypeWithModes } from '../../commands/shared/typeWithModes'

/** A part of a model: its faces, metres, z up. */
export interface ModelPart {
  readonly name: string
  readonly faces: readonly Face[]
}

export interface WrittenRig {
  readonly scene: string
  /** Types by the name of their file, with the id they go out under. */
  readonly types: ReadonlyMap<string, { readonly type: TypeWithModes; readonly id: string }>
  readonly models: ReadonlyMap<string, readonly ModelPart[]>
}

/** How thick a hang is drawn, metres. */
const PIPE = 0.05

export function writeRig(show: Show): WrittenRig {
  const document = parseXml('<?xml version="1.0" encoding="UTF-8" standalone="no"?><GeneralSceneDescription/>')
  const root = document.documentElement
  if (!root) throw new RangeError('a document has a root')
  for (const [name, value] of Object.entries({
    verMajor: '1',
    verMinor: '6',
    provider: 'Rhopander',
    providerVersion: '1',
  }))
    root.setAttribute(name, value)
  appended(root, 'UserData')
  const scene = appended(root, 'Scene')
  const { venue } = showRecordOf(show)
  const models = new Map<string, readonly ModelPart[]>()
  const positions = appended(scene, 'AUXData')
  const layers = appended(scene, 'Layers')
  writeHangs(show, venue, positions, layerIn(layers, 'Hangs'), models)
  const types = writeFixtures(show, venue, layerIn(layers, 'Fixtures'))
  writeTargets(show, layerIn(layers, 'Targets'))
  writeSet(show, layers, models)
  return { scene: xmlText(document), types, models }
}

/** A layer; its list is what stands in it. */
function layerIn(layers: Element, name: string): Element {
  const layer = appended(layers, 'Layer', { name, uuid: uuidOf(`layer ${name}`) })
  return appended(layer, 'ChildList')
}

/** The frame of a hang: along its line, out from it, and what is square to both. */
function hangFrame(place: HangPlace): Frame {
  const along = hangDirection(place)
  const out = vec3(-Math.sin(place.yaw * DEGREE), Math.cos(place.yaw * DEGREE), 0)
  return { origin: place.origin, rotation: rotationOf(along, out, cross(along, out)) }
}

function writeHangs(
  show: Show,
  venue: VenueId,
  positions: Element,
  list: Element,
  models: Map<string, readonly ModelPart[]>,
): void {
  for (const [id, { name }] of [...show.all.hang].sort(([, a], [, b]) => a.name.localeCompare(b.name))) {
    const place = show.all.hangPlace.get(placeId(venue, hangId.parse(id)))
    if (!place) continue
    appended(positions, 'Position', { uuid: uuidOf(id), name })
    const model = `hang-${Math.round(place.length * 1000)}.glb`
    models.set(model, [{ name: 'hang', faces: facesOf(pipe(place.length)) }])
    const truss = appended(list, 'Truss', { name, uuid: uuidOf(`truss of ${uuidOf(id)}`) })
    appended(truss, 'Matrix', {}, matrixText(hangFrame(place)))
    appended(truss, 'Position', {}, uuidOf(id))
    appended(appended(truss, 'Geometries'), 'Geometry3D', { fileName: model })
  }
}

function pipe(length: number): Prism {
  const [x, y] = [length / 2, PIPE / 2]
  const outline = [
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y },
  ]
  return { outline, bottom: -y, top: y }
}

function writeFixtures(show: Show, venue: VenueId, list: Element): WrittenRig['types'] {
  const types = new Map<string, { type: TypeWithModes; id: string }>()
  for (const [id, fixture] of wholeFixtures(show).sort(([, a], [, b]) => byNumber(a, b))) {
    const place = show.all.fixturePlace.get(placeId(venue, id))
    const hang = place && show.all.hangPlace.get(placeId(venue, place.hang))
    if (!place || !hang) continue
    const type = fixture.type === null ? null : typeIn(show, fixture.type)
    const file = type && fileOf(type)
    if (type && file) types.set(file, { type, id: uuidOf(fixture.type ?? '') })
    writeFixture(show, list, id, fixture, place, hang, file)
  }
  return types
}

/** What may stand in a file name everywhere. */
const fileOf = ({ maker, name }: TypeWithModes) =>
  `${[maker, name].map((one) => one.replaceAll(/[^\p{L}\p{N} ._-]/gu, '_')).join('@')}.gdtf`

function writeFixture(
  show: Show,
  list: Element,
  id: FixtureId,
  fixture: Fixture,
  place: FixturePlace & { readonly hang: string },
  hang: HangPlace,
  file: string | null,
): void {
  const element = appended(list, 'Fixture', { name: fixture.name, uuid: uuidOf(id) })
  appended(element, 'Matrix', {}, matrixText(fixtureFrame(hang, place)))
  if (file !== null) appended(element, 'GDTFSpec', {}, file)
  const mode = fixture.mode === null ? null : show.all.fixtureMode.get(fixture.mode)
  if (mode) appended(element, 'GDTFMode', {}, mode.name)
  appended(element, 'Position', {}, uuidOf(place.hang))
  appended(element, 'FixtureID', {}, String(fixture.number))
  appended(element, 'FixtureIDNumeric', {}, String(fixture.number))
  appended(element, 'UnitNumber', {}, '0')
  if (fixture.universe === null || fixture.address === null) return
  const address = String((fixture.universe - 1) * 512 + fixture.address)
  appended(appended(element, 'Addresses'), 'Address', { break: '0' }, address)
}

function writeTargets(show: Show, list: Element): void {
  for (const { id, target, position } of [...targetsOf(show).values()].sort((a, b) =>
    a.target.name.localeCompare(b.target.name),
  )) {
    const point = appended(list, 'FocusPoint', { name: target.name, uuid: uuidOf(id) })
    appended(point, 'Matrix', {}, matrixText({ origin: position, rotation: rotation(0, 0, 0) }))
  }
}

const NO_LAYER = 'Set'

function writeSet(show: Show, layers: Element, models: Map<string, readonly ModelPart[]>): void {
  const lists = new Map<string, Element>()
  for (const placed of [...setPiecesOf(show)].sort((a, b) => a.piece.name.localeCompare(b.piece.name))) {
    const layer = show.all.layer.get(placed.piece.layer ?? '')?.name ?? NO_LAYER
    const list = lists.get(layer) ?? layerIn(layers, layer)
    lists.set(layer, list)
    const model = `set-${uuidOf(placed.id)}.glb`
    models.set(model, partsOf(placed))
    const element = appended(list, 'SceneObject', { name: placed.piece.name, uuid: uuidOf(placed.id) })
    appended(
      element,
      'Matrix',
      {},
      matrixText({ origin: placed.place.position, rotation: rotation(placed.place.yaw, 0, 0) }),
    )
    appended(appended(element, 'Geometries'), 'Geometry3D', { fileName: model })
  }
}

/** Every solid as convex prisms, as whoever reads them would tell their outlines. */
function partsOf({ piece }: PlacedSetPiece): ModelPart[] {
  const prisms = piece.solids
    .flatMap(prismsOf)
    .flatMap(({ outline, bottom, top }) =>
      convexPieces(outline).map((ring) =>
        prismAround(ring.flatMap(({ x, y }) => [vec3(x, y, bottom), vec3(x, y, top)])),
      ),
    )
  return prisms.map((prism, i) => ({ name: `part ${i + 1}`, faces: facesOf(prism) }))
}
