/** What of its stage each venue has for itself, line by line: the stage's outline and opening, what is kept clear, and levels. */
import type { Venue } from '../show/entities'
import { HEADS_METRES } from '../travel/zones'
import { outlineInLine, readOutline } from '../venue/outlineText'

/** A line: what it says of a part, and a part with what it is to say, or why it cannot. */
export interface StageLine<T> {
  readonly what: string
  readonly unit: 'm' | '°' | '%' | ''
  readonly get: (part: T) => number | string
  readonly put: (part: T, value: number | string) => T | string
}

export type Zone = Venue['keepClear'][number]
export type Level = Venue['levels'][number]

const FURTHEST = 1000

/** A line of numbers from `least` on, or from above it where that is 0. */
function numbers<T>(
  { what, unit, least }: Pick<StageLine<T>, 'what' | 'unit'> & { readonly least: number },
  get: (part: T) => number,
  put: (part: T, value: number) => T,
): StageLine<T> {
  const most = unit === '%' ? 100 : unit === 'm' ? FURTHEST : 3600
  const isWithin = (value: number) => value <= most && (least === 0 && unit === 'm' ? value > 0 : value >= least)
  return {
    ...{ what, unit, get },
    put: (part, value) => {
      if (typeof value !== 'number') return 'it takes a number'
      return isWithin(value) ? put(part, value) : `it must lie between ${least} and ${most}`
    },
  }
}

/** The line of an outline. Metres. */
function outlined<T extends { readonly outline: Venue['outline'] }>(): StageLine<T> {
  return {
    ...{ what: 'outline', unit: '' },
    get: ({ outline }) => outlineInLine(outline),
    put: (part, value) => {
      const read = readOutline(String(value))
      if (!read.ok) return read.trouble
      return read.outline.some(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)) > FURTHEST)
        ? 'its corners must lie within 1000 m'
        : { ...part, outline: read.outline }
    },
  }
}

const opening = (side: keyof Venue['opening']): StageLine<Venue> =>
  numbers(
    { what: side, unit: 'm', least: 0 },
    (venue) => venue.opening[side],
    (venue, value) => ({ ...venue, opening: { ...venue.opening, [side]: value } }),
  )

export const VENUE_LINES: readonly StageLine<Venue>[] = [
  opening('width'),
  opening('height'),
  opening('depth'),
  outlined(),
]

export const ZONE_LINES: readonly StageLine<Zone>[] = [
  outlined(),
  numbers(
    { what: 'kept clear up to', unit: 'm', least: 0 },
    ({ height }) => height ?? HEADS_METRES,
    (zone, height) => ({ ...zone, height }),
  ),
]

export const LEVEL_LINES: readonly StageLine<Level>[] = [
  outlined(),
  numbers(
    { what: 'height', unit: 'm', least: -FURTHEST },
    ({ height }) => height,
    (level, height) => ({ ...level, height }),
  ),
  numbers(
    { what: 'rake', unit: '%', least: 0 },
    ({ rake }) => rake.percent,
    (level, percent) => ({ ...level, rake: { ...level.rake, percent } }),
  ),
  numbers(
    { what: 'rake climbs towards', unit: '°', least: -3600 },
    ({ rake }) => rake.bearing,
    (level, bearing) => ({ ...level, rake: { ...level.rake, bearing } }),
  ),
]
