/** The modes of fixture types, in their order. */
import { LEADING } from '../attributes/catalogue'
import { group } from 'd3-array'
import { isColourPart } from '../attributes/colourPart'
import { wholeOf } from './cells'
import { derived } from './derived'
import type { FixtureMode } from './entities'
import { asFixtureModeId, type FixtureId, type FixtureModeId } from './ids'
import type { Show, ShowPart } from './show'

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

/** What goes over at once in a fade, by mode, because its channel is of that sort. */
const snapsByMode = derived(['fixtureMode'], (show): ReadonlyMap<string, ReadonlySet<string>> => {
  const snapping = ({ channels }: FixtureMode) =>
    channels
      .filter(({ snaps }) => snaps)
      .flatMap(({ functions }) => functions.map(({ does }) => (isColourPart(does) ? LEADING.colour : does)))
  return new Map([...show.all.fixtureMode].map(([id, mode]) => [id, new Set(snapping(mode))]))
})

const NOTHING: ReadonlySet<string> = new Set()

/** What of a fixture goes over at once in a fade by the mode it listens in. */
export function snapsIn(show: ShowPart<'fixture' | 'fixtureMode'>, fixture: FixtureId): ReadonlySet<string> {
  return snapsByMode(show).get(show.all.fixture.get(wholeOf(show, fixture))?.mode ?? '') ?? NOTHING
}

/** The mode a fixture of a type takes when nobody says; null for a type without one. */
export function firstMode(show: Show, type: string): FixtureModeId | null {
  return modesOf(show, type)[0]?.id ?? null
}
