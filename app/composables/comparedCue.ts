/** One cue as it looks on both sides of a change: who is lit or moves, before and after. */
import { pictureOf, type StageFixture } from '#core/cues/onStage'
import { placeOfCue, stateAt } from '#core/cues/tracking'
import type { CueId, FixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'

export interface Compared {
  /** What is compared, in words. */
  readonly title: string
  readonly before: readonly StageFixture[]
  readonly after: readonly StageFixture[]
}

const DARK = 0.01

/** Every fixture of a cue as its list has it, by fixture; empty where the cue is not in the show. */
export function cuePicture(show: Show, cue: CueId): ReadonlyMap<FixtureId, StageFixture> {
  const place = placeOfCue(show, cue)
  if (!place) return new Map()
  const state = stateAt(show, place.list, cue)
  return new Map(
    [...rigOf(show).values()].map((rigged) => [
      rigged.id,
      pictureOf(show, rigged, (id, attribute) => state.get(`${id} ${attribute}`)?.value ?? null),
    ]),
  )
}

/** Lit fixtures after, and those that move as they were before. */
export function comparedCue(before: Show, after: Show, cue: CueId): Compared {
  const then = cuePicture(before, cue)
  const now = cuePicture(after, cue)
  const number = after.all.cue.get(cue)?.number ?? before.all.cue.get(cue)?.number ?? ''
  const moves = ({ rigged, position, intensity }: StageFixture) => {
    const was = then.get(rigged.id)
    return !was || was.position.point !== position.point || was.intensity !== intensity
      ? !samePlace(was, position.point) || was?.intensity !== intensity
      : false
  }
  const changed = new Set([...now.values()].filter(moves).map(({ rigged }) => rigged.id))
  const isSeen = (fixture: StageFixture) => fixture.intensity > DARK || changed.has(fixture.rigged.id)
  return {
    title: `Cue ${number}`,
    before: [...then.values()].filter(({ rigged }) => changed.has(rigged.id)),
    after: [...now.values()].filter(isSeen),
  }
}

function samePlace(was: StageFixture | undefined, point: StageFixture['position']['point']): boolean {
  const then = was?.position.point
  if (!then || !point) return then === point
  return Math.hypot(then.x - point.x, then.y - point.y, then.z - point.z) < 1e-3
}
