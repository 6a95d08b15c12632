/**
 * Packets of Art-Net 4: levels, synchronisation, the poll and its reply. Port addresses count from 0.
 * Opcodes are little-endian, most else big-endian.
 */
import { copyOf, readText, standsAt, viewOf, writeText } from './bytes'

export const ART_NET_PORT = 6454
const ID = new TextEncoder().encode('Art-Net\0')
const VERSION = 14
const OPCODE = { poll: 0x2000, pollReply: 0x2100, levels: 0x5000, synchronisation: 0x5200 } as const
const SIZE = { poll: 14, pollReply: 239, synchronisation: 14, head: 18 } as const
/** Of a reply: this is a controller, and its ports bring levels onto the network. */
const CONTROLLER = 1
const PORT_IN = 0x40
/** A reply tells of so many ports. */
const PORTS = 4

export interface ArtNetLevels {
  readonly kind: 'levels'
  /** 0 to 32767. */
  readonly port: number
  /** 1 to 255, going round; 0 where none is kept. */
  readonly sequence: number
  readonly levels: Uint8Array
}

/** What a node or controller says of itself. */
export interface ArtNetReply {
  readonly kind: 'reply'
  /** Four numbers of its address. */
  readonly address: string
  readonly shortName: string
  readonly longName: string
  /** Port addresses it brings onto the network: up to four with the same upper eleven bits. */
  readonly ports: readonly number[]
  /** Counts the replies of one device, from 1. */
  readonly bind: number
}

export type ArtNetPacket = ArtNetLevels | ArtNetReply | { readonly kind: 'poll' } | { readonly kind: 'synchronisation' }

function begin(size: number, opcode: number): { bytes: Uint8Array; view: DataView } {
  const bytes = new Uint8Array(size)
  const view = viewOf(bytes)
  bytes.set(ID)
  view.setUint16(8, opcode, true)
  return { bytes, view }
}

/** A packet of levels: an even number of them, 2 to 512. */
export function encodeArtNetLevels({ port, sequence, levels }: Omit<ArtNetLevels, 'kind'>): Uint8Array {
  const length = Math.min(512, Math.max(2, levels.length + (levels.length & 1)))
  const { bytes, view } = begin(SIZE.head + length, OPCODE.levels)
  view.setUint16(10, VERSION)
  bytes[12] = sequence
  view.setUint16(14, port, true)
  view.setUint16(16, length)
  bytes.set(levels.subarray(0, length), SIZE.head)
  return bytes
}

export function encodeArtNetSynchronisation(): Uint8Array {
  const { bytes, view } = begin(SIZE.synchronisation, OPCODE.synchronisation)
  view.setUint16(10, VERSION)
  return bytes
}

export function encodePoll(): Uint8Array {
  const { bytes, view } = begin(SIZE.poll, OPCODE.poll)
  view.setUint16(10, VERSION)
  return bytes
}

/** Replies to a poll for all ports, as many packets as it takes: one for up to four ports alike in their upper bits. */
export function encodeReplies(of: Omit<ArtNetReply, 'kind' | 'bind'>): Uint8Array[] {
  const groups: number[][] = []
  for (const port of [...of.ports].sort((a, b) => a - b)) {
    const last = groups.at(-1)
    if (last && last.length < PORTS && (last[0] ?? 0) >> 4 === port >> 4) last.push(port)
    else groups.push([port])
  }
  if (groups.length === 0) groups.push([])
  return groups.map((ports, i) => encodeReply({ ...of, ports, bind: i + 1 }))
}

function encodeReply({ address, shortName, longName, ports, bind }: Omit<ArtNetReply, 'kind'>): Uint8Array {
  const { bytes, view } = begin(SIZE.pollReply, OPCODE.pollReply)
  const four = address.split('.').map(Number)
  bytes.set(four, 10)
  view.setUint16(14, ART_NET_PORT, true)
  const [first = 0] = ports
  bytes[18] = first >> 8
  bytes[19] = (first >> 4) & 15
  writeText(bytes, 26, 18, shortName)
  writeText(bytes, 44, 64, longName)
  view.setUint16(172, ports.length)
  for (const [i, port] of ports.entries()) {
    bytes[174 + i] = PORT_IN
    bytes[186 + i] = port & 15
  }
  bytes[200] = CONTROLLER
  bytes.set(four, 207)
  bytes[211] = bind
  return bytes
}

/** Reads a packet; null for what is none, is cut short, or is of a kind that is not known here. */
export function decodeArtNet(bytes: Uint8Array): ArtNetPacket | null {
  if (bytes.length < SIZE.poll - 2 || !standsAt(bytes, 0, ID)) return null
  const view = viewOf(bytes)
  switch (view.getUint16(8, true)) {
    case OPCODE.levels:
      return readLevels(bytes, view)
    case OPCODE.pollReply:
      return readReply(bytes, view)
    case OPCODE.poll:
      return { kind: 'poll' }
    case OPCODE.synchronisation:
      return { kind: 'synchronisation' }
    default:
      return null
  }
}

function readLevels(bytes: Uint8Array, view: DataView): ArtNetLevels | null {
  if (bytes.length < SIZE.head + 1 || view.getUint16(10) < VERSION) return null
  const [port, length] = [view.getUint16(14, true), view.getUint16(16)]
  if (port > 32767 || length < 1 || length > 512 || bytes.length < SIZE.head + length) return null
  return {
    kind: 'levels',
    port,
    sequence: view.getUint8(12),
    levels: copyOf(bytes, SIZE.head, SIZE.head + length),
  }
}

function readReply(bytes: Uint8Array, view: DataView): ArtNetReply | null {
  if (bytes.length < 207) return null
  const upper = (view.getUint8(18) << 8) | (view.getUint8(19) << 4)
  const ports = Array.from({ length: PORTS }, (_, i) => i)
    .filter((i) => i < view.getUint16(172) && (view.getUint8(174 + i) & PORT_IN) !== 0)
    .map((i) => upper | view.getUint8(186 + i))
  return {
    kind: 'reply',
    address: [...bytes.subarray(10, 14)].join('.'),
    shortName: readText(bytes, 26, 18),
    longName: readText(bytes, 44, 64),
    ports,
    bind: bytes[211] ?? 1,
  }
}

/** Whether levels are older than the last ones; where either keeps no order they never are. */
export function isArtNetOutdated(last: number, next: number): boolean {
  if (last === 0 || next === 0) return false
  const difference = ((next - last + 128) & 255) - 128
  return difference < 0
}
