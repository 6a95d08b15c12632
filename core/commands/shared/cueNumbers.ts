/** Where cues go that get other numbers, or that are copied. */
import type { CueInOrder, ListInOrder } from '../../cues/tracking'
import { entryNumber } from '../../show/entities'
import { cueListId, type CueId } from '../../show/ids'
import { cues } from './chosenCues'
import type { Outcome } from '../command'
import { cueNumberInUse } from './cueListOf'

export const elsewhere = { cues, list: cueListId, number: entryNumber }

export interface NumberedCue {
  readonly id: CueId
  readonly number: number
}

/** Numbers for some cues from a first one on, a whole apart. */
export function numberedFrom(first: number, known: readonly CueInOrder[]): NumberedCue[] {
  return known.map(({ id }, i) => ({ id, number: Math.round((first + i) * 1000) / 1000 }))
}

/** Why some of these numbers cannot be given; null when all can. `moving` are cues that give theirs up. */
export function cueNumbersInUse(
  list: ListInOrder,
  numbers: readonly NumberedCue[],
  moving: readonly CueId[] = [],
): Outcome | null {
  for (const { number } of numbers) {
    const refusal = cueNumberInUse(list, number, moving)
    if (refusal) return refusal
  }
  return null
}

/** The shortest number between two, near their middle; null where none of three decimals lies between. */
export function numberBetween(before: number, after: number): number | null {
  for (const parts of [1, 10, 100, 1000]) {
    const middle = Math.round(((before + after) / 2) * parts) / parts
    if (middle > before && middle < after) return middle
  }
  return null
}
