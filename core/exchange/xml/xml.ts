/**
 * XML as the open rig formats use it: read strictly, what is not understood kept where it stood.
 * Document types are refused, since nothing of these formats has one and entities can be made to
 * swell or to reach for other files.
 */
import { DOMParser, onErrorStopParsing, XMLSerializer, type Document, type Element } from '@xmldom/xmldom'

export type { Document, Element }

/** No such file nests deeper; deeper ones are made to exhaust whoever reads them. */
const DEEPEST = 200

/** A file that is not what it should be, in words for a person. */
export class NotReadable extends Error {}

/** Parses a text; throws NotReadable with the reason. */
export function parseXml(text: string): Document {
  if (/<!DOCTYPE/i.test(text)) throw new NotReadable('it declares a document type, which these files never do')
  if (isTooDeep(text)) throw new NotReadable(`it nests deeper than ${DEEPEST} levels`)
  try {
    return new DOMParser({ onError: onErrorStopParsing }).parseFromString(text.replace(/^\uFEFF/, ''), 'text/xml')
  } catch (error) {
    throw new NotReadable(
      `its XML is damaged: ${error instanceof Error ? firstLine(error.message) : 'not well-formed'}`,
    )
  }
}

const firstLine = (text: string) => text.split('\n')[0] ?? text

export function xmlText(document: Document): string {
  return new XMLSerializer().serializeToString(document)
}

const NO_ELEMENT = /<!--[\s\S]*?-->|<!\[CDATA\[[\s\S]*?\]\]>/g

function isTooDeep(text: string): boolean {
  let depth = 0
  for (const [tag] of text.replace(NO_ELEMENT, '').matchAll(/<[^!?][^>]*>/g)) {
    if (tag.startsWith('</')) depth -= 1
    else if (!tag.endsWith('/>')) depth += 1
    if (depth > DEEPEST) return true
  }
  return false
}

/** The elements right below one, of a name if one is given, in their order. */
export function childrenOf(parent: Element | null, name?: string): Element[] {
  const found: Element[] = []
  for (let node = parent?.firstChild ?? null; node; node = node.nextSibling)
    if (isElement(node) && (name === undefined || node.localName === name)) found.push(node)
  return found
}

function isElement(node: { readonly nodeType: number }): node is Element {
  return node.nodeType === 1
}

/** The first element right below one of a name; null where there is none. */
export function childOf(parent: Element | null, name: string): Element | null {
  return childrenOf(parent, name)[0] ?? null
}

/** The text of an attribute, without spaces around it; empty where it is not there. */
export function attributeOf(element: Element | null, name: string): string {
  return element?.getAttribute(name)?.trim() ?? ''
}

/** The text in an element, or in the first one of a name right below it; empty where there is none. */
export function textIn(element: Element | null, name?: string): string {
  const of = name === undefined ? element : childOf(element, name)
  return of?.textContent?.trim() ?? ''
}

/** Sets the text of the first element of a name right below one; a new one where there is none. */
export function setText(parent: Element, name: string, text: string): void {
  const found = childOf(parent, name) ?? appended(parent, name)
  if (textIn(found) !== text) found.textContent = text
}

/** A number as these formats write it, with a point; null for anything else. */
export function numberFrom(text: string): number | null {
  return /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d+)?$/i.test(text) ? Number(text) : null
}

/** The number of an attribute; `otherwise` where it is missing or none. */
export function numberOfAttribute(element: Element | null, name: string, otherwise: number): number {
  return numberFrom(attributeOf(element, name)) ?? otherwise
}

/** A number as it is written: up to eight digits after the point, never an exponent, never −0. */
export function numberText(value: number): string {
  const text = value.toFixed(8).replace(/\.?0+$/, '')
  return text === '-0' ? '0' : text
}

/** An element of another document, to be put in below one. */
export function copyFor(parent: Element, element: Element): Element {
  const document = parent.ownerDocument
  if (!document) throw new RangeError('an element without a document takes no children')
  return document.importNode(element, true)
}

/** A new element with its attributes, below one. */
export function appended(
  parent: Element,
  name: string,
  attributes: Readonly<Record<string, string | number>> = {},
  text = '',
): Element {
  const document = parent.ownerDocument
  if (!document) throw new RangeError('an element without a document takes no children')
  const element = document.createElement(name)
  for (const [key, value] of Object.entries(attributes))
    element.setAttribute(key, typeof value === 'number' ? numberText(value) : value)
  if (text) element.appendChild(document.createTextNode(text))
  parent.appendChild(element)
  return element
}
