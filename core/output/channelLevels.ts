/**
 * What goes out: the level of every patched channel, as the stage is at an instant. Angles and
 * numbers become parts of a channel's span, 8 or 16 bit, coarse byte first.
 */
import { rangeOf } from '../hand/attributes'
import { UNIVERSE_SIZE } from '../patch/span'
import { numberAt, numberSet } from '../hand/standing'
import { onTheMove } from '../cues/arrivals'
import { audienceView, type AudienceView } from '../cues/audienceView'
import { onItsWay } from '../cues/stageAt'
import { pictureOf, type StageFixture } from '../cues/onStage'
import type { Channel } from '../show/entities'
import type { Attribute } from '../show/families'
import { derived } from '../show/derived'
import { RIG_KINDS, rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'

/** 512 levels from 0 to 255 by universe, which counts from 1; channel 1 stands first. */
export type Universes = ReadonlyMap<number, Uint8Array>

/** A fixture with where it listens. */
interface Patched {
  readonly rigged: RiggedFixture
  readonly universe: number
  readonly address: number
  readonly channels: readonly Channel[]
}

const patchedIn = derived(['fixtureMode', ...RIG_KINDS], (show): ReadonlyMap<string, Patched> => {
  const found = new Map<string, Patched>()
  for (const rigged of rigOf(show).values()) {
    const { universe, address, mode } = rigged.fixture
    const channels = show.all.fixtureMode.get(mode ?? '')?.channels
    if (universe !== null && address !== null && channels) found.set(rigged.id, { rigged, universe, address, channels })
  }
  return found
})

/** The levels once everything has arrived, kept until the show changes. */
const settled = new WeakMap<Show, Universes>()

/**
 * Everything patched at an instant, milliseconds by the server's clock; at rest where nothing sets
 * it. Channels past 512 never go out. Everybody's hand and highlight is seen, but of those who work
 * blind. Without anything on its way the same levels come back each time.
 */
export function channelLevels(show: Show, now: number): Universes {
  const view = audienceView(show)
  const known = settled.get(show) ?? settledLevels(show, view)
  settled.set(show, known)
  const moving = onTheMove(show, view.people, now)
  if (moving.length === 0) return known
  const universes = new Map(known)
  const copied = new Set<number>()
  for (const fixture of moving) {
    const patched = patchedIn(show).get(fixture.id)
    const levels = patched && universes.get(patched.universe)
    const picture = patched && onItsWay(show, fixture, view, now)
    if (!patched || !levels || !picture) continue
    const own = copied.has(patched.universe) ? levels : levels.slice()
    copied.add(patched.universe)
    universes.set(patched.universe, own)
    writeFixture(own, patched, view.see(picture), (attribute) => numberAt(show, fixture, attribute, view, now))
  }
  return universes
}

function settledLevels(show: Show, view: AudienceView): Universes {
  const universes = new Map<number, Uint8Array>()
  for (const patched of patchedIn(show).values()) {
    const { rigged, universe } = patched
    const levels = universes.get(universe) ?? new Uint8Array(UNIVERSE_SIZE)
    universes.set(universe, levels)
    const picture = view.see(pictureOf(show, rigged, view.lookup))
    writeFixture(levels, patched, picture, (attribute) => numberSet(show, rigged, attribute, view.seen))
  }
  return universes
}

function writeFixture(
  levels: Uint8Array,
  { rigged, address, channels }: Patched,
  picture: StageFixture,
  number: (attribute: Attribute) => number | null,
) {
  for (const channel of channels) {
    const { from, to } = channel
    const worth = worthOf(rigged, picture, channel, number)
    write(levels, address, channel, from === to ? 0 : Math.min(1, Math.max(0, (worth - from) / (to - from))))
  }
}

function write(levels: Uint8Array, address: number, { coarse, fine }: Channel, fraction: number) {
  const setLevel = (channel: number, level: number) => {
    const at = address + channel - 2
    if (at < UNIVERSE_SIZE) levels[at] = level
  }
  if (fine === null) return setLevel(coarse, Math.round(fraction * 255))
  const whole = Math.round(fraction * 65535)
  setLevel(coarse, whole >> 8)
  setLevel(fine, whole & 255)
}

/** What a channel stands for now, in its own terms. */
function worthOf(
  rigged: RiggedFixture,
  picture: StageFixture,
  { does, rest }: Channel,
  number: (attribute: Attribute) => number | null,
): number {
  if (does === 'other') return rest
  if (does === 'pan') return picture.position.pose.pan
  if (does === 'tilt') return picture.position.pose.tilt
  if (does === 'intensity') return picture.seen
  if (does === 'zoom') return picture.zoom.angle
  if (does === 'red' || does === 'green' || does === 'blue') return picture.colour[does]
  return number(does) ?? rangeOf(rigged.type, does).home
}
