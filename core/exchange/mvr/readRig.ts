/** Reads the scene of a rig file (DIN SPEC 15801): fixtures, what they hang on, focus points and the set. */
import { UPRIGHT, within, type Frame } from '../../geometry/frame'
import { anglesOf, rotate, rotation } from '../../geometry/rotation'
import { add, vec3, type Vec3 } from '../../geometry/vector'
import { Notes } from '../notes'
import {
  attributeOf,
  childOf,
  childrenOf,
  NotReadable,
  parseXml,
  textIn,
  type Document,
  type Element,
} from '../xml/xml'
import { readMatrix } from './matrix'
import { boundsOfPoints, prismAround, type Bounds } from './modelParts'
import type { ReadFixture, ReadHang, ReadPiece, ReadTypeFile, RigReading } from './rigReading'

/** The corners of each part of a model, by its file. */
export type Models = ReadonlyMap<string, readonly (readonly Vec3[])[]>

/** What stands in the file beside the scene: its types, and the corners of each part of its models, metres, z up. */
export interface BesideScene {
  readonly types: readonly ReadTypeFile[]
  readonly models: Models
}

/** More than this is no rig anybody hangs. */
const MOST = { fixtures: 5000, pieces: 2000, targets: 2000 }

/** An element of a scene, where it stands, and what it was read as, by its id in the reading. */
export interface ReadElement {
  readonly element: Element
  readonly frame: Frame
  readonly kind: 'fixture' | 'target' | 'hang' | 'piece'
  readonly id: string
}

/** Reads a scene; throws NotReadable with the reason. */
export function readRig(xml: string, beside: BesideScene): RigReading {
  return readScene(parseXml(xml), beside).reading
}

/** Reads a scene, and tells which of its elements became what; throws NotReadable with the reason. */
export function readScene(
  document: Document,
  { types, models }: BesideScene,
): { readonly reading: RigReading; readonly elements: readonly ReadElement[] } {
  const root = document.documentElement
  if (root?.localName !== 'GeneralSceneDescription') throw new NotReadable('it is no scene of a rig file')
  const scene = childOf(root, 'Scene')
  if (!scene) throw new NotReadable('it has no scene')
  const reader = new SceneReader(scene, models)
  for (const layer of childrenOf(childOf(scene, 'Layers'), 'Layer'))
    reader.readList(layer, reader.frameIn(layer, UPRIGHT), attributeOf(layer, 'name'))
  const provider = attributeOf(root, 'provider').slice(0, 200)
  return {
    reading: { provider, drawing: null, underlay: null, types: [...types], ...reader.all() },
    elements: reader.elements,
  }
}

/** What an element is known by. */
const ID = /^[^/\s]{1,200}$/

/** As many solids as a set piece may have. */
const MOST_PARTS = 100

/** Gathers what lies in a scene while it goes through the layers. */
class SceneReader {
  readonly #models: Models
  readonly #symbols: ReadonlyMap<string, Element>
  readonly #notes = new Notes()
  readonly #hangs: Map<string, ReadHang>
  /** Names of classes by their ids. */
  readonly #classes: ReadonlyMap<string, string>
  readonly #fixtures: ReadFixture[] = []
  readonly #targets: RigReading['targets'] = []
  readonly #pieces: ReadPiece[] = []
  readonly #ids = new Set<string>()
  readonly elements: ReadElement[] = []

  constructor(scene: Element, models: Models) {
    this.#models = models
    const data = childOf(scene, 'AUXData')
    this.#symbols = new Map(childrenOf(data, 'Symdef').map((one) => [attributeOf(one, 'uuid'), one]))
    this.#classes = new Map(childrenOf(data, 'Class').map((one) => [attributeOf(one, 'uuid'), named(one, '')]))
    this.#hangs = new Map(childrenOf(data, 'Position').flatMap((one) => this.#position(one)))
  }

  all(): Omit<RigReading, 'provider' | 'drawing' | 'underlay' | 'types'> {
    return {
      hangs: [...this.#hangs.values()],
      fixtures: this.#fixtures,
      targets: this.#targets,
      pieces: this.#pieces,
      notes: this.#notes.all,
    }
  }

  #position(element: Element): (readonly [string, ReadHang])[] {
    const id = attributeOf(element, 'uuid')
    const name = named(element, 'Position')
    if (ID.test(id)) return [[id, { id, name, ends: null, yaw: 0 }]]
    this.#notes.lost(name, 'has no id of its own; it is left out')
    return []
  }

