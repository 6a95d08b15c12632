/**
 * What goes out: the level of every patched channel, as the stage is at an instant.
 */
import { LEADING } from '../attributes/catalogue'
import { rangeOf } from '../show/attributeRange'
import { askedPose } from '../kinematics/axesOff'
import { UNIVERSE_SIZE } from '../patch/span'
import { amountAt, amountSet } from '../hand/standing'
import { onTheMove } from '../cues/arrivals'
import { audienceView, type AudienceView } from '../cues/audienceView'
import { onItsWay, type Follow } from '../cues/stageAt'
import type { MovingFixture } from '../cues/playback'
import type { Track } from '../cues/track'
import { pictureOf, type StageFixture } from '../cues/onStage'
import type { Channel, FixtureType } from '../show/entities'
import { isNumberAttribute, kindOf, type Attribute, type NumberAttribute } from '../attributes/attribute'
import { isColourPart, type ColourPart } from '../attributes/colourPart'
import type { ChannelRole } from '../attributes/channelRole'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { madeColour, partsOf, restParts, slotShown } from '../show/colours'
import { numberOf, type Amount, type PlainColour } from '../show/values'
import { isFollower, type Followers } from '../tracking/followers'
import type { TrackedPlaces } from '../tracking/following'
import { channelLevel, levelsOf, type ChannelSource } from './channelFunction'
import { bytesOf, patchedIn, type Patched } from './patched'

/** 512 levels from 0 to 255 by universe, which counts from 1; channel 1 stands first. */
export type Universes = ReadonlyMap<number, Uint8Array>

/** The levels once everything has arrived, kept until the show changes. */
const settled = new WeakMap<Show, Universes>()

/**
 * Everything patched at an instant, milliseconds by the server's clock; at rest where nothing sets
 * it. Channels past 512 never go out. Everybody's hand and highlight is seen, but of those who work
 * blind. Without anything on its way the same levels come back each time.
 */
export function channelLevels(show: Show, now: number): Universes {
  const view = audienceView(show)
  const known = standingLevels(show, view)
  const moving = onTheMove(show, view.people, now)
  if (moving.length === 0) return known
  const universes = new Written(known)
  for (const fixture of moving) writeMoving(show, view, fixture, now, universes)
  return universes.all
}

/** The same, with every head that is aimed at what a tracker moves turned after it. */
export function followedLevels(show: Show, now: number, places: TrackedPlaces, followers: Followers): Universes {
  const view = audienceView(show)
  const universes = new Written(standingLevels(show, view))
  const follow = followers.at(show, places)
  const moving = onTheMove(show, view.people, now)
  const areMoving = new Set(moving.map(({ id }) => id))
  for (const { patched, picture, source } of standingFollowers(show, view, places)) {
    if (areMoving.has(patched.rigged.id)) continue
    const levels = universes.of(patched.universe)
    const turned = view.see(follow(picture))
    if (levels) writeFixture(levels, patched, source(turned), view.isBroughtOut(patched.rigged.id), TURNING_ROLES)
  }
  for (const fixture of moving) writeMoving(show, view, fixture, now, universes, follow)
  return universes.all
}

/** Universes of which those that are written to are copies. */
class Written {
  readonly all: Map<number, Uint8Array>
  readonly #copied = new Set<number>()

  constructor(known: Universes) {
    this.all = new Map(known)
  }

