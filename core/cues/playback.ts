/**
 * What the lists together put on stage. Intensity takes the highest over lists of one priority that
 * ask for it; everything else, and intensity of the other lists, the latest.
 */
import { LEADING } from '../attributes/catalogue'
import { HOME, type Pose } from '../kinematics/head'
import { derived } from '../show/derived'
import { kindOf, type Attribute } from '../attributes/attribute'
import type { FixtureId } from '../show/ids'
import { rigOf, type RigKind } from '../show/rig'
import type { ShowPart } from '../show/show'
import type { Value } from '../show/values'
import { listsInOrder } from './tracking'
import { atRest } from './atRest'
import { levelOf } from './level'
import { endsOfMoves, over, playing, PLAYING_KINDS, type PlayingKind, runsOf, type ListTrack } from './tracks'
import { NOWHERE, type Move, type Track } from './track'
import { poseInCue } from './ways'

/** How far a move has come at an instant, 0 to 1; motion is even. `lasts` is how long it takes, milliseconds. */
export function progressOf(move: Move, now: number, lasts = move.lasts): number {
  const at = move.stoppedAt === null ? now : Math.min(now, move.stoppedAt)
  if (at < move.startsAt) return 0
  if (lasts <= 0) return 1
  return Math.min(1, (at - move.startsAt) / lasts)
}

/** Whether a value still moves, or waits to, at an instant. */
export function isMoving(track: Track, now: number): boolean {
  return track.move !== null && progressOf(track.move, now) < 1
}

/** The ends of a list's levels: its master scales them, and where it has none it meets what lies under it. */
interface Ends {
  readonly scale: number
  readonly under: number
}

/**
 * The level a track has at an instant; null where it has none by then. Whether it rises or falls goes
 * by where it is when it sets out; from nothing it rises, to nothing it falls.
 */
function levelAt(
  show: ShowPart<'paletteValue' | 'touchUp' | RigKind>,
  fixture: FixtureId,
  track: Track,
  now: number,
  ends: Ends,
): number | null {
  const own = levelOf(show, fixture, track.value)
  const end = own === null ? null : own * ends.scale
  if (!track.move) return end
  const { from, leftAt, lasts, falls } = track.move
  const begin = levelAt(show, fixture, from, leftAt, ends)
  const isFalling = end === null || (begin !== null && end < begin)
  const t = progressOf(track.move, now, isFalling ? falls : lasts)
  if (t >= 1) return end
  const start = begin ?? ends.under
  return start + ((end ?? ends.under) - start) * t
}

/** Who gives a fixture its intensity, and how much; null where no list does. */
interface Lit {
  readonly level: number
  readonly track: ListTrack
}

/** The intensity of a fixture from the tracks of all lists, the one that counts last. `now` Infinity is their end. */
export function litBy(
  show: ShowPart<'paletteValue' | 'touchUp' | RigKind>,
  tracks: readonly ListTrack[],
  now: number,
): Lit | null {
  const [first] = tracks
  const rest = first ? restingLevel(show, first.fixture) : 0
  return tracks.reduce<Lit | null>((lit, track) => {
    const { level: scale, intensityRule, priority } = track.list.list
    const isAmongEquals = intensityRule === 'highest' && lit?.track.list.list.priority === priority
    const under = isAmongEquals ? 0 : (lit?.level ?? rest)
    const level = levelAt(show, track.fixture, track, now, { scale, under })
    const isBeaten = isAmongEquals && level !== null && lit.level > level
    return level === null || isBeaten ? lit : { level, track }
  }, null)
}

/** What a fixture rests at, 0 to 1. */
function restingLevel(show: ShowPart<'paletteValue' | 'touchUp' | RigKind>, fixture: FixtureId): number {
  const rigged = rigOf(show).get(fixture)
  return (rigged && levelOf(show, fixture, atRest(show, rigged, LEADING.light))) ?? 0
}

/** The track that counts for anything but intensity, with what lies under it. */
export function trackOf(tracks: readonly ListTrack[]): Track {
  return tracks.reduce<Track>((under, track) => over(track, under), NOWHERE)
}

/** Values by fixture, then by attribute. */
export type ValueMap = ReadonlyMap<FixtureId, ReadonlyMap<Attribute, Value>>
/** One in the making. */
export type GrowingValues = Map<FixtureId, Map<Attribute, Value>>