  /** The frame of an element within an outer one; the outer one, with a word, where it tells none that can be. */
  frameIn(element: Element, outer: Frame): Frame {
    const read = readMatrix(textIn(element, 'Matrix'))
    if (!read)
      this.#notes.look(
        named(element, element.localName ?? ''),
        'its matrix is none; it stands where what it belongs to stands',
      )
    if (read?.mirrored) this.#notes.look(named(element, ''), 'its matrix mirrors; it comes in turned, not mirrored')
    return read ? within(outer, read.frame) : outer
  }

  readList(parent: Element, frame: Frame, layer: string): void {
    for (const child of childrenOf(childOf(parent, 'ChildList'))) {
      const own = this.frameIn(child, frame)
      this.#read(child, own, layer)
      this.readList(child, own, layer)
    }
  }

  #read(element: Element, frame: Frame, layer: string): void {
    if (element.localName === 'Fixture') return this.#fixture(element, frame, layer)
    if (element.localName === 'FocusPoint') return this.#focusPoint(element, frame)
    if (element.localName === 'Truss' || element.localName === 'Support') return this.#truss(element, frame, layer)
    if (element.localName === 'GroupObject') return
    if (['SceneObject', 'VideoScreen', 'Projector'].includes(element.localName ?? ''))
      return this.#piece(element, frame, layer)
    this.#notes.lost(element.localName ?? 'something', 'is nothing this program knows; it is left out')
  }

  /** The id of an element; a second one of the same id is told, and left out. */
  #idOf(element: Element): string | null {
    const id = attributeOf(element, 'uuid')
    const about = named(element, element.localName ?? '')
    if (!ID.test(id)) {
      this.#notes.lost(about, 'has no id of its own; it is left out')
      return null
    }
    if (this.#ids.has(id)) this.#notes.lost(about, `has the id ${id}, which another has already; it is left out`)
    const isNew = !this.#ids.has(id)
    this.#ids.add(id)
    return isNew ? id : null
  }

  #fixture(element: Element, frame: Frame, layer: string): void {
    const id = this.#idOf(element)
    if (id === null) return
    if (this.#fixtures.length >= MOST.fixtures) throw new NotReadable(`it holds more than ${MOST.fixtures} fixtures`)
    const name = named(element, '')
    const numberText = textIn(element, 'FixtureIDNumeric') || textIn(element, 'FixtureID')
    const number = /^\d{1,5}$/.test(numberText) && Number(numberText) > 0 ? Number(numberText) : null
    if (number === null && numberText !== '' && numberText !== '0')
      this.#notes.look(
        name || numberText,
        `its number, “${numberText}”, is no whole number from 1 on; it gets a free one`,
      )
    const on = textIn(element, 'Position')
    const { yaw, pitch, roll } = anglesOf(frame.rotation)
    const inverted = (['pan', 'tilt'] as const).filter(
      (axis) => textIn(element, axis === 'pan' ? 'DMXInvertPan' : 'DMXInvertTilt').toLowerCase() === 'true',
    )
    this.elements.push({ element, frame, kind: 'fixture', id })
    this.#fixtures.push({
      id,
      name,
      number,
      spec: textIn(element, 'GDTFSpec').slice(0, 200),
      mode: textIn(element, 'GDTFMode').slice(0, 200),
      position: frame.origin,
      yaw,
      pitch,
      roll,
      on: this.#hangs.has(on) ? on : null,
      layer: layer.slice(0, 120),
      classing: this.#classes.get(textIn(element, 'Classing')) ?? '',
      addresses: this.#addresses(element, name),
      inverted,
    })
  }

  #addresses(element: Element, name: string): ReadFixture['addresses'] {
    return childrenOf(childOf(element, 'Addresses'), 'Address').flatMap((one) => {
      const text = textIn(one)
      const address = readAddress(text)
      if (!address && text !== '' && text !== '0') this.#notes.look(name, `“${text}” is no address; it stays unpatched`)
      const nth = attributeOf(one, 'break') || '0'
      if (address && !/^\d{1,3}$/.test(nth))
        this.#notes.lost(name, `has an address of the break “${nth}”, which is none`)
      return address && /^\d{1,3}$/.test(nth) ? [{ number: Number(nth) + 1, ...address }] : []
    })
  }

  #focusPoint(element: Element, frame: Frame): void {
    const id = this.#idOf(element)
    if (id === null) return
    if (this.#targets.length >= MOST.targets) throw new NotReadable(`it holds more than ${MOST.targets} focus points`)
    this.elements.push({ element, frame, kind: 'target', id })
    this.#targets.push({ id, name: named(element, 'Focus point'), position: frame.origin })
  }

  /** A truss carries the position it names; else it carries one by its own name. */
  #truss(element: Element, frame: Frame, layer: string): void {
    const points = this.#partsOf(element, 0).flat()
    if (points.length === 0) {
      this.#notes.lost(
        named(element, 'Truss'),
        'has no model that can be read, so nobody knows how long it is; it is left out',
      )
      return
    }
    const [from, to] = longWay(boundsOfPoints(points)).map((point) => add(frame.origin, rotate(frame.rotation, point)))
    if (!from || !to) return
    const yaw = (Math.atan2(-frame.rotation.xy, frame.rotation.yy) * 180) / Math.PI
    const on = textIn(element, 'Position')
    const known = this.#hangs.get(on)
    if (known && known.ends !== null) return this.#piece(element, frame, layer)
    const id = known ? on : this.#idOf(element)
    if (id === null) return
    this.elements.push({ element, frame, kind: 'hang', id })
    this.#hangs.set(id, { id, name: known?.name ?? named(element, 'Truss'), ends: [from, to], yaw })
  }

  #piece(element: Element, frame: Frame, layer: string): void {
    const id = this.#idOf(element)
    if (id === null) return
    const name = named(element, element.localName ?? 'Set piece')
    if (this.#pieces.length >= MOST.pieces) throw new NotReadable(`it holds more than ${MOST.pieces} set pieces`)
    const parts = this.#partsOf(element, 0).filter(({ length }) => length > 0)
    if (parts.length === 0) return this.#notes.lost(name, 'has no model that can be read; it is left out')
    const { yaw, pitch, roll } = anglesOf(frame.rotation)
    const level = rotation(0, pitch, roll)
    const few = parts.length > MOST_PARTS ? [parts.flat()] : parts
    if (parts.length > MOST_PARTS)
      this.#notes.look(name, `is made of ${parts.length} parts; it comes in as the one outline around them`)
    const prisms = few.map((points) => prismAround(points.map((point) => rotate(level, point))))
    this.elements.push({ element, frame, kind: 'piece', id })
    this.#pieces.push({ id, name, layer: layer.slice(0, 120), position: frame.origin, yaw, prisms })
  }

  /** The corners of each part of the models of an element, in its frame. */
  #partsOf(element: Element, depth: number): (readonly Vec3[])[] {
    if (depth > 20) throw new NotReadable('its symbols refer to each other without end')
    const geometries = childOf(element, 'Geometries') ?? childOf(element, 'ChildList')
    return childrenOf(geometries).flatMap((one) => {
      const own = readMatrix(textIn(one, 'Matrix'))?.frame ?? UPRIGHT
      const symbol = this.#symbols.get(attributeOf(one, 'symdef'))
      const parts =
        one.localName === 'Symbol'
          ? symbol
            ? this.#partsOf(symbol, depth + 1)
            : []
          : (this.#models.get(attributeOf(one, 'fileName')) ?? [])
      return parts.map((points) => points.map((point) => add(own.origin, rotate(own.rotation, point))))
    })
  }
}

