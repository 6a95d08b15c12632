/** The channels of a mode as they are written: functions with their levels, for each part they drive. */
import { attributeOf, childrenOf, numberOfAttribute, type Element } from '../xml/xml'
import { inBytes, readDmxValue } from './dmxValue'
import type { Part } from './geometryTree'
import type { Notes } from '../notes'

/** A step of a function: levels of the coarse byte, and the slot of a wheel from 0 where it is one. */
export interface ReadSet {
  readonly name: string
  readonly first: number
  readonly last: number
  readonly slot: number | null
  readonly from: number | null
  readonly to: number | null
}

/** A function as it is written: its attribute, the levels of its coarse byte, and what the ends mean. */
export interface ReadFunction {
  readonly name: string
  readonly attribute: string
  readonly first: number
  readonly last: number
  readonly from: number
  readonly to: number
  /** What the level means that counts while nothing drives it. */
  readonly rest: number
  /** One level, as a part of the way from one end to the other. */
  readonly step: number
  readonly wheel: string
  readonly emitter: string
  readonly filter: string
  /** Seconds from one end to the other, and until it runs at full speed; 0 where they are not told. */
  readonly realFade: number
  readonly realAcceleration: number
  readonly sets: readonly ReadSet[]
}

export interface ReadChannel {
  readonly name: string
  /** The part it drives. */
  readonly part: string
  readonly break: number
  readonly coarse: number
  readonly fine: number | null
  readonly finest: number | null
  readonly snaps: boolean
  readonly functions: readonly ReadFunction[]
  /** The function that counts while nothing drives it, by its place. */
  readonly initial: number
  readonly highlight: number | null
  /** Whether light goes down with it where there is no dimmer. */
  readonly dims: boolean
}

/** Reads the channels of a mode, each channel of a template once for each part that refers to it. */
export function readChannels(mode: Element, parts: readonly Part[], notes: Notes): ReadChannel[] {
  const dimmed = dimmedChannels(mode)
  return childrenOf(childrenOf(mode, 'DMXChannels')[0] ?? null, 'DMXChannel').flatMap((channel) => {
    const offsets = offsetsOf(channel)
    if (offsets.length === 0) return []
    const on = attributeOf(channel, 'Geometry')
    const read = { ...channelOf(channel, offsets, notes), dims: dimmed.has(nodeName(channel)) }
    const references = parts.filter((part) => part.template?.name === on)
    if (references.length === 0) return [{ ...read, part: on }]
    return references.map((part) => moved(read, part, attributeOf(channel, 'DMXBreak')))
  })
}

/** "1,2" as places, coarse first; none for a channel that is only reckoned with. */
function offsetsOf(channel: Element): number[] {
  return attributeOf(channel, 'Offset')
    .split(',')
    .map((text) => Number.parseInt(text, 10))
    .filter((place) => Number.isInteger(place) && place > 0)
}

/** "Overwrite" takes the last break of whoever refers to the part. */
function moved(channel: ReadChannel, part: Part, breakText: string): ReadChannel {
  const breaks = part.template?.breaks ?? []
  const taken = breakText === 'Overwrite' ? breaks.at(-1) : breaks.find(({ number }) => number === channel.break)
  const by = (taken?.offset ?? 1) - 1
  const on = (place: number | null) => (place === null ? null : place + by)
  return {
    ...channel,
    part: part.name,
    break: taken?.number ?? channel.break,
    coarse: channel.coarse + by,
    fine: on(channel.fine),
    finest: on(channel.finest),
  }
}

/** The name other places of the file call a channel by. */
function nodeName(channel: Element): string {
  const [first] = childrenOf(channel, 'LogicalChannel')
  return `${attributeOf(channel, 'Geometry')}_${attributeOf(first ?? null, 'Attribute')}`
}

/** The channels that a dimmer without a channel of its own multiplies. */
function dimmedChannels(mode: Element): ReadonlySet<string> {
  const relations = childrenOf(childrenOf(mode, 'Relations')[0] ?? null, 'Relation')
  return new Set(
    relations
      .filter((one) => attributeOf(one, 'Type') === 'Multiply' && /_Dimmer$/.test(attributeOf(one, 'Master')))
      .map((one) => attributeOf(one, 'Follower').split('.')[0] ?? ''),
  )
}

function channelOf(channel: Element, offsets: readonly number[], notes: Notes): Omit<ReadChannel, 'dims'> {
  const bytes = Math.min(offsets.length, 3)
  const node = nodeName(channel)
  const about = attributeOf(channel, 'Name') || node
  if (offsets.length > 3) notes.look(about, 'has more than three bytes; the finer ones stay at 0')
  const functions = functionsOf(channel, bytes, about, notes)
  const logical = childrenOf(channel, 'LogicalChannel')
  const initial = attributeOf(channel, 'InitialFunction').split('.').at(-1) ?? ''
  const highlight = readDmxValue(attributeOf(channel, 'Highlight'))
  return {
    name: node,
    part: attributeOf(channel, 'Geometry'),
    break: Math.trunc(numberOfAttribute(channel, 'DMXBreak', 1)),
    coarse: offsets[0] ?? 1,
    fine: offsets[1] ?? null,
    finest: offsets[2] ?? null,
    snaps: logical.length > 0 && logical.every((one) => attributeOf(one, 'Snap') === 'Yes'),
    functions,
    initial: Math.max(
      0,
      functions.findIndex(({ name }) => name === initial),
    ),
    highlight: highlight && inBytes(highlight, 1) / 255,
  }
}

