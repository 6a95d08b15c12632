/** How long the parts of a cue take: its own times, and those of families and fixtures where they differ. */
import { LEADING } from '../attributes/catalogue'
import { group } from 'd3-array'
import { derived } from '../show/derived'
import type { Cue, CueTime } from '../show/entities'
import { familyOf, type Attribute } from '../attributes/attribute'
import type { ShowPart } from '../show/show'

/** Seconds waited before something begins, and seconds it then takes. */
export interface Timing {
  readonly delay: number
  readonly seconds: number
}

const timesByCue = derived(['cueTime'], (show): ReadonlyMap<string, readonly CueTime[]> =>
  group(show.all.cueTime.values(), ({ cue }) => cue),
)

const NONE: readonly CueTime[] = []

/** The times of its own that a cue has. */
export function timesOf(show: ShowPart<'cueTime'>, cue: string): readonly CueTime[] {
  return timesByCue(show).get(cue) ?? NONE
}

/**
 * How an attribute of a fixture comes into a cue. The narrowest time counts: of the fixture and the
 * family, of the fixture, of the family, else the cue's own. `way` matters to intensity alone.
 */
export function timingOf(
  show: ShowPart<'cueTime'>,
  id: string,
  cue: Cue,
  fixture: string,
  attribute: Attribute,
  way: 'up' | 'down',
): Timing {
  const own = ownTiming(cue, attribute, way)
  const times = timesOf(show, id)
  if (times.length === 0) return own
  const family = familyOf(attribute)
  const fitting = [
    times.find((t) => t.fixture === fixture && t.family === family),
    times.find((t) => t.fixture === fixture && t.family === null),
    times.find((t) => t.fixture === null && t.family === family),
  ]
  return {
    delay: fitting.find((t) => t && t.delay !== null)?.delay ?? own.delay,
    seconds: fitting.find((t) => t && t.seconds !== null)?.seconds ?? own.seconds,
  }
}

function ownTiming({ rise, fall, move, delay }: Cue, attribute: Attribute, way: 'up' | 'down'): Timing {
  if (attribute !== LEADING.light) return { delay, seconds: move ?? rise }
  return { delay, seconds: way === 'up' ? rise : fall }
}

/** Seconds from the start of a cue until everything in it has arrived. */
export function lengthOf(show: ShowPart<'cueTime' | 'cue'>, id: string): number {
  const cue = show.all.cue.get(id)
  if (!cue) return 0
  const longest = Math.max(cue.rise, cue.fall, cue.move ?? 0)
  const own = cue.delay + longest
  return timesOf(show, id).reduce(
    (most, { seconds, delay }) => Math.max(most, (delay ?? cue.delay) + (seconds ?? longest)),
    own,
  )
}
