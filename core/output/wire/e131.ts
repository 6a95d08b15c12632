/**
 * Packets of E1.31 (streaming ACN): levels, synchronisation and the discovery of universes. Written and
 * read as ANSI E1.31-2018 lays them out: a root layer with the sender's id, a framing layer, and the
 * levels or the list of universes. Numbers are big-endian.
 */
import { copyOf, readText, standsAt, viewOf, writeText } from './bytes'

export const E131_PORT = 5568
/** The universe whose address the discovery of universes goes to. */
export const DISCOVERY_UNIVERSE = 64214
/** A source says goodbye so many times. */
export const TERMINATED_TIMES = 3
/** A source that has said nothing for so long is gone, milliseconds. */
export const SOURCE_LOST = 2500

const ACN = new TextEncoder().encode('ASC-E1.17\0\0\0')
const ROOT = { data: 4, extended: 8 } as const
const FRAMING = { data: 2, synchronisation: 1, discovery: 2 } as const
const SIZE = { data: 638, synchronisation: 49, discovery: 120 } as const
const OPTION = { preview: 0x80, terminated: 0x40 } as const
const SLOTS = 512
const UNIVERSES_ON_A_PAGE = 512

/** Who sends: the 16 bytes of its id, kept for ever, and its name for people. */
export interface E131Source {
  readonly cid: Uint8Array
  readonly name: string
}

/** The levels of a universe; `sync` is the universe it waits for before they are shown, 0 for none. */
export interface E131Levels {
  readonly kind: 'levels'
  readonly source: E131Source
  readonly universe: number
  readonly priority: number
  readonly sync: number
  /** 0 to 255, going round. */
  readonly sequence: number
  readonly isPreview: boolean
  readonly isTerminated: boolean
  /** 0 for levels; anything else is not for lights. */
  readonly startCode: number
  readonly levels: Uint8Array
}

export interface E131Synchronisation {
  readonly kind: 'synchronisation'
  readonly cid: Uint8Array
  readonly universe: number
  readonly sequence: number
}

/** One page of the universes a source sends, in rising order. */
export interface E131Discovery {
  readonly kind: 'discovery'
  readonly source: E131Source
  readonly page: number
  readonly lastPage: number
  readonly universes: readonly number[]
}

export type E131Packet = E131Levels | E131Synchronisation | E131Discovery

/** The address a universe goes to by multicast. */
export function multicastOf(universe: number): string {
  return `239.255.${universe >> 8}.${universe & 255}`
}

/** The root layer, with the lengths of it and of the framing layer: each counts to the end of the packet. */
function begin(size: number, rootVector: number, cid: Uint8Array): { bytes: Uint8Array; view: DataView } {
  const bytes = new Uint8Array(size)
  const view = viewOf(bytes)
  view.setUint16(0, 0x0010)
  bytes.set(ACN, 4)
  view.setUint16(16, 0x7000 | (size - 16))
  view.setUint32(18, rootVector)
  bytes.set(cid, 22)
  view.setUint16(38, 0x7000 | (size - 38))
  return { bytes, view }
}

/** A packet of 512 levels, start code 0. */
export function encodeLevels(packet: Omit<E131Levels, 'kind' | 'startCode'>): Uint8Array {
  const { source, universe, priority, sync, sequence, isPreview, isTerminated, levels } = packet
  const { bytes, view } = begin(SIZE.data, ROOT.data, source.cid)
  view.setUint32(40, FRAMING.data)
  writeText(bytes, 44, 64, source.name)
  bytes[108] = priority
  view.setUint16(109, sync)
  bytes[111] = sequence
  bytes[112] = (isPreview ? OPTION.preview : 0) | (isTerminated ? OPTION.terminated : 0)
  view.setUint16(113, universe)
  view.setUint16(115, 0x7000 | (SIZE.data - 115))
  bytes[117] = 0x02
  bytes[118] = 0xa1
  view.setUint16(121, 1)
  view.setUint16(123, SLOTS + 1)
  bytes.set(levels.subarray(0, SLOTS), 126)
  return bytes
}