function named(element: Element, otherwise: string): string {
  return (attributeOf(element, 'name') || otherwise).slice(0, 120)
}

/** An address as it is written, "513" counted through all universes or "2.1"; null for none. */
export function readAddress(text: string): { universe: number; address: number } | null {
  const [, dotted, of] = /^(\d{1,5})\.(\d{1,3})$/.exec(text.trim()) ?? []
  const absolute = /^\d{1,8}$/.test(text.trim()) ? Number(text) - 1 : -1
  const found = dotted
    ? { universe: Number(dotted), address: Number(of) }
    : { universe: Math.floor(absolute / 512) + 1, address: (absolute % 512) + 1 }
  const isOne = found.universe >= 1 && found.universe <= 63999 && found.address >= 1 && found.address <= 512
  return isOne ? found : null
}

/** The ends of a box along its longest side, in the middle of the others. */
function longWay({ min, max }: Bounds): [Vec3, Vec3] {
  const middle = vec3((min.x + max.x) / 2, (min.y + max.y) / 2, (min.z + max.z) / 2)
  const size = vec3(max.x - min.x, max.y - min.y, max.z - min.z)
  if (size.x >= size.y && size.x >= size.z)
    return [
      { ...middle, x: min.x },
      { ...middle, x: max.x },
    ]
  if (size.y >= size.z)
    return [
      { ...middle, y: min.y },
      { ...middle, y: max.y },
    ]
  return [
    { ...middle, z: min.z },
    { ...middle, z: max.z },
  ]
}
