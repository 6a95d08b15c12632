/** What a palette holds, line by line and in words, and how that differs between two shows. */
import { amountInWords } from '../show/amountInWords'
import { colourInWords } from '../show/colourInWords'
import { length } from '../geometry/vector'
import type { FixtureType, PaletteValue } from '../show/entities'
import { attributeName, inCatalogueOrder, type Attribute } from '../attributes/attribute'
import { byNumber, fixtureNumber, typeIdOf } from '../show/cells'
import type { FixtureId, PaletteId } from '../show/ids'
import { anglesIn, offsetIn } from '../show/perVenue'
import { showRecordOf, type Show } from '../show/show'
import type { CueContent } from '../show/values'
import { offsetInWords } from '../geometry/lengthInWords'

export interface PaletteLine {
  /** Id of the stored value: the same in both shows of a comparison. */
  readonly id: string
  /** The fixture it serves alone, if it does. */
  readonly fixture: FixtureId | null
  readonly whom: string
  readonly attribute: Attribute
  readonly value: string
}

type Ranked = Parameters<typeof byNumber>[0]

/** The lines of a palette: for any first, then by type, then by fixture number. */
export function paletteLines(show: Show, palette: PaletteId): PaletteLine[] {
  const lines: (PaletteLine & Ranked)[] = []
  for (const [id, stored] of show.all.paletteValue) {
    if (stored.palette !== palette) continue
    const { attribute, fixture, value } = stored
    const { type, ...whom } = servedInWords(show, stored)
    lines.push({ id, fixture, attribute, value: valueInWords(show, value, attribute, type), ...whom })
  }
  return lines.sort((a, b) => byNumber(a, b) || inCatalogueOrder(a.attribute, b.attribute))
}

function servedInWords(show: Show, { fixture, fixtureType }: PaletteValue) {
  const known = show.all.fixture.get(fixture ?? '')
  const ofType = fixture ? show.all.fixtureType.get(typeIdOf(show, fixture) ?? '') : undefined
  if (known) return { whom: fixtureNumber(known), number: known.number, cell: known.cell, type: ofType }
  const type = show.all.fixtureType.get(fixtureType ?? '')
  if (type) return { whom: `every ${type.name}`, number: -1, cell: null, type }
  return { whom: 'any fixture', number: -2, cell: null, type: undefined }
}

/** "at Dory bow, 0.40 m upstage", "pan 12.0°, tilt -30.0°", "pool 1.80 m", "65 %". */
export function valueInWords(show: Show, value: CueContent, attribute: Attribute, type?: FixtureType): string {
  if (value.kind === 'link') {
    const linked = show.all.palette.get(value.palette)
    return `as ${linked?.number ?? ''} ${linked?.name ?? ''}`
  }
  if (value.kind === 'rest') return 'back to rest'
  const { venue } = showRecordOf(show)
  if (value.kind === 'angles') {
    const { pan, tilt } = anglesIn(value, venue)
    return `pan ${pan.toFixed(1)}°, tilt ${tilt.toFixed(1)}°`
  }
  if (value.kind === 'pool') return `pool ${value.diameter.toFixed(2)} m`
  if (value.kind === 'colour' || value.kind === 'parts') return colourInWords(value)
  if (value.kind === 'number' || value.kind === 'spin') return amountInWords(value, attribute, type)
  const offset = offsetIn(value, venue)
  if (value.target === null) return `a free place, ${offsetInWords(offset) || 'the origin'}`
  const along = value.at === null ? '' : ` ${Math.round(value.at * 100)} % along`
  const off = length(offset) < 0.005 ? '' : `, ${offsetInWords(offset)}`
  return `at ${show.all.target.get(value.target)?.name ?? ''}${along}${off}`
}

/** A line as it is and as it would be; null where it is not there. */
export interface ComparedLine {
  readonly id: string
  readonly whom: string
  readonly attribute: string
  readonly before: string | null
  readonly after: string | null
}

/** The lines of a palette in two shows side by side; what changes comes first. */
export function comparedLines(before: Show, after: Show, palette: PaletteId): ComparedLine[] {
  const then = new Map(paletteLines(before, palette).map((line) => [line.id, line]))
  const now = new Map(paletteLines(after, palette).map((line) => [line.id, line]))
  const lines = [...new Set([...now.keys(), ...then.keys()])].flatMap((id): ComparedLine[] => {
    const line = now.get(id) ?? then.get(id)
    if (!line) return []
    const { whom, attribute } = line
    return [
      {
        id,
        whom,
        attribute: attributeName(attribute),
        before: then.get(id)?.value ?? null,
        after: now.get(id)?.value ?? null,
      },
    ]
  })
  const changes = ({ before: was, after: is }: ComparedLine) => (was === is ? 1 : 0)
  return lines.sort((a, b) => changes(a) - changes(b))
}

/** Palettes of both shows whose stored values differ. */
export function palettesWithOtherContents(before: Show, after: Show): PaletteId[] {
  const [was, is] = [before.all.paletteValue, after.all.paletteValue]
  if (was === is) return []
  const found = new Set<PaletteId>()
  for (const [id, { palette }] of was) if (is.get(id) !== was.get(id)) found.add(palette)
  for (const [id, { palette }] of is) if (!was.has(id)) found.add(palette)
  return [...found].filter((id) => before.all.palette.has(id) && after.all.palette.has(id))
}
