/**
 * An entry that also says how bright: `21-38 lit out`, `12-17 at 30`, `Bar 2 full`. What comes
 * before is a selection; alone it counts for what is selected.
 */
import { normalisedName } from '../show/names'
import { parseEntry, type EntryResult, type EntryWorld } from './entry'

export interface LevelEntry {
  readonly selection: EntryResult
  /** 0 to 1; null where the entry only selects. */
  readonly level: number | null
}

const LEVEL = /^(.*?)\s*\b(?:at\s+(\d{1,3}(?:[.,]\d+)?)\s*%?|(out|full))\s*$/i

/** Reads an entry. A name that ends like a level is still a name. */
export function parseLevelEntry(text: string, world: EntryWorld): LevelEntry {
  const whole = parseEntry(text, world)
  const found = LEVEL.exec(text)
  const [, subject = '', percent, word = ''] = found ?? []
  const isBare =
    found !== null &&
    subject.trim() === '' &&
    !world.named.some(({ name }) => normalisedName(name) === normalisedName(text))
  if (!found || (whole.ok && !isBare)) return { selection: whole, level: null }
  const level =
    percent === undefined ? (word.toLowerCase() === 'full' ? 1 : 0) : Number(percent.replace(',', '.')) / 100
  if (level > 1)
    return { selection: { ok: false, message: 'A level goes to 100 %.', part: percent ?? '' }, level: null }
  return { selection: parseEntry(subject.trim() === '' ? 'selected' : subject, world), level }
}
