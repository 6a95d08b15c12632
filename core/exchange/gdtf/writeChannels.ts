/** Writes the channels of a mode: functions by their attributes, levels that do nothing filled up. */
import { isNumberAttribute, kindOf } from '../../attributes/attribute'
import type { ChannelRole } from '../../attributes/channelRole'
import { isColourPart } from '../../attributes/colourPart'
import { channelLevel } from '../../output/channelFunction'
import { restSource } from '../../output/restSource'
import { wheelOf } from '../../show/attributeRange'
import type { Channel, FixtureType } from '../../show/entities'
import { appended, type Element } from '../xml/xml'
import { dmxText } from './dmxValue'
import { NOTHING } from './readChannels'
import { standardName } from './standardAttributes'

type ChannelFunction = Channel['functions'][number]

/** Where the channels of a type stand in its geometry. */
export interface PartNames {
  readonly base: string
  readonly pan: string
  readonly tilt: string
  readonly beam: string
  readonly cell: (nth: number) => string
}

/** A stretch of levels for one attribute: functions that say one thing together, such as the slots of a wheel. */
interface Stretch {
  readonly attribute: string
  readonly name: string
  readonly first: number
  readonly functions: readonly ChannelFunction[]
}

/** Writes a channel below `channels`; `name` of its first function is what relations call it by. */
export function writeChannel(channels: Element, type: FixtureType, channel: Channel, parts: PartNames): string {
  const bytes = 1 + Number(channel.fine !== null) + Number(channel.finest !== null)
  const stretches = stretchesOf(type, channel)
  const home = channelLevel(channel, restSource(type), channel.rest, 1)
  const initial = stretches.findLast(({ first }) => first * 256 ** (bytes - 1) <= home) ?? stretches[0]
  const geometry = partOf(channel, parts)
  const node = `${geometry}_${stretches[0]?.attribute ?? 'NoFeature'}`
  const element = appended(channels, 'DMXChannel', {
    DMXBreak: '1',
    Offset: [channel.coarse, channel.fine, channel.finest].filter((place) => place !== null).join(','),
    InitialFunction: `${node}.${initial?.attribute ?? ''}.${initial?.name ?? ''}`,
    Highlight: highlightOf(channel),
    Geometry: geometry,
  })
  let logical: Element | null = null
  for (const [i, stretch] of stretches.entries()) {
    if (logical === null || stretches[i - 1]?.attribute !== stretch.attribute)
      logical = appended(element, 'LogicalChannel', {
        Attribute: stretch.attribute,
        Snap: channel.snaps ? 'Yes' : 'No',
        Master: 'None',
        MibFade: 0,
        DMXChangeTimeLimit: 0,
      })
    writeStretch(logical, type, stretch, bytes, stretch === initial ? home : null)
  }
  return `${node}.${stretches[0]?.attribute ?? ''}.${stretches[0]?.name ?? ''}`
}

function partOf({ cell, functions }: Channel, parts: PartNames): string {
  if (cell !== undefined) return parts.cell(cell)
  if (functions.some(({ does }) => does === 'pan')) return parts.pan
  return functions.some(({ does }) => does === 'tilt') ? parts.tilt : parts.beam
}

function highlightOf({ highlight, functions: [first] }: Channel): string {
  if (highlight === null || !first || first.from === first.to) return 'None'
  const part = (highlight - first.from) / (first.to - first.from)
  return dmxText(Math.round(255 * Math.min(1, Math.max(0, part))), 1)
}

/** The stretches of a channel from its lowest level up, with what lies between them doing nothing. */
function stretchesOf(type: FixtureType, channel: Channel): Stretch[] {
  const sorted = [...channel.functions].sort((a, b) => a.first - b.first)
  const stretches: Stretch[] = []
  const taken = new Set<string>()
  const add = (attribute: string, wanted: string, first: number, functions: readonly ChannelFunction[]) => {
    const plain = wanted.replaceAll('.', ' ').trim() || attribute
    const named = (n: number) => (n === 1 ? plain : `${plain} (${n})`)
    let n = 1
    while (taken.has(named(n))) n += 1
    taken.add(named(n))
    stretches.push({ attribute, name: named(n), first, functions })
  }
  let next = 0
  for (let i = 0; i < sorted.length;) {
    const one = sorted[i]
    if (!one) break
    if (one.first > next) add('NoFeature', NOTHING, next, [])
    const together = [one]
    while (joins(together.at(-1), sorted[i + together.length])) together.push(sorted[i + together.length] ?? one)
    add(attributeOf(type, one), together.length === 1 ? one.name || channel.name : channel.name, one.first, together)
    next = (together.at(-1)?.last ?? one.last) + 1
    i += together.length
  }
  if (next <= 255) add('NoFeature', NOTHING, next, [])
  return stretches
}

