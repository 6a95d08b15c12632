/** Attributes by their ids: those of the catalogue, and those a type adds under a name of its own. */
import { z } from 'zod'
import { CATALOGUE, type AttributeKind, type ListedAttribute } from './catalogue'
import { FAMILIES, type Family } from './families'

/** What a type has beyond the catalogue, in a family: "extra:beam:Fan_pace" for "Fan pace". A level from 0 to 1. */
export type ExtraAttribute = `extra:${Family}:${string}`
export type Attribute = ListedAttribute | ExtraAttribute
/** An attribute that holds an amount, not a place or a colour. */
export type NumberAttribute = Exclude<Attribute, 'position' | 'colour'>

interface Listed {
  readonly kind: AttributeKind
  /** Which of several, from 1. */
  readonly nth: number
}

const KINDS = Object.entries<AttributeKind>(CATALOGUE).map(([key, kind], order) => ({ key, kind, order }))
const ORDER = new Map(KINDS.map(({ key, order }) => [key, order]))

const numbered = (key: string, nth: number) => (nth === 1 ? key : `${key}${nth}`)

/** What belongs together stands together: a gobo wheel with all its parts, then the next wheel. */
const LISTED: ReadonlyMap<string, Listed> = new Map(
  KINDS.flatMap(({ key, kind, order }) =>
    Array.from({ length: kind.most ?? 1 }, (_, i) => ({
      id: numbered(key, i + 1),
      listed: { kind, nth: i + 1 },
      rank: [ORDER.get(kind.of ?? key) ?? order, i, order] as const,
    })),
  )
    .sort((a, b) => a.rank[0] - b.rank[0] || a.rank[1] - b.rank[1] || a.rank[2] - b.rank[2])
    .map(({ id, listed }) => [id, listed]),
)

const EXTRA = new RegExp(`^extra:(${FAMILIES.join('|')}):([^\\s/._]+(?:_[^\\s/._]+)*)$`)
const LONGEST_EXTRA = 60

/** Whether a text is the id of an attribute. */
export function isAttribute(text: string): text is Attribute {
  return LISTED.has(text) || (EXTRA.test(text) && text.length <= LONGEST_EXTRA)
}

/** Whether an attribute holds an amount: all do but the place a head points at, and what its light looks like. */
export function isNumberAttribute(attribute: Attribute): attribute is NumberAttribute {
  const { unit } = kindOf(attribute)
  return unit !== 'place' && unit !== 'colour'
}

export const attributeId = z.custom<Attribute>(
  (text) => typeof text === 'string' && isAttribute(text),
  'there is no such attribute',
)
export const numberAttributeId = z.custom<NumberAttribute>(
  (text) => typeof text === 'string' && isAttribute(text) && isNumberAttribute(text),
  'there is no such attribute that holds a number',
)

/** The attributes of the catalogue in their order; those that types add come after them. */
export const LISTED_ATTRIBUTES: readonly Attribute[] = [...LISTED.keys()].filter(isAttribute)
const PLACES = new Map<string, number>(LISTED_ATTRIBUTES.map((one, place) => [one, place]))

/** Sorts attributes as they stand everywhere: as the catalogue has them, then the others by name. */
export function inCatalogueOrder(a: Attribute, b: Attribute): number {
  const place = (of: Attribute) => PLACES.get(of) ?? PLACES.size
  return place(a) - place(b) || (a < b ? -1 : a > b ? 1 : 0)
}

const EXTRA_KIND = { unit: 'level', fade: 'runs', min: 0, max: 1, rest: 0, standard: 'NoFeature' } as const

/** What the catalogue says of an attribute. */
export function kindOf(attribute: Attribute): AttributeKind {
  const listed = LISTED.get(attribute)
  return listed ? listed.kind : extraKind(attribute)
}

function extraKind(id: string): AttributeKind {
  const [, family = '', name = id] = EXTRA.exec(id) ?? []
  return {
    ...EXTRA_KIND,
    family: FAMILIES.find((known) => known === family) ?? 'beam',
    name: name.replaceAll('_', ' '),
  }
}

/** Which of several it is, from 1. */
export function nthOf(attribute: Attribute): number {
  return LISTED.get(attribute)?.nth ?? 1
}

export function familyOf(attribute: Attribute): Family {
  return kindOf(attribute).family
}

/** An attribute as people say it: "gobo 2 turn". */
export function attributeName(attribute: Attribute): string {
  const nth = nthOf(attribute)
  return kindOf(attribute).name.replace('#', nth === 1 ? '' : ` ${nth}`)
}

/** The id of what a type adds in a family under a name; null for a name that is too long, or holds `/`, `.` or `_`. */
export function extraAttribute(family: Family, name: string): ExtraAttribute | null {
  const id: ExtraAttribute = `extra:${family}:${name.trim().replaceAll(/\s+/g, '_')}`
  return !name.includes('_') && isAttribute(id) ? id : null
}
