/**
 * Types that came from a file: what the file says that has no place here goes out again with them.
 * A section, mode, wheel or emitter stays as it was written for as long as reading it gives what the
 * show has; only what the show has otherwise is written anew.
 */
import type { TypeWithModes } from '../../commands/shared/typeWithModes'
import type { TypeFile } from '../../show/entities'
import {
  appended,
  attributeOf,
  childOf,
  childrenOf,
  copyFor,
  NotReadable,
  parseXml,
  xmlText,
  type Element,
} from '../xml/xml'
import { readType } from './readType'
import { OWN_PARTS, writeType } from './writeType'

/** The description in a file, and which of its types is meant. */
export interface KeptType extends Pick<TypeFile, 'part' | 'leftHanded'> {
  readonly xml: string
}

/** What was read of a description, which several ask for. */
const read = new WeakMap<KeptType, readonly TypeWithModes[]>()

/** The types of the file as they come in; throws NotReadable for a damaged one. */
function typesIn(kept: KeptType): readonly TypeWithModes[] {
  const known = read.get(kept)
  if (known) return known
  const types = readType(kept.xml, kept).types.map(({ type }) => type)
  read.set(kept, types)
  return types
}

/** How many types the file came in as; throws NotReadable. */
export const typeCountIn = (kept: KeptType): number => typesIn(kept).length

/** The modes of the type that is meant, as the file has them; throws NotReadable. */
export const modeNamesIn = (kept: KeptType): string[] => (typesIn(kept)[kept.part]?.modes ?? []).map(({ name }) => name)

/**
 * The description of a type that came from a file, `id` for what the file does not name; null where the
 * file can go out as it came. A file that came in as several types can only go out as it came: of what
 * was changed in one of them the plain description is written.
 */
export function writeKeptType(kept: KeptType, type: TypeWithModes, id: string): string | null {
  const types = typesIn(kept)
  const before = types[kept.part]
  if (!before) return writeType(type, id)
  if (writeType(before, id) === writeType(type, id)) return null
  if (types.length > 1) return writeType(type, id)
  const plain = writeType(type, id)
  const isRead = (xml: string) => {
    const [again] = typesIn({ ...kept, xml })
    return again !== undefined && writeType(again, id) === plain
  }
  const xml = merged(kept.xml, before, type, id)
  // Whatever stood in the file, what goes out should be read as what the show has.
  return isRead(xml) || !isRead(plain) ? xml : plain
}

const DEFINED = ['ActivationGroups', 'FeatureGroups', 'Attributes']

function merged(xml: string, before: TypeWithModes, after: TypeWithModes, id: string): string {
  const document = parseXml(xml)
  const kept = typeElement(document.documentElement)
  const [own, ours] = [before, after].map((type) =>
    typeElement(parseXml(writeType(type, id, OWN_PARTS)).documentElement),
  )
  if (!own || !ours) throw new RangeError('a written type has its element')
  for (const name of ['Name', 'Manufacturer'])
    if (attributeOf(own, name) !== attributeOf(ours, name)) kept.setAttribute(name, attributeOf(ours, name))
  const at = (name: string) => sections({ kept, own, ours }, name)
  const [wheels, light] = [at('Wheels'), at('PhysicalDescriptions')]
  mergeNamed(wheels, mergeSlots)
  const sources = ['Emitters', 'Filters'].map((name) => sections(light, name))
  for (const source of sources) mergeNamed(source, replace)
  if (mergeModes(at('Geometries'), at('DMXModes'), isSame(light.own, light.ours)))
    for (const one of [
      ...DEFINED.map((name) => sections(at('AttributeDefinitions'), name)),
      wheels,
      ...sources,
      at('Models'),
    ])
      addMissing(one)
  return xmlText(document)
}

function typeElement(root: Element | null): Element {
  const type = childOf(root, 'FixtureType')
  if (!type) throw new NotReadable('it is no description of a fixture type')
  return type
}

/** One section: in the file, as it came in, and as the show has it now. */
interface Sections {
  readonly kept: Element
  readonly own: Element
  readonly ours: Element
}

