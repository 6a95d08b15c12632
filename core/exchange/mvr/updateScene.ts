/**
 * Brings the scene of a kept rig file to what the show has: an element stays as it was written for as
 * long as reading it gives what the show has, and what nobody here knows stays in any case.
 */
import equal from 'fast-deep-equal'
import {
  fixtureFrame,
  hangDirection,
  seenFrom,
  UPRIGHT,
  within,
  type Frame,
  type HangPlace,
} from '../../geometry/frame'
import { DEGREE, rotation, rotationOf, turnBetween } from '../../geometry/rotation'
import { cross, distance, vec3, add, scale } from '../../geometry/vector'
import { turned } from '../../rig/mirror'
import { placeId } from '../../show/compositeIds'
import type { Fixture } from '../../show/entities'
import { asTargetId, type FixtureId, type FixtureTypeId, type HangId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { setPiecesOf } from '../../show/setPieces'
import { showRecordOf, type Show } from '../../show/show'
import { targetsOf } from '../../show/targets'
import { uuidOf } from '../uuid'
import { appended, attributeOf, childOf, childrenOf, setText, textIn, type Element } from '../xml/xml'
import { layersOf, type KeptScene, type Match, type Of } from './keptScene'
import { matrixText, readMatrix } from './matrix'
import { solidOf } from './planPlaces'
import { NO_LAYER, scenePart } from './sceneLayers'
import type { PlannedHang } from './planHangs'
import type { WrittenModels } from './writtenModels'

/** What the elements of a scene are brought to. */
export interface SceneTruth {
  readonly show: Show
  readonly models: WrittenModels
  readonly fileOf: (type: FixtureTypeId) => string | null
  readonly positionOf: (hang: HangId) => string
  readonly told: ReadonlySet<FixtureId>
  /** The list of the layer of a name, in the stage frame. */
  readonly listOf: (layer: string) => Element
  /** Is told of every fixture that stays just where its file has it. */
  readonly onSteady: (fixture: FixtureId) => void
}

export function updateScene(scene: KeptScene, truth: SceneTruth): void {
  const { document, matches } = scene
  const positions = childrenOf(childOf(childOf(document.documentElement, 'Scene'), 'AUXData'), 'Position')
  for (const element of positions) updatePosition(element, scene, truth)
  const walk = (list: Element | null, outer: Frame) => {
    for (const element of childrenOf(list)) {
      const found = matches.get(element)
      const frame = () => within(outer, readMatrix(textIn(element, 'Matrix'))?.frame ?? UPRIGHT)
      const wanted = found && update(element, found.match, found.frame, truth)
      if (wanted && !isNear(frame(), wanted)) setText(element, 'Matrix', matrixText(seenFrom(outer, wanted)))
      if (found?.match.kind === 'fixture' && wanted && isNear(found.frame, wanted)) truth.onSteady(found.match.id)
      walk(childOf(element, 'ChildList'), frame())
      if (found?.match.kind === 'gone') takeOut(element)
      if (found?.match.kind === 'piece') intoLayer(element, found.match, frame(), truth)
    }
  }
  for (const layer of layersOf(document))
    walk(childOf(layer, 'ChildList'), readMatrix(textIn(layer, 'Matrix'))?.frame ?? UPRIGHT)
}

/** Nearer than this, metres and degrees, a place was not moved: what was read is kept to a millionth. */
const NEAR = { metres: 1e-5, degrees: 1e-3 }

function isNear(a: Frame, b: Frame): boolean {
  return distance(a.origin, b.origin) < NEAR.metres && turnBetween(a.rotation, b.rotation) < NEAR.degrees
}

/** Sets what of an element the show has otherwise; where it belongs now, in the stage frame. */
function update(element: Element, match: Match, read: Frame, truth: SceneTruth): Frame | null {
  switch (match.kind) {
    case 'fixture':
      return updateFixture(element, match, read, truth)
    case 'hang':
      return updateTruss(element, match.planned, read, truth)
    case 'target':
      return updateTarget(element, match, read, truth)
    case 'piece':
      return updatePiece(element, match, read, truth)
    case 'gone':
      return null
  }
}

function setName(element: Element, now: string, read: string): void {
  if (now !== read) element.setAttribute('name', now)
}

function updateFixture(
  element: Element,
  { id, read: file, use, on }: Of<'fixture'>,
  read: Frame,
  truth: SceneTruth,
): Frame {
  const { show } = truth
  const fixture = show.all.fixture.get(id)
  const place = show.all.fixturePlace.get(placeId(showRecordOf(show).venue, id))
  const hang = place && show.all.hangPlace.get(placeId(place.venue, place.hang))
  if (!fixture || !place || !hang) return read
  setName(element, fixture.name, file.name.slice(0, 120))
  if (fixture.number !== file.number) setNumber(element, fixture.number)
  updateMode(element, { id, use }, fixture, truth)
  updateAddress(element, fixture, file.addresses, truth.told.has(id))
  if (on !== place.hang || file.on !== null) setText(element, 'Position', truth.positionOf(place.hang))
  return fixtureFrame(hang, place)
}

/** A number that is text, such as "A7", stays beside the one the show gives. */
function setNumber(element: Element, number: number): void {
  setText(element, 'FixtureIDNumeric', String(number))
  if (/^\d*$/.test(textIn(element, 'FixtureID'))) setText(element, 'FixtureID', String(number))
}

function updateMode(
  element: Element,
  { id, use }: Pick<Of<'fixture'>, 'id' | 'use'>,
  fixture: Fixture,
  { show, fileOf, told }: SceneTruth,
): void {
  const file = fixture.type === null ? null : fileOf(fixture.type)
  const spec = textIn(element, 'GDTFSpec')
  const withEnding = /\.gdtf$/i.test(spec) ? spec : `${spec}.gdtf`
  if (file !== null && file !== withEnding) setText(element, 'GDTFSpec', file)
  if (told.has(id)) {
    // One that named no mode of its type got the first: what that is may change.
    if (use && normalisedName(textIn(element, 'GDTFMode')) !== normalisedName(use.base.name))
      setText(element, 'GDTFMode', use.base.name)
    return
  }
  const mode = fixture.mode === null ? null : show.all.fixtureMode.get(fixture.mode)
  if (file === null) remove(element, 'GDTFSpec')
  if (mode) setText(element, 'GDTFMode', mode.name)
  else remove(element, 'GDTFMode')
  for (const name of ['DMXInvertPan', 'DMXInvertTilt']) remove(element, name)
}

type Address = KeptAddresses[number]
type KeptAddresses = Of<'fixture'>['read']['addresses']

/** Further addresses stay where the first one and the mode do, and move with the first where they are told by it. */
function updateAddress(element: Element, fixture: Fixture, read: KeptAddresses, isTold: boolean): void {
  const first = read.toSorted((a, b) => a.number - b.number)[0]
  const now =
    fixture.universe === null || fixture.address === null
      ? null
      : { universe: fixture.universe, address: fixture.address }
  const by = (now ? countedThrough(now) : 0) - (first ? countedThrough(first) : 0)
  if (by === 0 && isTold) return
  remove(element, 'Addresses')
  if (!now) return
  const made = appended(element, 'Addresses')
  const add = ({ number }: Pick<Address, 'number'>, at: number) =>
    at >= 1 && appended(made, 'Address', { break: String(number - 1) }, String(at))
  add(first ?? { number: 1 }, countedThrough(now))
  if (isTold) for (const one of read) if (one !== first) add(one, countedThrough(one) + by)
}

/** An address counted through all universes, from 1. */
export const countedThrough = ({ universe, address }: { readonly universe: number; readonly address: number }) =>
  (universe - 1) * 512 + address

function remove(element: Element, name: string): void {
  const found = childOf(element, name)
  if (found) element.removeChild(found)
}

function updatePosition(element: Element, { hangs, gone }: KeptScene, { show, positionOf }: SceneTruth): void {
  const uuid = attributeOf(element, 'uuid')
  const found = [...hangs.values()].find(({ read }) => read === uuid)
  if (!found && !gone.has(uuid)) return
  const hang = found && show.all.hang.get(found.id)
  if (hang && positionOf(found.id) === uuid) setName(element, hang.name, attributeOf(element, 'name').slice(0, 120))
  else element.parentNode?.removeChild(element)
}

/** The frame of a hang: along its line, out from it, and what is square to both. */
export function hangFrame(place: HangPlace): Frame {
  const along = hangDirection(place)
  const out = vec3(-Math.sin(place.yaw * DEGREE), Math.cos(place.yaw * DEGREE), 0)
  return { origin: place.origin, rotation: rotationOf(along, out, cross(along, out)) }
}

/** Steeper, degrees, a line does not tell by itself which way it faces. */
const UPWARDS = 89.9

interface Line extends HangPlace {
  readonly length: number
}

/** Whether two lines lie on each other, whichever way they run; upright ones have to face one way. */
export function isSameLine(a: Line, b: Line): boolean {
  const [from, to] = [-0.5, 0.5].map((part) => add(a.origin, scale(hangDirection(a), part * a.length)))
  const [one, other] = [-0.5, 0.5].map((part) => add(b.origin, scale(hangDirection(b), part * b.length)))
  if (!from || !to || !one || !other) return false
  const isOn = (p: typeof from, q: typeof from) => distance(from, p) < NEAR.metres && distance(to, q) < NEAR.metres
  const isFacing = Math.abs(a.rise) < UPWARDS || Math.abs(turned(a.yaw - b.yaw)) < NEAR.degrees
  return isFacing && (isOn(one, other) || isOn(other, one))
}

/** A truss moves as its hang did; one of another length is drawn anew. */
function updateTruss(element: Element, { id, drawn, read: uuid }: PlannedHang, read: Frame, truth: SceneTruth): Frame {
  const { show, models, positionOf } = truth
  const place = show.all.hangPlace.get(placeId(showRecordOf(show).venue, id))
  if (!place) return read
  const isItself = attributeOf(element, 'uuid') === uuid
  if (isItself) setName(element, show.all.hang.get(id)?.name ?? '', attributeOf(element, 'name').slice(0, 120))
  if (isItself ? hasFixtures(show, id) : positionOf(id) !== uuid) setText(element, 'Position', positionOf(id))
  if (isItself && hasFixtures(show, id)) addPosition(element, positionOf(id), show.all.hang.get(id)?.name ?? '')
  if (isSameLine(drawn, place)) return read
  if (Math.abs(drawn.length - place.length) < 0.001) return moved(read, hangFrame(drawn), hangFrame(place))
  setGeometry(element, models.pipe(place.length))
  return hangFrame(place)
}

function hasFixtures(show: Show, hang: HangId): boolean {
  const { venue } = showRecordOf(show)
  return [...show.all.fixturePlace.values()].some((place) => place.venue === venue && place.hang === hang)
}

/** What hangs on a truss says so by its position. */
function addPosition(element: Element, uuid: string, name: string): void {
  const document = element.ownerDocument
  if (document) appended(scenePart(document, 'AUXData'), 'Position', { uuid, name })
}

/** A frame that moves with another one, from where that was to where it is. */
function moved(frame: Frame, from: Frame, to: Frame): Frame {
  return within(to, seenFrom(from, frame))
}

function setGeometry(element: Element, fileName: string): void {
  remove(element, 'Geometries')
  appended(appended(element, 'Geometries'), 'Geometry3D', { fileName })
}

function updateTarget(element: Element, { id, read: file }: Of<'target'>, read: Frame, { show }: SceneTruth): Frame {
  const placed = targetsOf(show).get(asTargetId(id))
  if (!placed) return read
  setName(element, placed.target.name, file.name)
  return { ...read, origin: placed.position }
}

function updatePiece(element: Element, { id, read: file }: Of<'piece'>, read: Frame, truth: SceneTruth): Frame {
  const placed = setPiecesOf(truth.show).find((one) => one.id === id)
  if (!placed) return read
  const now = { origin: placed.place.position, rotation: rotation(placed.place.yaw, 0, 0) }
  setName(element, placed.piece.name, file.name)
  if (!equal(placed.piece.solids, file.prisms.map(solidOf))) {
    setGeometry(element, truth.models.piece(placed))
    return now
  }
  return moved(read, { origin: file.position, rotation: rotation(file.yaw, 0, 0) }, now)
}

/** A piece that lies in another layer now goes over into that one. */
function intoLayer(element: Element, { id, read }: Of<'piece'>, frame: Frame, { show, listOf }: SceneTruth): void {
  const layer = show.all.layer.get(show.all.setPiece.get(id)?.layer ?? '')?.name ?? NO_LAYER
  if (layer === (read.layer || NO_LAYER)) return
  element.parentNode?.removeChild(element)
  listOf(layer).appendChild(element)
  setText(element, 'Matrix', matrixText(frame))
}

/** Takes an element out; where others still belong to it, a group stays in its place. */
function takeOut(element: Element): void {
  const list = childOf(element, 'ChildList')
  if (childrenOf(list).length === 0 || !list) {
    element.parentNode?.removeChild(element)
    return
  }
  const group = element.ownerDocument?.createElement('GroupObject')
  if (!group) return
  group.setAttribute('name', attributeOf(element, 'name'))
  group.setAttribute('uuid', uuidOf(`group of ${attributeOf(element, 'uuid')}`))
  setText(group, 'Matrix', textIn(element, 'Matrix'))
  group.appendChild(list)
  element.parentNode?.replaceChild(group, element)
}
