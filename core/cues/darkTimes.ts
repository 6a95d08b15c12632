/** When the cues of a list begin, as far as that can be told before somebody calls them. */
import { lengthOf } from './times'
import type { ListInOrder } from './tracking'
import type { ShowPart } from '../show/show'

/** When a cue begins: seconds after the cue that began its run, which somebody calls. */
export interface Beginning {
  /** Which run of cues that follow each other by themselves, from 0. */
  readonly run: number
  readonly seconds: number
}

/** The beginnings of all cues of a list. */
export function beginningsOf(show: ShowPart<'cue' | 'cueTime'>, list: ListInOrder): readonly Beginning[] {
  const beginnings: Beginning[] = []
  for (const { cue } of list.cues) {
    const before = beginnings.at(-1)
    const previous = list.cues[beginnings.length - 1]
    if (!before || !previous) beginnings.push({ run: 0, seconds: 0 })
    else if (cue.follow === 'wait') beginnings.push({ run: before.run + 1, seconds: 0 })
    else {
      const after = cue.follow === 'after' ? lengthOf(show, previous.id) : 0
      beginnings.push({ run: before.run, seconds: before.seconds + after })
    }
  }
  return beginnings
}
