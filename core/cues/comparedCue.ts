/** One cue as it looks on both sides of a change: who is lit or moves, before and after. */
import { atRest } from './atRest'
import { DARK } from './darkness'
import { pictureNear, type StageFixture } from './onStage'
import { playedPoseAt, playedStateAt } from './playedTimeline'
import { placeOfCue, stateAt } from './tracking'
import { poseInCue } from './ways'
import type { CueValue } from '../show/entities'
import type { CueId, FixtureId, PaletteId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { givenBy } from '../show/values'

export interface Compared {
  /** What is compared, in words. */
  readonly title: string
  readonly before: readonly StageFixture[]
  readonly after: readonly StageFixture[]
  /** What else is lit. */
  readonly around: readonly StageFixture[]
}

/** Every fixture of a cue as its list has it, by fixture; empty where the cue is not in the show. */
export function cuePicture(show: Show, cue: CueId): ReadonlyMap<FixtureId, StageFixture> {
  const place = placeOfCue(show, cue)
  if (!place) return new Map()
  const state = playedStateAt(show, place.list.id, place.at)
  return new Map(
    [...rigOf(show).values()].map((rigged) => [
      rigged.id,
      pictureNear(
        show,
        rigged,
        (id, attribute) => givenBy(state.get(`${id} ${attribute}`)) ?? atRest(show, rigged, attribute),
        () => playedPoseAt(show, rigged.bar ?? rigged, place.list.id, place.at),
      ),
    ]),
  )
}

/** A cue's fixtures that change, as they are and as they would be, among the others that are lit. */
export function comparedCue(before: Show, after: Show, cue: CueId): Compared {
  const then = cuePicture(before, cue)
  const now = cuePicture(after, cue)
  const number = after.all.cue.get(cue)?.number ?? before.all.cue.get(cue)?.number ?? ''
  const isOther = ({ rigged, position, intensity }: StageFixture) => {
    const was = then.get(rigged.id)
    return was?.intensity !== intensity || !samePlace(was, position.point)
  }
  const changed = new Set([...now.values()].filter(isOther).map(({ rigged }) => rigged.id))
  return {
    title: `Cue ${number}: dashed as it is, solid as it would be`,
    before: [...then.values()].filter(({ rigged }) => changed.has(rigged.id)),
    after: [...now.values()].filter(({ rigged }) => changed.has(rigged.id)),
    around: [...now.values()].filter(({ rigged, intensity }) => intensity > DARK && !changed.has(rigged.id)),
  }
}

function samePlace(was: StageFixture | undefined, point: StageFixture['position']['point']): boolean {
  const then = was?.position.point
  if (!then || !point) return then === point
  return Math.hypot(then.x - point.x, then.y - point.y, then.z - point.z) < 1e-3
}

/** A loose value as it is stored, and as it would be if it followed a palette; null where it is not on stage here. */
export function comparedLink(
  show: Show,
  { cue, fixture, stored }: { readonly cue: CueId; readonly fixture: FixtureId; readonly stored: readonly CueValue[] },
  palette: PaletteId,
): Compared | null {
  const place = placeOfCue(show, cue)
  const before = cuePicture(show, cue).get(fixture)
  const rigged = rigOf(show).get(fixture)
  if (!place || !before || !rigged) return null
  const state = stateAt(show, place.list, cue)
  const linked = new Set(stored.map(({ attribute }) => attribute))
  const after = pictureNear(
    show,
    rigged,
    (id, attribute) =>
      linked.has(attribute)
        ? { kind: 'link', palette }
        : (givenBy(state.get(`${id} ${attribute}`)) ?? atRest(show, rigged, attribute)),
    () => poseInCue(show, fixture, cue),
  )
  const name = show.all.palette.get(palette)?.name ?? ''
  return { title: `Dashed: as stored. Solid: ${name}`, before: [before], after: [after], around: [] }
}