/** Whether a function says one slot more of what the one before it picks, or shakes. */
function joins(one: ChannelFunction | undefined, next: ChannelFunction | undefined): boolean {
  if (!one || !next || one.does !== next.does || next.first !== one.last + 1) return false
  if (isSlot(one.does)) return one.from === one.to && next.from === next.to
  return one.when !== null && next.when?.attribute === one.when.attribute
}

function isSlot(role: ChannelRole): boolean {
  return role !== 'pan' && role !== 'tilt' && role !== 'other' && !isColourPart(role) && kindOf(role).unit === 'slot'
}

function attributeOf(type: FixtureType, { does, spins, from, to }: ChannelFunction): string {
  if (does === 'other') return 'NoFeature'
  if (does === 'strobe' && from === 0 && to === 0) return 'Shutter1'
  return standardName(does, spins, type.mixing?.kind === 'flags')
}

function writeStretch(logical: Element, type: FixtureType, stretch: Stretch, bytes: number, home: number | null): void {
  const [one] = stretch.functions
  const finer = 256 ** (bytes - 1)
  const [from, to] = one ? physicalOf(one) : [0, 1]
  const wheel = one && isNumberRole(one.does) ? wheelOf(type, one.does) : null
  const isOpen = stretch.attribute === 'Shutter1'
  const element = appended(logical, 'ChannelFunction', {
    Name: stretch.name,
    Attribute: stretch.attribute,
    DMXFrom: dmxText(stretch.first * finer, bytes),
    Default: dmxText(home ?? stretch.first * finer, bytes),
    PhysicalFrom: isOpen ? 1 : from,
    PhysicalTo: isOpen ? 1 : to,
    ...motionOf(type, one),
    ...(wheel ? { Wheel: wheel.name } : {}),
    ...(one && isColourPart(one.does)
      ? { [type.mixing?.kind === 'flags' ? 'Filter' : 'Emitter']: one.does.slice('part:'.length).replaceAll('_', ' ') }
      : {}),
  })
  if (one && (isSlot(one.does) || one.when)) writeSets(element, stretch.functions, bytes)
}

function isNumberRole(role: ChannelRole): role is Exclude<ChannelRole, 'pan' | 'tilt' | 'other' | `part:${string}`> {
  return role !== 'pan' && role !== 'tilt' && role !== 'other' && !isColourPart(role) && isNumberAttribute(role)
}

/** One turn a minute, in degrees a second. */
const DEGREES_A_SECOND = 6

function physicalOf({ does, spins, from, to }: ChannelFunction): readonly [number, number] {
  const by = spins || (isNumberRole(does) && kindOf(does).unit === 'rpm') ? DEGREES_A_SECOND : 1
  return [from * by, to * by]
}

/** Seconds from one end to the other and until full speed, for what turns. */
function motionOf(type: FixtureType, one: ChannelFunction | undefined): Readonly<Record<string, number>> {
  if (one?.does !== 'pan' && one?.does !== 'tilt') return {}
  const { min, max, speed, acceleration } = type[one.does]
  return { RealFade: (max - min) / speed, RealAcceleration: speed / acceleration }
}

/** The steps of a wheel: of a function that runs over several slots, where the nearest one changes. */
function writeSets(element: Element, functions: readonly ChannelFunction[], bytes: number): void {
  const finer = 256 ** (bytes - 1)
  for (const one of functions) {
    const at = (level: number) =>
      one.when
        ? one.when.number
        : Math.round(one.from + ((one.to - one.from) * (level - one.first)) / Math.max(1, one.last - one.first))
    for (let level = one.first; level <= one.last; level++) {
      const slot = at(level)
      if (level > one.first && slot === at(level - 1)) continue
      appended(element, 'ChannelSet', {
        Name: one.name || `${slot + 1}`,
        DMXFrom: dmxText(level * finer, bytes),
        ...(one.when ? { PhysicalFrom: one.from, PhysicalTo: one.to } : {}),
        WheelSlotIndex: slot + 1,
      })
    }
  }
}
