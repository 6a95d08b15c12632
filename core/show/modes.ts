/** The modes of fixture types, in their order. */
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
  const byType = new Map<string, OrderedMode[]>()
  for (const [key, mode] of show.all.fixtureMode) {
    const entry = { id: asFixtureModeId(key), mode }
    const known = byType.get(mode.type)
    if (known) known.push(entry)
    else byType.set(mode.type, [entry])
  }
  for (const modes of byType.values()) modes.sort((a, b) => a.mode.order - b.mode.order)
  return byType
})

export function modesOf(show: Show, type: string): readonly OrderedMode[] {
  return modesByType(show).get(type) ?? []
}

/** The mode a fixture of a type takes when nobody says; null for a type without one. */
export function firstMode(show: Show, type: string): FixtureModeId | null {
  return modesOf(show, type)[0]?.id ?? null
}