export function encodeSynchronisation({ cid, universe, sequence }: Omit<E131Synchronisation, 'kind'>): Uint8Array {
  const { bytes, view } = begin(SIZE.synchronisation, ROOT.extended, cid)
  view.setUint32(40, FRAMING.synchronisation)
  bytes[44] = sequence
  view.setUint16(45, universe)
  return bytes
}

/** Every page of what a source sends. */
export function encodeDiscovery(source: E131Source, universes: readonly number[]): Uint8Array[] {
  const sorted = [...universes].sort((a, b) => a - b)
  const pages = Math.max(1, Math.ceil(sorted.length / UNIVERSES_ON_A_PAGE))
  return Array.from({ length: pages }, (_, page) => {
    const listed = sorted.slice(page * UNIVERSES_ON_A_PAGE, (page + 1) * UNIVERSES_ON_A_PAGE)
    const size = SIZE.discovery + 2 * listed.length
    const { bytes, view } = begin(size, ROOT.extended, source.cid)
    view.setUint32(40, FRAMING.discovery)
    writeText(bytes, 44, 64, source.name)
    view.setUint16(112, 0x7000 | (size - 112))
    view.setUint32(114, 1)
    bytes[118] = page
    bytes[119] = pages - 1
    for (const [i, universe] of listed.entries()) view.setUint16(SIZE.discovery + 2 * i, universe)
    return bytes
  })
}

/** Reads a packet; null for what is none, is cut short or says of itself what cannot be. */
export function decodeE131(bytes: Uint8Array): E131Packet | null {
  if (bytes.length < SIZE.synchronisation || bytes.length > 1500 || !standsAt(bytes, 4, ACN)) return null
  const view = viewOf(bytes)
  if (view.getUint16(0) !== 0x0010 || view.getUint16(2) !== 0) return null
  const [root, framing] = [view.getUint32(18), view.getUint32(40)]
  const length = view.getUint16(38)
  if ((length & 0x7000) !== 0x7000 || 38 + (length & 0x0fff) > bytes.length) return null
  if (root === ROOT.data && framing === FRAMING.data) return readLevels(bytes, view)
  if (root !== ROOT.extended) return null
  if (framing === FRAMING.discovery && bytes.length >= SIZE.discovery) return readDiscovery(bytes, view)
  if (framing !== FRAMING.synchronisation) return null
  return {
    kind: 'synchronisation',
    cid: copyOf(bytes, 22, 38),
    universe: view.getUint16(45),
    sequence: view.getUint8(44),
  }
}

const sourceIn = (bytes: Uint8Array): E131Source => ({ cid: copyOf(bytes, 22, 38), name: readText(bytes, 44, 64) })

function readLevels(bytes: Uint8Array, view: DataView): E131Levels | null {
  if (bytes.length < 126 || bytes[117] !== 0x02 || bytes[118] !== 0xa1) return null
  const [first, step, count] = [view.getUint16(119), view.getUint16(121), view.getUint16(123)]
  const universe = view.getUint16(113)
  const isPlain = first === 0 && step === 1 && count >= 1 && count <= SLOTS + 1 && bytes.length >= 125 + count
  if (!isPlain || universe < 1 || universe > 63999 || view.getUint8(108) > 200) return null
  const options = view.getUint8(112)
  return {
    kind: 'levels',
    source: sourceIn(bytes),
    universe,
    priority: view.getUint8(108),
    sync: view.getUint16(109),
    sequence: view.getUint8(111),
    isPreview: (options & OPTION.preview) !== 0,
    isTerminated: (options & OPTION.terminated) !== 0,
    startCode: view.getUint8(125),
    levels: copyOf(bytes, 126, 125 + count),
  }
}

function readDiscovery(bytes: Uint8Array, view: DataView): E131Discovery | null {
  if (view.getUint32(114) !== 1) return null
  const universes: number[] = []
  for (let at = SIZE.discovery; at + 1 < bytes.length; at += 2) universes.push(view.getUint16(at))
  return {
    kind: 'discovery',
    source: sourceIn(bytes),
    page: view.getUint8(118),
    lastPage: view.getUint8(119),
    universes,
  }
}

/** Whether a packet is older than the last one, or that one again: where the difference of their numbers lies in (−20, 0]. */
export function isOutdated(last: number, next: number): boolean {
  const difference = ((next - last + 128) & 255) - 128
  return difference > -20 && difference <= 0
}
