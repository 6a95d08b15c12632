/** Brings what is left of an older scene into a newer one. */
import { uuidOf } from '../uuid'
import { attributeOf, childOf, childrenOf, copyFor, type Document, type Element } from '../xml/xml'
import { scenePart } from './sceneLayers'

export function joinScene(into: Document, older: Document): void {
  addMissing(childOf(into.documentElement, 'UserData'), childOf(older.documentElement, 'UserData'), String)
  addMissing(scenePart(into, 'AUXData'), scenePart(older, 'AUXData'), (one) => attributeOf(one, 'uuid') || String(one))
  const layers = scenePart(into, 'Layers')
  const taken = new Set(childrenOf(layers, 'Layer').map((layer) => attributeOf(layer, 'uuid')))
  for (const layer of childrenOf(scenePart(older, 'Layers'), 'Layer')) {
    if (childrenOf(childOf(layer, 'ChildList')).length === 0) continue
    const copy = copyFor(layers, layer)
    const uuid = attributeOf(copy, 'uuid')
    if (taken.has(uuid)) copy.setAttribute('uuid', uuidOf(`${uuid} of an older file`))
    layers.appendChild(copy)
  }
}

function addMissing(into: Element | null, older: Element | null, keyOf: (element: Element) => string): void {
  if (!into) return
  const there = new Set(childrenOf(into).map(keyOf))
  for (const element of childrenOf(older)) if (!there.has(keyOf(element))) into.appendChild(copyFor(into, element))
}

/** The names under which files of an older rig go out beside those of newer ones, which its scene then says: another file of the same name keeps it. */
export function renamedResources(
  scene: Document,
  newer: readonly ReadonlyMap<string, string>[],
  resources: ReadonlyMap<string, string>,
): Map<string, string> {
  const names = new Map<string, string>()
  for (const [name, digest] of resources) {
    const isTaken = (one: string) => newer.some((other) => (other.get(one) ?? digest) !== digest)
    names.set(name, freeName(name, isTaken))
  }
  const look = (element: Element | null) => {
    const now = names.get(attributeOf(element, 'fileName'))
    if (element && now !== undefined) element.setAttribute('fileName', now)
    for (const child of childrenOf(element)) look(child)
  }
  look(scene.documentElement)
  return names
}

function freeName(name: string, isTaken: (name: string) => boolean): string {
  if (!isTaken(name)) return name
  const [, stem = name, ending = ''] = /^(.*?)(\.\w+)?$/.exec(name) ?? []
  for (let n = 2; ; n += 1) if (!isTaken(`${stem} (${n})${ending}`)) return `${stem} (${n})${ending}`
}
