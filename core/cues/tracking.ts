/** Tracking: a value set in a cue carries on through later cues of its list until one changes it. */
import { derived } from '../show/derived'
import type { Cue, CueValue, EntityOf } from '../show/entities'
import { asCueId, asCueListId, type CueId, type CueListId } from '../show/ids'
import type { Show } from '../show/show'

export interface CueInOrder {
  readonly id: CueId
  readonly cue: Cue
}

export interface ListInOrder {
  readonly id: CueListId
  readonly list: EntityOf['cueList']
  readonly cues: readonly CueInOrder[]
}

/** Cue lists by number, each with its cues by number. */
export const listsInOrder = derived(['cue', 'cueList'], (show): readonly ListInOrder[] => {
  const cuesOf = new Map<string, CueInOrder[]>()
  for (const [id, cue] of show.all.cue) {
    const cues = cuesOf.get(cue.list)
    if (cues) cues.push({ id: asCueId(id), cue })
    else cuesOf.set(cue.list, [{ id: asCueId(id), cue }])
  }
  return [...show.all.cueList]
    .map(([id, list]) => ({
      id: asCueListId(id),
      list,
      cues: (cuesOf.get(id) ?? []).sort((a, b) => a.cue.number - b.cue.number),
    }))
    .sort((a, b) => a.list.number - b.list.number)
})

/** The values set in each cue. */
export const valuesByCue = derived(['cueValue'], (show): ReadonlyMap<string, readonly CueValue[]> => {
  const byCue = new Map<string, CueValue[]>()
  for (const value of show.all.cueValue.values()) {
    const values = byCue.get(value.cue)
    if (values) values.push(value)
    else byCue.set(value.cue, [value])
  }
  return byCue
})

export function cueValueId(cue: string, fixture: string, attribute: string): string {
  return `${cue}.${fixture}.${attribute}`
}

/** What a list holds at a cue, by `fixture attribute`: the latest value at or before it. */
export type TrackedState = ReadonlyMap<string, CueValue>

export function stateAt(show: Show, list: ListInOrder, cue: CueId): TrackedState {
  const state = new Map<string, CueValue>()
  const byCue = valuesByCue(show)
  for (const { id } of list.cues) {
    for (const value of byCue.get(id) ?? []) state.set(`${value.fixture} ${value.attribute}`, value)
    if (id === cue) return state
  }
  return state
}
