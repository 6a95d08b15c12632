/** Cells of the carry sheet: cues by fixtures by families. */
import { z } from 'zod'
import type { CellChoice } from '../../cues/editing'
import { removeCueValue } from '../../cues/marks'
import { Draft } from '../../show/draft'
import type { CueValue } from '../../show/entities'
import { FAMILIES } from '../../attributes/families'
import type { Show } from '../../show/show'
import { areCuesGone, cues, cuesInWords } from './chosenCues'
import { done, type Outcome } from '../command'
import { noCue } from './cueListOf'
import { fixtureChoice } from './fixtureChoice'
import { counted } from '../../show/counted'

export const cells = { cues, fixtures: fixtureChoice, families: z.array(z.enum(FAMILIES)).min(1, 'choose a family') }

/** Runs a change of cells; a choice in which there is nothing to do is refused in words. */
export function onCells(
  show: Show,
  choice: CellChoice,
  change: (draft: Draft) => number,
  doing: string,
  nothing: Outcome,
): Outcome {
  if (areCuesGone(show, choice.cues)) return noCue()
  const draft = new Draft(show)
  const changed = change(draft)
  if (changed === 0) return nothing
  return done(draft, `${doing} ${counted(changed, 'value')} (${cuesInWords(show, choice.cues)})`)
}

/** Takes values out of their cues; returns how many. */
export function removeValues(draft: Draft, values: readonly CueValue[]): number {
  for (const stored of values) removeCueValue(draft, stored)
  return values.length
}