/** A section of each. */
function sections({ kept, own, ours }: Sections, name: string): Sections {
  const now = childOf(ours, name) ?? appended(ours, name)
  const before = childOf(own, name) ?? appended(own, name)
  const there = childOf(kept, name) ?? appended(kept, name)
  return { kept: there, own: before, ours: now }
}

const text = (element: Element | undefined) => element?.toString() ?? ''
const isSame = (one: Element | undefined, other: Element | undefined) => text(one) === text(other)
const byName = (parent: Element) => new Map(childrenOf(parent).map((child) => [attributeOf(child, 'Name'), child]))

function addMissing({ kept, ours }: Sections): void {
  const there = byName(kept)
  for (const [name, element] of byName(ours)) if (!there.has(name)) kept.appendChild(copyFor(kept, element))
}

/** What becomes of an element that the show has otherwise than it came in. */
type Change = (kept: Element, own: Element | undefined, ours: Element) => void

const replace: Change = (kept, _own, ours) => {
  kept.parentNode?.replaceChild(copyFor(kept, ours), kept)
}

function mergeNamed({ kept, own, ours }: Sections, change: Change): void {
  const [there, before, now] = [byName(kept), byName(own), byName(ours)]
  for (const [name, element] of now) {
    const found = there.get(name)
    if (isSame(before.get(name), element)) continue
    if (found) change(found, before.get(name), element)
    else kept.appendChild(copyFor(kept, element))
  }
  for (const [name, element] of there) if (before.has(name) && !now.has(name)) kept.removeChild(element)
}

/** Slots stay, with their pictures, where they are as they came in. */
const mergeSlots: Change = (kept, own, ours) => {
  const [there, before, now] = [kept, own ?? null, ours].map((wheel) => childrenOf(wheel, 'Slot'))
  if (!there || !before || !now) return
  for (const [i, slot] of now.entries()) {
    const found = there[i]
    if (!found) kept.appendChild(copyFor(kept, slot))
    else if (!isSame(before[i], slot)) replace(found, undefined, slot)
  }
  for (const slot of there.slice(now.length)) kept.removeChild(slot)
}

/**
 * Modes stay with the geometry they drive while that is what it was. One that is written anew drives
 * a plain geometry of its own, which stands beside it; true where there is one.
 */
function mergeModes(geometries: Sections, modes: Sections, isSameLight: boolean): boolean {
  const isSameHead = isSame(geometries.own, geometries.ours) || takeLight(geometries)
  if (!isSameHead || !isSameLight) clear(modes.kept)
  mergeNamed(modes, replace)
  addMissing(modes)
  const isAllKept = childrenOf(modes.kept).every((mode) => attributeOf(mode, 'Geometry') !== OWN_PARTS.base)
  if (!isSameHead) clear(geometries.kept)
  if (!isAllKept) addMissing(geometries)
  const ordered = byName(modes.kept)
  for (const name of byName(modes.ours).keys()) {
    const mode = ordered.get(name)
    if (mode) modes.kept.appendChild(mode)
  }
  return !isAllKept
}

function clear(parent: Element): void {
  for (const child of childrenOf(parent)) parent.removeChild(child)
}

const LIGHT = ['BeamAngle', 'FieldAngle', 'LuminousFlux']

/** Where only the light of the one beam is another, that alone is set; false where more is. */
function takeLight({ kept, own, ours }: Sections): boolean {
  const [beam, ...others] = beamsIn(kept)
  const now = beamsIn(ours)[0]
  const before = beamsIn(own)[0]
  if (!beam || !now || !before || others.length > 0) return false
  const wasLight = before.toString()
  for (const name of LIGHT) before.setAttribute(name, attributeOf(now, name))
  const isOnlyLight = isSame(own, ours)
  if (!isOnlyLight || wasLight === before.toString()) return false
  for (const name of LIGHT) beam.setAttribute(name, attributeOf(now, name))
  return true
}

function beamsIn(parent: Element): Element[] {
  return childrenOf(parent).flatMap((child) => [...(child.localName === 'Beam' ? [child] : []), ...beamsIn(child)])
}
