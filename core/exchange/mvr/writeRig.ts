/**
 * Writes the rig of the venue in play as the scene of a rig file (DIN SPEC 15801, version 1.6):
 * hangs as trusses with the positions they carry, fixtures, targets as focus points and the set.
 * Files that were kept go out with it: their scenes are brought to what the show has, the rest is added.
 */
import { fixtureFrame, type FixturePlace, type HangPlace } from '../../geometry/frame'
import { rotation } from '../../geometry/rotation'
import { byNumber, wholeFixtures } from '../../show/cells'
import { placeId } from '../../show/compositeIds'
import type { Fixture } from '../../show/entities'
import { hangId, type FixtureId, type FixtureTypeId, type HangId, type VenueId } from '../../show/ids'
import { setPiecesOf } from '../../show/setPieces'
import { showRecordOf, type Show } from '../../show/show'
import { targetsOf } from '../../show/targets'
import type { KeptType } from '../gdtf/keptType'
import { uuidOf } from '../uuid'
import { appended, attributeOf, childrenOf, parseXml, xmlText, type Document } from '../xml/xml'
import { joinScene, renamedResources } from './joinScene'
import { keptScene, Told, type KeptRig, type KeptScene } from './keptScene'
import { matrixText } from './matrix'
import { FIXTURE_LAYER, listOfLayer, NO_LAYER, scenePart } from './sceneLayers'
import { toldModes } from './toldModes'
import type { TypesOut } from './typesOut'
import { countedThrough, hangFrame, isSameLine, updateScene } from './updateScene'
import { WrittenModels, type ModelPart } from './writtenModels'

export interface WrittenRig {
  readonly scene: string
  /** Types by the name of their file. */
  readonly types: TypesOut['files']
  readonly models: ReadonlyMap<string, readonly ModelPart[]>
  /** What else of each kept file goes out, and under which name. */
  readonly resources: readonly ReadonlyMap<string, string>[]
}

/** What was kept: the rig files of the venue in play, newest first, and the files of types. */
export interface KeptFiles {
  readonly rigs: readonly KeptRig[]
  readonly types: ReadonlyMap<FixtureTypeId, KeptType>
}
export const NOTHING_KEPT: KeptFiles = { rigs: [], types: new Map() }

/** Throws NotReadable where a kept file is damaged. */
export function writeRig(show: Show, kept: KeptFiles = NOTHING_KEPT): WrittenRig {
  const known = new Told()
  const scenes = kept.rigs.map((rig) => keptScene(show, rig, known))
  const { told, types } = toldModes(show, scenes, kept.types, typesHere(show))
  const models = new WrittenModels()
  const positions = positionsIn(scenes)
  const positionOf = (hang: HangId) => positions.get(hang) ?? uuidOf(hang)
  const steady = new Set<FixtureId>()
  const truth = { show, models, fileOf: types.fileOf, positionOf, told, onSteady: (id: FixtureId) => steady.add(id) }
  for (const scene of scenes) updateScene(scene, { ...truth, listOf: (layer) => listOfLayer(scene.document, layer) })
  const resources = kept.rigs.map((rig, i) =>
    renamedResources(
      scenes[i]?.document ?? emptyScene(),
      kept.rigs.slice(0, i).map((newer) => newer.resources),
      rig.resources,
    ),
  )
  const document = scenes[0]?.document ?? emptyScene()
  for (const scene of scenes.slice(1)) joinScene(document, scene.document)
  sign(document)
  const rest: Rest = { show, venue: showRecordOf(show).venue, document, models, types, positionOf, known }
  writeHangs(rest, hangsTold(show, scenes, steady), new Set(positions.keys()))
  writeFixtures(rest)
  writeTargets(rest)
  writeSet(rest)
  return { scene: xmlText(document), types: types.files, models: models.files, resources }
}

/** What is added to what kept scenes tell already. */
interface Rest {
  readonly show: Show
  readonly venue: VenueId
  readonly document: Document
  readonly models: WrittenModels
  readonly types: TypesOut
  readonly positionOf: (hang: HangId) => string
  readonly known: Told
}

function emptyScene(): Document {
  const document = parseXml('<?xml version="1.0" encoding="UTF-8" standalone="no"?><GeneralSceneDescription/>')
  const root = document.documentElement
  if (!root) throw new RangeError('a document has a root')
  for (const [name, value] of Object.entries({ verMajor: '1', verMinor: '6' })) root.setAttribute(name, value)
  appended(root, 'UserData')
  scenePart(document, 'AUXData')
  scenePart(document, 'Layers')
  return document
}

/** A file says by which program it was written. */
function sign(document: Document): void {
  document.documentElement?.setAttribute('provider', 'Rhopander')
  document.documentElement?.setAttribute('providerVersion', '1')
}

function typesHere(show: Show): ReadonlySet<FixtureTypeId> {
  const { venue } = showRecordOf(show)
  const here = wholeFixtures(show)
    .sort(([, a], [, b]) => byNumber(a, b))
    .filter(([id]) => show.all.fixturePlace.has(placeId(venue, id)))
  return new Set(here.flatMap(([, { type }]) => (type === null ? [] : [type])))
}

