/** Finding what a command on cues speaks of, or why it cannot be had. */
import { z } from 'zod'
import { listsInOrder, type ListInOrder } from '../../cues/tracking'
import { cueListId } from '../../show/ids'
import type { Show } from '../../show/show'
import { refuse, type Outcome } from '../command'

/** What a command takes that is about one list. */
export const ofList = z.strictObject({ list: cueListId })

/** The list of an id; null when it is gone. */
export function cueListOf(show: Show, id: string): ListInOrder | null {
  return listsInOrder(show).find((list) => list.id === id) ?? null
}

export const noList = (): Outcome => refuse('gone', { kind: 'cueList' }, 'list')
export const noCue = (): Outcome => refuse('gone', { kind: 'cue' }, 'cue')

/** Why a number cannot be given to a cue of a list; null when it can. `except` are cues that give theirs up. */
export function cueNumberInUse(list: ListInOrder, number: number, except: readonly string[] = []): Outcome | null {
  const known = list.cues.find(({ id, cue }) => cue.number === number && !except.includes(id))
  if (!known) return null
  return refuse('number taken', { kind: 'cue', number, by: known.cue.name }, 'number')
}
