import { footprint } from '../patch/span'
import { modesOf } from '../show/modes'
import type { Show } from '../show/show'
import type { KnownNames } from './rigTable'

/** The names of a show that a table may speak of. */
export function knownNames(show: Show): KnownNames {
  return {
    hangs: [...show.all.hang.values()].map((hang) => hang.name),
    types: [...show.all.fixtureType].map(([id, { name }]) => ({
      name,
      modes: modesOf(show, id).map(({ mode }) => ({ name: mode.name, channels: footprint(mode) })),
    })),
    numbers: new Set([...show.all.fixture.values()].map((fixture) => fixture.number)),
    targets: [...show.all.target.values()].map((target) => target.name),
    setPieces: [...show.all.setPiece.values()].map((piece) => piece.name),
  }
}
