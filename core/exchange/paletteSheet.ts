/**
 * Palettes as they travel between shows: fixtures by number, types and targets by name, links by
 * palette number. Read back against a show, what it does not know is told line by line.
 */
import { rollup } from 'd3-array'
import { z } from 'zod'
import { palettesInOrder } from '../palettes/resolve'
import type { CommandInput } from '../commands/registry'
import type { Whom } from '../palettes/reach'
import { palette as paletteSchema, type PaletteValue } from '../show/entities'
import { attributeId, inCatalogueOrder } from '../attributes/attribute'
import { fixtureNumber } from '../show/cells'
import { asFixtureId, asFixtureTypeId, asTargetId, type PaletteId } from '../show/ids'
import { withColourListed, withOneColourLine } from './separateColours'
import { normalisedName } from '../show/names'
import type { Show } from '../show/show'
import {
  aimValue,
  anglesValue,
  colourValue,
  numberValue,
  partsValue,
  poolValue,
  spinValue,
  type Value,
} from '../show/values'

const serves = z.union([
  z.literal('any'),
  z.strictObject({ fixture: z.number().int(), cell: z.number().int().optional() }),
  z.strictObject({ type: z.string() }),
])
const portableValue = z.discriminatedUnion('kind', [
  aimValue.extend({ target: z.string().nullable() }),
  anglesValue,
  numberValue,
  spinValue,
  colourValue,
  partsValue,
  poolValue,
  z.strictObject({ kind: z.literal('link'), palette: z.number() }),
])
export const portablePalette = paletteSchema.extend({
  values: z.array(z.strictObject({ serves, attribute: attributeId, value: portableValue })),
})
export type PortablePalette = z.infer<typeof portablePalette>
type PortableLine = PortablePalette['values'][number]

export const PALETTES_VERSION = 4
const beforeCells = z.looseObject({ version: z.literal(3) })
const oldPalettes = z.looseObject({
  version: z.union([z.literal(1), z.literal(2)]),
  palettes: z.array(z.looseObject({ heldBack: z.array(z.unknown()), values: z.array(z.unknown()) })),
})
/** Documents of before as they are written now: of before there were cells, and before colour was one attribute. */
function asNow(document: unknown): unknown {
  // Nothing has changed since but that values can serve cells.
  if (beforeCells.safeParse(document).success) return { ...Object(document), version: PALETTES_VERSION }
  const old = oldPalettes.safeParse(document).data
  if (!old) return document
  const palettes = old.palettes.map((one) => ({
    ...one,
    heldBack: withColourListed(one.heldBack),
    values: withOneColourLine(one.values),
  }))
  return { ...old, version: PALETTES_VERSION, palettes }
}

export const paletteDocument = z.preprocess(
  asNow,
  z.strictObject({
    format: z.literal('rhopander palettes'),
    version: z.literal(PALETTES_VERSION),
    palettes: z.array(portablePalette),
  }),
)

/** Palettes of a show in portable form, by number. */
export function portablePalettes(show: Show, only?: ReadonlySet<PaletteId>): PortablePalette[] {
  const lines = rollup(
    show.all.paletteValue.values(),
    (values) => values.map((stored) => portableLine(show, stored)),
    ({ palette }) => palette,
  )
  return palettesInOrder(show)
    .filter(({ id }) => only?.has(id) !== false)
    .map(({ id, palette }) => ({ ...palette, values: (lines.get(id) ?? []).sort(byWhom) }))
}

function byWhom(a: PortableLine, b: PortableLine): number {
  const rank = ({ serves: whom }: PortableLine) =>
    whom === 'any' ? -2 : 'type' in whom ? -1 : whom.fixture + (whom.cell ?? 0) / 1000
  return rank(a) - rank(b) || inCatalogueOrder(a.attribute, b.attribute)
}

function portableLine(show: Show, { fixture, fixtureType, attribute, value }: PaletteValue): PortableLine {
  const type = show.all.fixtureType.get(fixtureType ?? '')
  const known = show.all.fixture.get(fixture ?? '')
  const own = known && { fixture: known.number, ...(known.cell === null ? {} : { cell: known.cell }) }
  const whom = own ? own : type ? { type: type.name } : 'any'
  return { serves: whom, attribute, value: portable(show, value) }
}

function portable(show: Show, value: Value): PortableLine['value'] {
  if (value.kind === 'link') return { kind: 'link', palette: show.all.palette.get(value.palette)?.number ?? 0 }
  if (value.kind !== 'aim') return value
  return { ...value, target: value.target === null ? null : (show.all.target.get(value.target)?.name ?? null) }
}

/** A line that could not be read into the show, and why. */
export interface SheetFault {
  readonly palette: number
  readonly what: string
}

/** A palette ready to be stored; links still by number. */
export type KnownPalette = CommandInput<'importPalettes'>['palettes'][number]

export interface KnownPalettes {
  readonly palettes: readonly KnownPalette[]
  readonly faults: readonly SheetFault[]
}

/** Portable palettes with the fixtures, types and targets of a show. */
export function knownPalettes(show: Show, palettes: readonly PortablePalette[]): KnownPalettes {
  const faults: SheetFault[] = []
  const find = finder(show, new Set(palettes.map(({ number }) => number)))
  const known = palettes.map(({ values, ...palette }) => ({
    palette,
    values: values.flatMap((line) => {
      const found = find(line)
      if (!('missing' in found)) return [found]
      faults.push({ palette: palette.number, what: found.missing })
      return []
    }),
  }))
  return { palettes: known, faults }
}

/** What a line names and the show has not, in words. */
interface Missing {
  readonly missing: string
}
type KnownValue = KnownPalette['values'][number]['value']

/** Finds what a line names; or says in words what the show has not. */
function finder(show: Show, coming: ReadonlySet<number>) {
  const fixtures = new Map([...show.all.fixture].map(([id, known]) => [fixtureNumber(known), asFixtureId(id)]))
  const types = new Map([...show.all.fixtureType].map(([id, { name }]) => [normalisedName(name), asFixtureTypeId(id)]))
  const targets = new Map([...show.all.target].map(([id, { name }]) => [normalisedName(name), asTargetId(id)]))
  const numbers = new Set([...show.all.palette.values()].map(({ number }) => number))

  const whomOf = (whom: PortableLine['serves']): Whom | Missing => {
    if (whom === 'any') return 'any'
    if ('fixture' in whom) {
      const number = fixtureNumber({ number: whom.fixture, cell: whom.cell ?? null })
      const own = fixtures.get(number)
      return own ? { own } : { missing: `there is no fixture ${number}` }
    }
    const kind = types.get(normalisedName(whom.type))
    return kind ? { kind } : { missing: `there is no type ${whom.type}` }
  }
  const valueOf = (value: PortableLine['value']): KnownValue | Missing => {
    if (value.kind === 'link')
      return numbers.has(value.palette) || coming.has(value.palette)
        ? { link: value.palette }
        : { missing: `there is no palette ${value.palette} to link to` }
    if (value.kind !== 'aim') return value
    const target = value.target === null ? null : targets.get(normalisedName(value.target))
    return target === undefined ? { missing: `there is no target ${value.target ?? ''}` } : { ...value, target }
  }
  return ({ serves: whom, attribute, value }: PortableLine): KnownPalette['values'][number] | Missing => {
    const served = whomOf(whom)
    const stored = valueOf(value)
    if (served !== 'any' && 'missing' in served) return served
    return 'missing' in stored ? stored : { whom: served, attribute, value: stored }
  }
}