  /** A universe to write to; undefined where there is none. */
  of(universe: number): Uint8Array | undefined {
    const levels = this.all.get(universe)
    if (!levels || this.#copied.has(universe)) return levels
    this.#copied.add(universe)
    const own = levels.slice()
    this.all.set(universe, own)
    return own
  }
}

/** Writes what of a fixture is on its way; with what it follows, also how it is turned. */
function writeMoving(
  show: Show,
  view: AudienceView,
  fixture: MovingFixture,
  now: number,
  universes: Written,
  follow?: Follow,
) {
  const patched = patchedIn(show).get(fixture.id)
  const levels = patched && universes.of(patched.universe)
  const picture = patched && onItsWay(show, fixture, view, now, follow)
  if (!patched || !levels || !picture) return
  const amount = (attribute: Attribute) => amountAt(show, fixture, attribute, view, now)
  const moves = rolesOnTheMove(patched.rigged, fixture, view)
  const written = follow ? new Set([...moves, ...TURNING]) : moves
  writeFixture(levels, patched, sourceOf(view.see(picture), amount), view.isBroughtOut(fixture.id), written)
}

/** A fixture that stands aimed at what may move. */
interface StandingFollower {
  readonly patched: Patched
  readonly picture: StageFixture
  readonly source: (picture: StageFixture) => ChannelSource
}
const followersIn = new WeakMap<Show, readonly StandingFollower[]>()

function standingFollowers(show: Show, view: AudienceView, places: TrackedPlaces): readonly StandingFollower[] {
  const known = followersIn.get(show) ?? findFollowers(show, view, places)
  followersIn.set(show, known)
  return known
}

function findFollowers(show: Show, view: AudienceView, places: TrackedPlaces): StandingFollower[] {
  const found: StandingFollower[] = []
  for (const patched of patchedIn(show).values()) {
    const { rigged } = patched
    const picture = rigged.bar ? null : pictureOf(show, rigged, view.lookup)
    if (!picture || !isFollower(picture, places)) continue
    const amount = (attribute: Attribute) => amountSet(show, rigged, attribute, view.seen)
    found.push({ patched, picture, source: (turned) => sourceOf(turned, amount) })
  }
  return found
}

/** What a head drives as it turns: its axes, and its zoom where a pool stays as large as it is. */
const TURNING = ['pan', 'tilt', LEADING.width] as const
const TURNING_ROLES: ReadonlySet<ChannelRole> = new Set(TURNING)
/** What a colour drives: the parts that mix it, or the wheel. */
const colourRoles = (type: FixtureType): readonly ChannelRole[] => (type.mixing ? partsOf(type) : [LEADING.glass])

/** What of a fixture is on its way: channels that say nothing of it stay at what they come to. */
function rolesOnTheMove(rigged: RiggedFixture, moving: MovingFixture, view: AudienceView): ReadonlySet<ChannelRole> {
  const known = moved.get(view) ?? new WeakMap<MovingFixture, ReadonlySet<ChannelRole>>()
  moved.set(view, known)
  const roles = known.get(moving) ?? rolesOf(rigged, moving, view)
  known.set(moving, roles)
  return roles
}
const moved = new WeakMap<AudienceView, WeakMap<MovingFixture, ReadonlySet<ChannelRole>>>()

function rolesOf({ type }: RiggedFixture, { id, tracks }: MovingFixture, view: AudienceView): Set<ChannelRole> {
  const isMoving = ({ move, under }: Track) => move !== null || under !== null
  const roles = new Set<ChannelRole>()
  for (const attribute of type.has) {
    const held = view.held(id, attribute)
    const listed = tracks.get(attribute) ?? []
    if (held ? !isMoving(held) : !listed.some(isMoving)) continue
    if (isNumberAttribute(attribute)) roles.add(attribute)
    else for (const role of kindOf(attribute).unit === 'place' ? TURNING : colourRoles(type)) roles.add(role)
  }
  return roles
}

/** Whether a channel says anything of what moves. */
function saysAnyOf(roles: ReadonlySet<ChannelRole>, { functions, dims }: Channel): boolean {
  return (
    (dims && roles.has(LEADING.light)) ||
    functions.some(({ does, when }) => roles.has(does) || (when !== null && roles.has(when.attribute)))
  )
}

function standingLevels(show: Show, view: AudienceView): Universes {
  const known = settled.get(show) ?? settledLevels(show, view)
  settled.set(show, known)
  return known
}

function settledLevels(show: Show, view: AudienceView): Universes {
  const universes = new Map<number, Uint8Array>()
  for (const patched of patchedIn(show).values()) {
    const { rigged, universe } = patched
    const levels = universes.get(universe) ?? new Uint8Array(UNIVERSE_SIZE)
    universes.set(universe, levels)
    const picture = view.see(pictureOf(show, rigged, view.lookup))
    const amount = (attribute: Attribute) => amountSet(show, rigged, attribute, view.seen)
    writeFixture(levels, patched, sourceOf(picture, amount), view.isBroughtOut(rigged.id))
  }
  return universes
}

/** What a fixture does, as its picture has it where that shows it. */
function sourceOf(picture: StageFixture, amountOf: (attribute: Attribute) => Amount | null): ChannelSource {
  const { type } = picture.rigged
  const restOf = (role: NumberAttribute | ColourPart) =>
    isColourPart(role) ? (restParts(type).get(role) ?? 0) : rangeOf(type, role).home
  return {
    restOf,
    amountOf: (role) => {
      const number = numberPictured(picture, role)
      if (number !== null) return { kind: 'number', number }
      if (role === 'pan' || role === 'tilt') return { kind: 'number', number: 0 }
      return (isColourPart(role) ? null : amountOf(role)) ?? { kind: 'number', number: restOf(role) }
    },
  }
}

/** A bar whose cells are dimmed each by itself leaves their light as it is. */
const isMaster = ({ type, cells }: RiggedFixture) => cells.length > 0 && !type.has.includes(LEADING.light)

const partLevel = (type: FixtureType, colour: PlainColour, part: ColourPart) =>
  madeColour(type, colour).parts.get(part) ?? 0

/** What a picture shows of a role; null for what is not in it. */
function numberPictured(picture: StageFixture, role: ChannelRole): number | null {
  switch (role) {
    case 'pan':
    case 'tilt':
      return askedPose(picture.rigged.type, picture.rigged.axes, picture.position.pose)[role]
    case LEADING.light:
      return isMaster(picture.rigged) ? 1 : picture.seen
    case LEADING.width:
      return picture.zoom.angle
    case LEADING.glass:
      return slotShown(picture.rigged.type, picture.colour, picture.colourSlot)
    default:
      return isColourPart(role) ? partLevel(picture.rigged.type, picture.colour, role) : null
  }
}

/** `moves` is what is to be written of it; all of it where that is left out. */
function writeFixture(
  levels: Uint8Array,
  { address, channels }: Patched,
  source: ChannelSource,
  isOut: boolean,
  moves?: ReadonlySet<ChannelRole>,
) {
  const dimmed = numberOf(source.amountOf(LEADING.light))
  for (const channel of channels) {
    const followed =
      channel.follows === null ? channel : (channels.find(({ name }) => name === channel.follows) ?? channel)
    if (moves && !saysAnyOf(moves, followed)) continue
    const rest = (isOut ? followed.highlight : null) ?? followed.rest
    const level = channelLevel(followed, source, rest, dimmed)
    write(levels, address, channel, Math.floor((level * levelsOf(channel)) / levelsOf(followed)))
  }
}

/** Writes a level byte by byte, the coarse one first. */
function write(levels: Uint8Array, address: number, channel: Channel, level: number) {
  const whole = levelsOf(channel) / 256
  for (const [i, at] of bytesOf(channel, address).entries())
    if (at < UNIVERSE_SIZE) levels[at] = Math.floor(level / (whole / 256 ** i)) & 255
}
