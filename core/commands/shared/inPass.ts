/** The pass of the venue in play, as commands work in it. */
import { passInPlay } from '../../refocus/pass'
import { passStepId } from '../../show/compositeIds'
import type { Draft } from '../../show/draft'
import type { PassStep } from '../../show/entities'
import type { PaletteId, PassId } from '../../show/ids'
import { entity, showRecordOf, type Show } from '../../show/show'
import { refuse, type Outcome } from '../command'
import { gone } from './refusals'

/** Carries out in the pass of the venue in play; refused where none has been begun. */
export function inPass(show: Show, run: (found: NonNullable<ReturnType<typeof passInPlay>>) => Outcome): Outcome {
  const found = passInPlay(show)
  return found ? run(found) : refuse('no pass', { name: entity(show, 'venue', showRecordOf(show).venue).name })
}

/** Carries out for a palette of the pass; refused where the palette is not there any more. */
export function onPaletteInPass(show: Show, palette: PaletteId, run: (pass: PassId, name: string) => Outcome): Outcome {
  const known = show.all.palette.get(palette)
  return known ? inPass(show, ({ id }) => run(id, known.name)) : gone('palette', 'palette')
}

/** Says something of a palette in a pass. */
export function sayInPass(
  draft: Draft,
  pass: PassId,
  palette: PaletteId,
  said: Partial<Pick<PassStep, 'rank' | 'mark' | 'note'>>,
): void {
  const id = passStepId(pass, palette)
  const known = draft.before.all.passStep.get(id)
  if (!known) draft.put('passStep', id, { pass, palette, rank: null, mark: null, note: '', ...said })
  if (!known) return
  if (said.rank !== undefined) draft.set('passStep', id, 'rank', said.rank)
  if (said.mark !== undefined) draft.set('passStep', id, 'mark', said.mark)
  if (said.note !== undefined) draft.set('passStep', id, 'note', said.note)
}
