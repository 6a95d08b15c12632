/** Cells of tables, and blocks that many papers are made of. */
import type { PaperCell } from './leaf'

export const words = (text: string): PaperCell => ({ kind: 'words', words: text })
export const strong = (text: string): PaperCell => ({ kind: 'words', words: text, isStrong: true })
export const TICK: PaperCell = { kind: 'tick' }
export const ROOM: PaperCell = { kind: 'room' }
/** A number where there is one. */
export const number = (value: number | null, digits: number, unit = ''): PaperCell =>
  words(value === null ? '' : `${value.toFixed(digits)}${unit}`)