/** The positions that kept scenes have for hangs, those of newer ones first. */
function positionsIn(scenes: readonly KeptScene[]): ReadonlyMap<HangId, string> {
  const found = new Map<HangId, string>()
  for (const { document, hangs } of scenes) {
    const there = new Set(childrenOf(scenePart(document, 'AUXData'), 'Position').map((one) => attributeOf(one, 'uuid')))
    for (const [id, { read }] of hangs) if (there.has(read) && !found.has(id)) found.set(id, read)
  }
  return found
}

/**
 * The hangs of which kept scenes tell where they are: by a truss, or because all that hangs there
 * stays where it was, so that it makes the line the show has.
 */
function hangsTold(show: Show, scenes: readonly KeptScene[], steady: ReadonlySet<FixtureId>): ReadonlySet<HangId> {
  const { venue } = showRecordOf(show)
  const here = [...show.all.fixturePlace.values()].filter(
    (place) => place.venue === venue && isWhole(show, place.fixture),
  )
  const told = new Set<HangId>()
  for (const { matches, hangs, carried } of scenes) {
    for (const { match } of matches.values()) if (match.kind === 'hang') told.add(match.planned.id)
    for (const [id, { drawn }] of hangs) {
      const place = show.all.hangPlace.get(placeId(venue, id))
      const own = here.filter(({ hang }) => hang === id)
      const isSteady = own.length === carried.get(id) && own.every(({ fixture }) => steady.has(fixture))
      if (place && isSteady && isSameLine(drawn, place)) told.add(id)
    }
  }
  return told
}

const isWhole = (show: Show, id: FixtureId) => show.all.fixture.get(id)?.bar === null

function writeHangs(
  { show, venue, document, models, positionOf }: Rest,
  told: ReadonlySet<HangId>,
  positioned: ReadonlySet<HangId>,
): void {
  const positions = scenePart(document, 'AUXData')
  for (const [key, { name }] of [...show.all.hang].sort(([, a], [, b]) => a.name.localeCompare(b.name))) {
    const id = hangId.parse(key)
    const place = show.all.hangPlace.get(placeId(venue, id))
    if (!place) continue
    if (!positioned.has(id) && !told.has(id)) appended(positions, 'Position', { uuid: positionOf(id), name })
    if (told.has(id)) continue
    const truss = appended(listOfLayer(document, 'Hangs'), 'Truss', { name, uuid: uuidOf(`truss of ${uuidOf(id)}`) })
    appended(truss, 'Matrix', {}, matrixText(hangFrame(place)))
    appended(truss, 'Position', {}, positionOf(id))
    appended(appended(truss, 'Geometries'), 'Geometry3D', { fileName: models.pipe(place.length) })
  }
}

function writeFixtures(rest: Rest): void {
  const { show, venue, known } = rest
  for (const [id, fixture] of wholeFixtures(show).sort(([, a], [, b]) => byNumber(a, b))) {
    const place = show.all.fixturePlace.get(placeId(venue, id))
    const hang = place && show.all.hangPlace.get(placeId(venue, place.hang))
    if (place && hang && !known.things.has(id)) writeFixture(rest, id, fixture, place, hang)
  }
}

function writeFixture(
  { show, document, types, positionOf }: Rest,
  id: FixtureId,
  fixture: Fixture,
  place: FixturePlace & { readonly hang: HangId },
  hang: HangPlace,
): void {
  const element = appended(listOfLayer(document, FIXTURE_LAYER), 'Fixture', { name: fixture.name, uuid: uuidOf(id) })
  appended(element, 'Matrix', {}, matrixText(fixtureFrame(hang, place)))
  const file = fixture.type === null ? null : types.fileOf(fixture.type)
  if (file !== null) appended(element, 'GDTFSpec', {}, file)
  const mode = fixture.mode === null ? null : show.all.fixtureMode.get(fixture.mode)
  if (mode) appended(element, 'GDTFMode', {}, mode.name)
  appended(element, 'Position', {}, positionOf(place.hang))
  appended(element, 'FixtureID', {}, String(fixture.number))
  appended(element, 'FixtureIDNumeric', {}, String(fixture.number))
  appended(element, 'UnitNumber', {}, '0')
  const { universe, address } = fixture
  if (universe === null || address === null) return
  appended(appended(element, 'Addresses'), 'Address', { break: '0' }, String(countedThrough({ universe, address })))
}

function writeTargets({ show, document, known }: Rest): void {
  const sorted = [...targetsOf(show).values()].sort((a, b) => a.target.name.localeCompare(b.target.name))
  for (const { id, target, position } of sorted) {
    if (known.things.has(id)) continue
    const point = appended(listOfLayer(document, 'Targets'), 'FocusPoint', { name: target.name, uuid: uuidOf(id) })
    appended(point, 'Matrix', {}, matrixText({ origin: position, rotation: rotation(0, 0, 0) }))
  }
}

function writeSet({ show, document, models, known }: Rest): void {
  for (const placed of [...setPiecesOf(show)].sort((a, b) => a.piece.name.localeCompare(b.piece.name))) {
    if (known.things.has(placed.id)) continue
    const list = listOfLayer(document, show.all.layer.get(placed.piece.layer ?? '')?.name ?? NO_LAYER)
    const { position, yaw } = placed.place
    const element = appended(list, 'SceneObject', { name: placed.piece.name, uuid: uuidOf(placed.id) })
    appended(element, 'Matrix', {}, matrixText({ origin: position, rotation: rotation(yaw, 0, 0) }))
    appended(appended(element, 'Geometries'), 'Geometry3D', { fileName: models.piece(placed) })
  }
}
