/**
 * What a value comes to for one fixture: links followed to plain values. For one fixture the
 * narrowest reach of a palette wins: own, then kind, then any.
 */
import { derived } from '../show/derived'
import type { Attribute } from '../attributes/attribute'
import { DEEPEST_LINK } from '../show/links'
import { asPaletteId, type PaletteId } from '../show/ids'
import type { PaletteValue } from '../show/entities'
import type { EntityOf } from '../show/kinds'
import type { ShowPart } from '../show/show'
import { typedFixtures, type RiggedFixture, type TypedFixture } from '../show/rig'
import { withTouchUps } from './touchUps'
import type { AimValue, LinkValue, PlainValue, Value } from '../show/values'

/** Values by attribute, then by whom they serve. */
type ByWhom = ReadonlyMap<Attribute, ReadonlyMap<string, PaletteValue>>

/** The values of one palette: for fixtures by their id, for types by theirs, and for any fixture. */
export interface PaletteContents {
  readonly own: ByWhom
  readonly kind: ByWhom
  readonly any: ReadonlyMap<Attribute, PaletteValue>
}

const NOTHING: PaletteContents = { own: new Map(), kind: new Map(), any: new Map() }

type Growing = Map<Attribute, Map<string, PaletteValue>>

function file(values: Growing, whom: string, stored: PaletteValue): void {
  const ofAttribute = values.get(stored.attribute)
  if (ofAttribute) ofAttribute.set(whom, stored)
  else values.set(stored.attribute, new Map([[whom, stored]]))
}

export const contentsOf = derived(['paletteValue'], (show): ReadonlyMap<string, PaletteContents> => {
  const all = new Map<string, { own: Growing; kind: Growing; any: Map<Attribute, PaletteValue> }>()
  for (const stored of show.all.paletteValue.values()) {
    const contents = all.get(stored.palette) ?? { own: new Map(), kind: new Map(), any: new Map() }
    all.set(stored.palette, contents)
    if (stored.fixture !== null) file(contents.own, stored.fixture, stored)
    else if (stored.fixtureType !== null) file(contents.kind, stored.fixtureType, stored)
    else contents.any.set(stored.attribute, stored)
  }
  return all
})

/** Whom a value is looked up for; `by` where a substitute plays its values. */
export type Served = TypedFixture & Partial<Pick<RiggedFixture, 'by'>>

/** What a palette stores that serves a fixture's attribute: the narrowest; null when it does not serve it. */
export function storedFor(
  show: ShowPart<'paletteValue'>,
  palette: string,
  served: Served,
  attribute: Attribute,
): PaletteValue | null {
  if (!served.type.has.includes(attribute)) return null
  const contents = contentsOf(show).get(palette) ?? NOTHING
  return (
    contents.own.get(attribute)?.get(served.id) ??
    contents.kind.get(attribute)?.get(served.fixture.type ?? '') ??
    contents.any.get(attribute) ??
    null
  )
}

/** What is read to tell what palettes give. */
export const PALETTE_KINDS = ['paletteValue', 'touchUp'] as const
export type PaletteKind = (typeof PALETTE_KINDS)[number]

/** What a palette gives a fixture's attribute, touched up as it is in each venue; null when it does not serve it. */
export function paletteValueFor(
  show: ShowPart<PaletteKind>,
  palette: string,
  served: Served,
  attribute: Attribute,
): Value | null {
  const stored = storedFor(show, palette, served, attribute)
  return stored && withTouchUps(show, stored, served.id)
}

/** Every fixture of the show, wherever it hangs, that a value stored in a palette serves. */
export function servedByValue(
  show: ShowPart<'paletteValue' | 'fixture' | 'fixtureType'>,
  stored: PaletteValue,
): Served[] {
  return [...typedFixtures(show).values()].filter(
    (served) => storedFor(show, stored.palette, served, stored.attribute) === stored,
  )
}

/**
 * A plain value and the palettes it came by, nearest first; `broken` names one that gives nothing.
 * Angles are `refused` to a substitute: from where it hangs they point elsewhere.
 */
export interface Resolved {
  readonly value: PlainValue | null
  readonly through: readonly PaletteId[]
  readonly broken: PaletteId | null
  readonly refused?: true
}

const DIRECT: readonly PaletteId[] = []

/** Follows a value's links for one fixture; a chain deeper than links may nest gives nothing. */
export function resolveValue(
  show: ShowPart<PaletteKind>,
  served: Served,
  attribute: Attribute,
  value: Value,
): Resolved {
  if (value.kind !== 'link') return given(served, value, DIRECT)
  const through: PaletteId[] = []
  let current: Value = value
  while (current.kind === 'link') {
    if (through.length >= DEEPEST_LINK) return { value: null, through, broken: current.palette }
    through.push(current.palette)
    const next = paletteValueFor(show, current.palette, served, attribute)
    if (next === null) return { value: null, through, broken: current.palette }
    current = next
  }
  return given(served, turned(current, value.way), through)
}

/** What a plain value comes to: a substitute is aimed anew, and takes no angles. */
function given({ by }: Served, value: PlainValue, through: readonly PaletteId[]): Resolved {
  if (!by || (value.kind !== 'aim' && value.kind !== 'angles')) return { value, through, broken: null }
  if (value.kind === 'angles') return { value: null, through, broken: null, refused: true }
  return { value: freeOfWays(value), through, broken: null }
}

const freedAims = new WeakMap<AimValue, AimValue>()

/** An aim whichever way round it is reached; the same object each time. */
function freeOfWays(aim: AimValue): AimValue {
  if (aim.choice === null) return aim
  const freed = freedAims.get(aim) ?? { ...aim, choice: null }
  freedAims.set(aim, freed)
  return freed
}

const turnedAims = new WeakMap<AimValue, Map<string, AimValue>>()

/** An aim the way round a link says; the same object each time. Anything else is what it is. */
function turned(value: PlainValue, way: LinkValue['way']): PlainValue {
  if (value.kind !== 'aim' || !way) return value
  const known = turnedAims.get(value) ?? new Map<string, AimValue>()
  turnedAims.set(value, known)
  const key = `${way.side} ${way.pan}`
  const aim = known.get(key) ?? { ...value, choice: { side: way.side, pan: way.pan } }
  known.set(key, aim)
  return aim
}

/** The attributes a palette holds for a fixture. */
export function attributesServed(show: ShowPart<'paletteValue'>, palette: string, served: Served): Attribute[] {
  return served.type.has.filter((attribute) => storedFor(show, palette, served, attribute) !== null)
}

/** Palettes in order of shelf number. */
export const palettesInOrder = derived(
  ['palette'],
  (show): readonly { readonly id: PaletteId; readonly palette: EntityOf['palette'] }[] =>
    [...show.all.palette]
      .map(([id, palette]) => ({ id: asPaletteId(id), palette }))
      .sort((a, b) => a.palette.number - b.palette.number),
)
