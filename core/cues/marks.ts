/** Values of cues as they are stored. */
import { cueValueId } from '../show/compositeIds'
import type { Draft } from '../show/draft'
import type { CueValue } from '../show/entities'

/** A value that is simply set. */
export const UNMARKED = { mark: null, source: null } as const

/** What is set in a cue, for which fixture. */
export type Setting = Pick<CueValue, 'cue' | 'fixture' | 'attribute' | 'value'>

/** Sets a value in a cue. */
export function putCueValue(
  draft: Draft,
  setting: Setting,
  { mark, source }: Pick<CueValue, 'mark' | 'source'> = UNMARKED,
): void {
  const { cue, fixture, attribute, value } = setting
  draft.put('cueValue', cueValueId(cue, fixture, attribute), {
    cue,
    fixture,
    attribute,
    value,
    mark,
    source,
  })
}

/** Takes what a cue sets out of it: what is carried comes through. */
export function removeCueValue(draft: Draft, { cue, fixture, attribute }: Omit<Setting, 'value'>): void {
  draft.remove('cueValue', cueValueId(cue, fixture, attribute))
}