/** A function before it is known where it ends. */
interface Opened {
  readonly element: Element
  readonly attribute: string
  readonly start: number
}

/** Functions in the order of their levels; each ends just below the next one that begins higher. */
function functionsOf(channel: Element, bytes: number, about: string, notes: Notes): ReadFunction[] {
  const most = 256 ** bytes
  const opened: Opened[] = childrenOf(channel, 'LogicalChannel').flatMap((logical) =>
    childrenOf(logical, 'ChannelFunction').map((element) => ({
      element,
      attribute: attributeOf(element, 'Attribute') || attributeOf(logical, 'Attribute') || 'NoFeature',
      start: levelOf(element, 'DMXFrom', bytes) ?? 0,
    })),
  )
  const free = opened.filter(({ element }) => counts(element))
  for (const { element } of opened)
    if (!counts(element))
      notes.lost(about, `${nameOf(element)} counts only while another channel has certain levels; it is left out`)
  free.sort((a, b) => a.start - b.start)
  const fallback = levelOf(channel, 'Default', bytes)
  return free.flatMap((one, i) => {
    const next = free.slice(i + 1).find(({ start }) => start > one.start)
    const read = functionOf(one, (next?.start ?? most) - 1, bytes, fallback)
    if (bytes > 1 && one.start % (most / 256) !== 0)
      notes.look(about, `${read.name} begins within a coarse level; it begins at the whole one`)
    return read.first > read.last || isFilling(read) ? [] : [read]
  })
}

/** What our own writer fills levels with that do nothing. */
export const NOTHING = 'Nothing'
const isFilling = ({ attribute, name }: ReadFunction) => attribute === 'NoFeature' && name.split(' (')[0] === NOTHING

/** What depends on another channel counts where that one is at its lowest. */
function counts(element: Element): boolean {
  if (attributeOf(element, 'ModeMaster') === '') return true
  const from = readDmxValue(attributeOf(element, 'ModeFrom'))
  return from !== null && from.value === 0
}

const nameOf = (element: Element) => attributeOf(element, 'Name') || attributeOf(element, 'Attribute')

function levelOf(element: Element, attribute: string, bytes: number): number | null {
  const value = readDmxValue(attributeOf(element, attribute))
  return value && inBytes(value, bytes)
}

function functionOf(
  { element, attribute, start }: Opened,
  end: number,
  bytes: number,
  fallback: number | null,
): ReadFunction {
  const coarse = (level: number) => Math.floor(level / 256 ** (bytes - 1))
  const from = numberOfAttribute(element, 'PhysicalFrom', 0)
  const to = numberOfAttribute(element, 'PhysicalTo', 1)
  const rest = levelOf(element, 'Default', bytes) ?? fallback ?? start
  const part = end > start ? Math.min(1, Math.max(0, (rest - start) / (end - start))) : 0
  return {
    name: attributeOf(element, 'Name'),
    attribute,
    first: coarse(start),
    last: coarse(end),
    from,
    to,
    rest: from + (to - from) * part,
    step: 1 / Math.max(1, end - start),
    wheel: attributeOf(element, 'Wheel'),
    emitter: attributeOf(element, 'Emitter'),
    filter: attributeOf(element, 'Filter'),
    realFade: numberOfAttribute(element, 'RealFade', 0),
    realAcceleration: numberOfAttribute(element, 'RealAcceleration', 0),
    sets: setsOf(element, coarse(start), coarse(end), bytes),
  }
}

function setsOf(element: Element, start: number, end: number, bytes: number): ReadSet[] {
  const opened = childrenOf(element, 'ChannelSet')
    .map((set) => ({ set, first: Math.floor((levelOf(set, 'DMXFrom', bytes) ?? 0) / 256 ** (bytes - 1)) }))
    .sort((a, b) => a.first - b.first)
  return opened.flatMap(({ set, first }, i) => {
    const last = Math.min(end, (opened[i + 1]?.first ?? end + 1) - 1)
    const index = numberOfAttribute(set, 'WheelSlotIndex', 0)
    const from = attributeOf(set, 'PhysicalFrom') === '' ? null : numberOfAttribute(set, 'PhysicalFrom', 0)
    const to = attributeOf(set, 'PhysicalTo') === '' ? from : numberOfAttribute(set, 'PhysicalTo', 0)
    const read = {
      name: attributeOf(set, 'Name'),
      first: Math.max(start, first),
      last,
      slot: index > 0 ? index - 1 : null,
      from,
      to,
    }
    return read.first > last ? [] : [read]
  })
}
