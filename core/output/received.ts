/** Levels that come in, turned back into what fixtures do: values by attribute, and the stage as they would light it. */
import { isNumberAttribute, type Attribute, type NumberAttribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import { isColourPart, type ColourPart } from '../attributes/colourPart'
import type { ChannelRole } from '../attributes/channelRole'
import { mechanicalPose } from '../kinematics/axesOff'
import { HOME } from '../kinematics/head'
import { pictureNear, type StageFixture } from '../cues/onStage'
import { rangeOf } from '../show/attributeRange'
import type { Channel } from '../show/entities'
import type { FixtureId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { numberOf, type Amount, type PlainValue } from '../show/values'
import { readChannels } from './channelReading'
import type { Universes } from './channelLevels'
import { bytesOf, patchedIn } from './patched'

export type ReceivedValues = ReadonlyMap<FixtureId, ReadonlyMap<Attribute, PlainValue>>

/** What levels by universe of the show say of every fixture that is patched in one of them. */
export function receivedValues(show: Show, universes: Universes): ReceivedValues {
  const found = new Map<FixtureId, ReadonlyMap<Attribute, PlainValue>>()
  for (const { rigged, universe, address, channels } of patchedIn(show).values()) {
    const levels = universes.get(universe)
    if (!levels) continue
    const all = channels.map((channel) => levelAt(levels, address, channel))
    found.set(rigged.id, valuesOf(rigged, channels, readChannels(channels, all)))
  }
  return found
}

/** The level of a channel of a fixture, all its bytes together; `levels` are those of its universe, `address` counts from 1. */
export function levelAt(levels: Uint8Array, address: number, channel: Channel): number {
  return bytesOf(channel, address).reduce((sum, at) => sum * 256 + (levels[at] ?? 0), 0)
}

type Read = ReadonlyMap<Exclude<ChannelRole, 'other'>, Amount>

function valuesOf(rigged: RiggedFixture, channels: readonly Channel[], read: Read): Map<Attribute, PlainValue> {
  const { type } = rigged
  const values = new Map<Attribute, PlainValue>()
  const [pan, tilt] = [read.get('pan'), read.get('tilt')]
  if (pan && tilt && type.has.includes(LEADING.place))
    values.set(LEADING.place, {
      kind: 'angles',
      ...mechanicalPose(type, rigged.axes, { pan: numberOf(pan), tilt: numberOf(tilt) }),
    })
  for (const attribute of type.has.filter(isNumberAttribute)) {
    const amount = read.get(attribute)
    if (amount) values.set(attribute, plainAmount(rigged, attribute, amount))
  }
  const parts = partsRead(read)
  if (parts.length === 0 || !type.has.includes(LEADING.colour)) return values
  // Without a dimmer the parts of its light go down with its intensity: the highest of them tells that.
  const isDimmedByParts = channels.some(({ dims }) => dims) && !read.has(LEADING.light)
  const most = isDimmedByParts ? Math.max(...parts.map(([, level]) => level)) : 1
  if (isDimmedByParts && type.has.includes(LEADING.light)) values.set(LEADING.light, { kind: 'number', number: most })
  const whole = most === 0 ? 1 : most
  values.set(LEADING.colour, {
    kind: 'parts',
    parts: Object.fromEntries(parts.map(([part, level]) => [part, Math.min(1, level / whole)])),
  })
  return values
}

const partsRead = (read: Read): [ColourPart, number][] =>
  [...read].flatMap(([role, amount]) => (isColourPart(role) ? [[role, numberOf(amount)]] : []))

function plainAmount({ type }: RiggedFixture, attribute: NumberAttribute, amount: Amount): PlainValue {
  if (amount.kind === 'spin' || rangeOf(type, attribute).unit !== 'slot') return amount
  return { kind: 'number', number: Math.round(amount.number) }
}

/** The stage as these values would light it; fixtures that nothing comes in for are left out. */
export function receivedPictures(show: Show, values: ReceivedValues): StageFixture[] {
  const valueOf = (fixture: FixtureId, attribute: Attribute) => values.get(fixture)?.get(attribute) ?? null
  return [...rigOf(show).values()]
    .filter(({ id }) => values.has(id))
    .map((rigged) => pictureNear(show, rigged, valueOf, () => HOME))
}