export function putValue(values: GrowingValues, fixture: FixtureId, attribute: Attribute, value: Value): void {
  const known = values.get(fixture)
  if (known) known.set(attribute, value)
  else values.set(fixture, new Map<Attribute, Value>().set(attribute, value))
}

/** The key of a track. */
export function valueKey(fixture: string, attribute: Attribute): string {
  return `${fixture} ${attribute}`
}

/** What the cues put on stage once everything has arrived. */
export const playedBack = derived(PLAYING_KINDS, (show): ValueMap => {
  const values: GrowingValues = new Map()
  for (const tracks of playing(show).values()) {
    const [first] = tracks
    if (!first) continue
    const { fixture, attribute } = first
    const value = kindOf(attribute).mixes === 'highest' ? endLevel(show, tracks) : endOf(trackOf(tracks)).value
    if (value !== null) putValue(values, fixture, attribute, value)
  }
  return values
})

/** Where a track comes to in the end. */
export function endOf(track: Track): Track {
  if (track.value === null && track.under) return endOf(track.under)
  return track.move ? { ...track, move: null } : track
}

/** The pose a head comes to by the lists; home where none sets its position. */
export function playedPose(show: ShowPart<PlayingKind>, fixture: FixtureId): Pose {
  const tracks = playing(show).get(valueKey(fixture, LEADING.place))
  return tracks ? poseInCue(show, fixture, endOf(trackOf(tracks)).cue) : HOME
}

/** The stored value where it counts as it is, else the level it comes to. */
function endLevel(show: ShowPart<'paletteValue' | 'touchUp' | RigKind>, tracks: readonly ListTrack[]): Value | null {
  const lit = litBy(show, tracks, Infinity)
  if (!lit) return null
  if (lit.track.value !== null && lit.track.list.list.level === 1) return lit.track.value
  return { kind: 'number', number: lit.level }
}

/** Fixtures something of which is on its way, with their tracks by attribute. */
export interface MovingFixture {
  readonly id: FixtureId
  readonly tracks: ReadonlyMap<Attribute, readonly ListTrack[]>
  /** Its bar, where that moves and it is a cell. */
  readonly bar: MovingFixture | null
}

const NO_TRACKS: MovingFixture['tracks'] = new Map()

/** A fixture of which no list moves anything. */
export const unmoved = (id: FixtureId): MovingFixture => ({ id, tracks: NO_TRACKS, bar: null })

/** Cells move with their bars: they come with them, whether anything of their own moves or not. */
export function withCellsMoving(show: ShowPart<RigKind>, moving: readonly MovingFixture[]): readonly MovingFixture[] {
  const rig = rigOf(show)
  const bars = moving.filter(({ id }) => rig.get(id)?.cells.length)
  if (bars.length === 0) return moving
  const all = new Map(moving.map((fixture) => [fixture.id, fixture]))
  for (const bar of bars)
    for (const cell of rig.get(bar.id)?.cells ?? []) all.set(cell, { ...(all.get(cell) ?? unmoved(cell)), bar })
  return [...all.values()]
}

/** Fixtures of which a list moves something, whatever the time; the newest runs decide. */
export const movingFixtures = derived(PLAYING_KINDS, (show): readonly MovingFixture[] => {
  const running = listsInOrder(show).some(({ id }) => runsOf(show, id).some(({ settled }) => !settled))
  if (!running) return []
  const found = new Map<FixtureId, Map<Attribute, readonly ListTrack[]>>()
  for (const tracks of playing(show).values()) {
    const [first] = tracks
    if (!first || !tracks.some(({ move }) => move)) continue
    found.set(first.fixture, new Map())
  }
  for (const tracks of playing(show).values()) {
    const [first] = tracks
    if (first) found.get(first.fixture)?.set(first.attribute, tracks)
  }
  return withCellsMoving(
    show,
    [...found].map(([id, tracks]) => ({ id, tracks, bar: null })),
  )
})

/** Until when a list moves something, milliseconds; 0 when nothing runs or everything is paused. */
export const listsMoveUntil = derived(PLAYING_KINDS, (show): number => {
  let until = 0
  for (const list of listsInOrder(show)) {
    if (list.list.pausedAt !== null) continue
    const ends = endsOfMoves(show, list)
    for (const [i, run] of runsOf(show, list.id).entries()) if (!run.settled) until = Math.max(until, ends[i] ?? 0)
  }
  return until
})
