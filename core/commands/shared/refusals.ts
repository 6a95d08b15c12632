/** Refusals that several commands share. */
import type { Vec3 } from '../../geometry/vector'
import { wholeFixtures } from '../../show/cells'
import type { FixtureId, LayerId } from '../../show/ids'
import { DEEPEST_LINK, loopThrough, tooDeep } from '../../show/links'
import type { Kind } from '../../show/kinds'
import { normalisedName } from '../../show/names'
import type { Show } from '../../show/show'
import { refuse, type Outcome } from '../command'

type Named = 'hang' | 'output' | 'setPiece' | 'target' | 'output' | 'venue' | 'layer'

/** Refuses a name another thing of the kind has; null when it is free. Case and spaces do not matter. */
export function nameInUse(show: Show, kind: Named, name: string, except?: string): Outcome | null {
  for (const [id, thing] of show.all[kind])
    if (id !== except && normalisedName(thing.name) === normalisedName(name))
      return refuse('name taken', { kind, name: thing.name }, 'name')
  return null
}

/** Refuses a hang whose middle lies under the stage floor. */
export function belowFloor(name: string, origin: Vec3): Outcome | null {
  if (origin.z >= 0) return null
  return refuse('below floor', { name, metres: -origin.z }, 'origin')
}

/** Refuses what is not there (any more): "This hang is no longer in the show." */
export function gone(kind: Kind, field: string): Outcome {
  return refuse('gone', { kind }, field)
}

/** Refuses to touch what stands in a locked layer. */
export function lockedLayer(show: Show, layer: LayerId | null, name: string): Outcome | null {
  const found = layer === null ? undefined : show.all.layer.get(layer)
  if (!found?.locked) return null
  return refuse('locked', { name, layer: found.name })
}

/** Numbers for new fixtures: refuses the first one that is taken. */
export function numbersInUse(show: Show, numbers: readonly number[], except: ReadonlySet<FixtureId> = new Set()) {
  const wanted = new Set(numbers)
  for (const [id, { number, name }] of wholeFixtures(show))
    if (wanted.has(number) && !except.has(id)) return refuse('fixture number taken', { number, by: name }, 'numberFrom')
  return null
}

/** Refuses what would make one of some palettes of itself, or link palettes deeper than can be followed. */
export function linkTrouble(after: Show, palettes: Iterable<string>): Outcome | null {
  const nameOf = (id: string) => after.all.palette.get(id)?.name ?? ''
  const loop = loopThrough(after, palettes)
  if (loop) {
    return refuse('loop', { way: loop.map(nameOf) })
  }
  const deep = tooDeep(after)
  if (deep === null) return null
  return refuse('too deep', { name: nameOf(deep), deepest: DEEPEST_LINK })
}
