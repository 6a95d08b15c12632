/** The modes of fixture types, in their order. */
import { group } from 'd3-array'
import { derived } from './derived'
import type { FixtureMode } from './entities'
import { asFixtureModeId, type FixtureModeId } from './ids'
import type { Show } from './show'

export interface OrderedMode {
  readonly id: FixtureModeId
  readonly mode: FixtureMode
}

/** The modes of every type. */
export const modesByType = derived(['fixtureMode'], (show): ReadonlyMap<string, readonly OrderedMode[]> => {
  const modes = [...show.all.fixtureMode].map(([key, mode]) => ({ id: asFixtureModeId(key), mode }))
  return group(
    modes.sort((a, b) => a.mode.order - b.mode.order),
    ({ mode }) => mode.type,
  )
})

export function modesOf(show: Show, type: string): readonly OrderedMode[] {
  return modesByType(show).get(type) ?? []
}

/** The mode a fixture of a type takes when nobody says; null for a type without one. */
export function firstMode(show: Show, type: string): FixtureModeId | null {
  return modesOf(show, type)[0]?.id ?? null
}
