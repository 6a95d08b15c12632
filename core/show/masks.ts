/** Take masks: which families a recording takes, and which attributes inside them it leaves. */
import { attributeName, LISTED_ATTRIBUTES, familyOf, type Attribute } from '../attributes/attribute'
import { FAMILIES, SHELF_TAKES, type Family, type Shelf } from '../attributes/families'
import { listInWords } from './listInWords'
import type { Show } from './show'

export interface Mask {
  readonly take: readonly Family[]
  /** Attributes that stay although their family is taken. */
  readonly heldBack: readonly Attribute[]
}

export const TAKE_ALL: Mask = { take: FAMILIES, heldBack: [] }

/** Whether a mask lets an attribute through. */
export function lets({ take, heldBack }: Mask, attribute: Attribute): boolean {
  return take.includes(familyOf(attribute)) && !heldBack.includes(attribute)
}

/** What a shelf takes: what was set for it, or what it takes at first. */
export function shelfMaskOf(show: Show, shelf: Shelf): Mask {
  return show.all.shelfMask.get(shelf) ?? { take: SHELF_TAKES[shelf], heldBack: [] }
}

/** Whether a mask lets everything through. */
export function letsAll({ take, heldBack }: Mask): boolean {
  return heldBack.length === 0 && FAMILIES.every((family) => take.includes(family))
}

/** Those of some attributes that are of a family. */
export function attributesOf(family: Family, among: readonly Attribute[]): Attribute[] {
  return among.filter((attribute) => familyOf(attribute) === family)
}

/** A mask with an attribute, one of those `known`, let through or held back; its family follows where it must. */
export function withAttribute(mask: Mask, attribute: Attribute, take: boolean, known: readonly Attribute[]): Mask {
  const family = familyOf(attribute)
  const others = mask.heldBack.filter((held) => held !== attribute)
  if (!take) return { take: mask.take, heldBack: [...others, attribute] }
  if (mask.take.includes(family)) return { take: mask.take, heldBack: others }
  const siblings = attributesOf(family, known).filter((other) => other !== attribute)
  const outside = others.filter((held) => familyOf(held) !== family)
  return { take: inOrder([...mask.take, family]), heldBack: [...outside, ...siblings] }
}

/** A mask with a whole family let through or held back. */
export function withFamily(mask: Mask, family: Family, take: boolean): Mask {
  const others = mask.take.filter((other) => other !== family)
  const heldBack = mask.heldBack.filter((held) => familyOf(held) !== family)
  return { take: inOrder(take ? [...others, family] : others), heldBack }
}

function inOrder(families: readonly Family[]): Family[] {
  return FAMILIES.filter((family) => families.includes(family))
}

/** "position, beam without iris, gobo: only gobo 2 turn": what a mask takes. */
export function maskInWords({ take, heldBack }: Mask): string {
  if (take.length === 0) return 'nothing'
  return take.map((family) => familyInWords(family, heldBack)).join(', ')
}

function familyInWords(family: Family, heldBack: readonly Attribute[]): string {
  const without = attributesOf(family, heldBack)
  if (without.length === 0) return family
  const only = attributesOf(family, LISTED_ATTRIBUTES).filter((attribute) => !without.includes(attribute))
  const isShorter = only.length > 0 && only.length < without.length
  return isShorter
    ? `${family}: only ${listInWords(only.map(attributeName))}`
    : `${family} without ${listInWords(without.map(attributeName))}`
}
