/**
 * What goes out: the level of every patched channel, as the stage is seen. Angles and numbers become
 * parts of a channel's span, 8 or 16 bit, coarse byte first.
 */
import { rangeOf } from '../hand/attributes'
import { UNIVERSE_SIZE } from '../patch/span'
import { resolveValue } from '../palettes/resolve'
import {
  cueLookup,
  seenLookup,
  stageLookup,
  stagePicture,
  stageWithoutHand,
  type Lookup,
  type StageFixture,
} from '../cues/onStage'
import type { Channel } from '../show/entities'
import type { PersonId } from '../show/ids'
import type { Show } from '../show/show'

/** 512 levels from 0 to 255 by universe, which counts from 1; channel 1 stands first. */
export type Universes = ReadonlyMap<number, Uint8Array>

/**
 * Everything patched, at rest where nothing sets it; channels past 512 never go out. The hand of
 * someone who works blind stays out of it.
 */
export function channelLevels(show: Show, person: PersonId): Universes {
  const isBlind = show.all.person.get(person)?.blind === true
  const lookup = isBlind ? cueLookup(show) : stageLookup(show, person)
  const seen = seenLookup(show, person, lookup)
  const picture = isBlind ? stageWithoutHand(show, person) : stagePicture(show, person)
  const universes = new Map<number, Uint8Array>()
  for (const fixture of picture.values()) {
    const { universe, address, mode } = fixture.rigged.fixture
    const channels = show.all.fixtureMode.get(mode ?? '')?.channels
    if (universe === null || address === null || !channels) continue
    const levels = universes.get(universe) ?? new Uint8Array(UNIVERSE_SIZE)
    universes.set(universe, levels)
    for (const channel of channels) write(levels, address, channel, fractionOf(show, seen, fixture, channel))
  }
  return universes
}

function write(levels: Uint8Array, address: number, { coarse, fine }: Channel, fraction: number) {
  const put = (channel: number, level: number) => {
    const at = address + channel - 2
    if (at < UNIVERSE_SIZE) levels[at] = level
  }
  if (fine === null) return put(coarse, Math.round(fraction * 255))
  const whole = Math.round(fraction * 65535)
  put(coarse, whole >> 8)
  put(fine, whole & 255)
}

/** How far along its span a channel stands, 0 to 1: `from` is its lowest level and `to` its highest. */
function fractionOf(show: Show, lookup: Lookup, fixture: StageFixture, channel: Channel): number {
  const { from, to } = channel
  if (from === to) return 0
  return Math.min(1, Math.max(0, (worthOf(show, lookup, fixture, channel) - from) / (to - from)))
}

/** What a channel stands for now, in its own terms. */
function worthOf(show: Show, lookup: Lookup, fixture: StageFixture, { does, rest }: Channel): number {
  if (does === 'other') return rest
  if (does === 'pan') return fixture.position.pose.pan
  if (does === 'tilt') return fixture.position.pose.tilt
  if (does === 'intensity') return fixture.seen
  if (does === 'zoom') return fixture.zoom.angle
  const value = lookup(fixture.rigged.id, does)
  const plain = value && resolveValue(show, fixture.rigged, does, value).value
  return plain?.kind === 'number' ? plain.number : rangeOf(fixture.rigged.type, does).home
}
