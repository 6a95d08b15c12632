/**
 * A show as plain immutable collections: nested maps by kind and id. A change makes new maps for
 * the kinds it touches and shares the rest, so identity tells what moved.
 */
import type { EntityOf, Kind } from './entities'
import type { ShowId } from './ids'

export type Collections = { readonly [K in Kind]: ReadonlyMap<string, EntityOf[K]> }

export interface Show {
  readonly id: ShowId
  readonly all: Collections
}

/** Collections in the making. */
export type GrowingCollections = { readonly [K in Kind]: Map<string, EntityOf[K]> }

export function emptyCollections(): GrowingCollections {
  return {
    show: new Map(),
    person: new Map(),
    fixtureType: new Map(),
    fixtureMode: new Map(),
    venue: new Map(),
    hang: new Map(),
    hangPlace: new Map(),
    fixture: new Map(),
    fixturePlace: new Map(),
    layer: new Map(),
    setPiece: new Map(),
    setPiecePlace: new Map(),
    target: new Map(),
    targetPlace: new Map(),
    group: new Map(),
    groupMember: new Map(),
    palette: new Map(),
    paletteValue: new Map(),
    recordedFixture: new Map(),
    paletteSpread: new Map(),
    shelfMask: new Map(),
    cueList: new Map(),
    cue: new Map(),
    cueValue: new Map(),
    cueTime: new Map(),
    cueRun: new Map(),
    handValue: new Map(),
    highlighted: new Map(),
    workingSet: new Map(),
    workingSetMember: new Map(),
  }
}

/** A show with nothing in it. */
export function emptyShow(id: ShowId): Show {
  return { id, all: emptyCollections() }
}

/** The one entity of an id; throws RangeError when a caller is sure and wrong. */
export function entity<K extends Kind>(show: Show, kind: K, id: string): EntityOf[K] {
  const found = show.all[kind].get(id)
  if (found === undefined) throw new RangeError(`no ${kind} with the id ${id}`)
  return found
}

/** The show's own record: its name and the venue it plays. */
export function showRecordOf(show: Show): EntityOf['show'] {
  return entity(show, 'show', show.id)
}
