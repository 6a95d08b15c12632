/** The layers of a scene, where something new goes: into the one of its name, or one that is made. */
import { uuidOf } from '../uuid'
import { UPRIGHT } from '../../geometry/frame'
import { appended, attributeOf, childOf, childrenOf, textIn, type Document, type Element } from '../xml/xml'
import { matrixText, readMatrix } from './matrix'

/** The layer of what is in none. */
export const NO_LAYER = 'Set'
/** Where fixtures stand that no file told a layer of. */
export const FIXTURE_LAYER = 'Fixtures'

/** A part of a scene; made where the file has none. */
export function scenePart(document: Document, name: 'AUXData' | 'Layers'): Element {
  const root = document.documentElement
  const scene = childOf(root, 'Scene') ?? (root && appended(root, 'Scene'))
  if (!scene) throw new RangeError('a document has a root')
  return childOf(scene, name) ?? appended(scene, name)
}

/** The list of the layer of a name, in the stage frame: one that is shifted or turned is another. */
export function listOfLayer(document: Document, name: string): Element {
  const layers = scenePart(document, 'Layers')
  const all = childrenOf(layers, 'Layer')
  const found = all.find((layer) => attributeOf(layer, 'name') === name && isUpright(layer))
  if (found) return childOf(found, 'ChildList') ?? appended(found, 'ChildList')
  const uuid = uuidOf(`layer ${name}`)
  const isTaken = all.some((layer) => attributeOf(layer, 'uuid') === uuid)
  const layer = appended(layers, 'Layer', { name, uuid: isTaken ? uuidOf(`${uuid} on the stage`) : uuid })
  return appended(layer, 'ChildList')
}

function isUpright(layer: Element): boolean {
  const read = readMatrix(textIn(layer, 'Matrix'))
  return read !== null && !read.mirrored && matrixText(read.frame) === matrixText(UPRIGHT)
}
