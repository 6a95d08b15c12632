/**
 * Packets of PosiStageNet 2, the open tracking protocol: chunks within chunks, each with a head of 32
 * bits, little-endian: 16 of what it is, 15 of how long it is, and one that says whether chunks are in it.
 * Lengths in metres, times in microseconds.
 */
import { vec3, type Vec3 } from '../../geometry/vector'

export const PSN_PORT = 56565
export const PSN_GROUP = '236.10.10.10'
/** A packet stays whole on any network up to this size, bytes. */
const LARGEST = 1500
const DATA = 0x6755
const INFO = 0x6756
const HEADER = 0x0000
const VERSION = [2, 3] as const
const IN_DATA = { trackers: 0x0001 } as const
const IN_TRACKER = { position: 0x0000, speed: 0x0001, status: 0x0003 } as const
const IN_INFO = { system: 0x0001, trackers: 0x0002 } as const
const NAME = 0x0000
const HEAD = 4
/** A tracker further off than this is on no stage, metres. */
const FURTHEST = 1000

/** Where a tracker is, in the tracking system's own frame: x to the right, y up, z into the depth. */
export interface TrackerPlace {
  readonly id: number
  readonly place: Vec3
}
export interface PsnFrame {
  /** Since the system was started. */
  readonly microseconds: number
  /** 0 to 255, going round; packets of one frame have the same. */
  readonly frame: number
}
export type PsnPacket =
  | ({ readonly kind: 'places'; readonly trackers: readonly TrackerPlace[] } & PsnFrame)
  | { readonly kind: 'names'; readonly system: string; readonly names: ReadonlyMap<number, string> }

/** So many trackers fit into one packet of places. */
export const TRACKERS_A_PACKET = 50

type Chunk = readonly [id: number, contents: Uint8Array | readonly Chunk[]]

const sizeOf = ([, contents]: Chunk): number =>
  HEAD + (contents instanceof Uint8Array ? contents.length : contents.reduce((sum, one) => sum + sizeOf(one), 0))

function write(view: DataView, at: number, [id, contents]: Chunk): number {
  const size = sizeOf([id, contents]) - HEAD
  const isLeaf = contents instanceof Uint8Array
  view.setUint32(at, (id | (size << 16) | (isLeaf ? 0 : 0x80000000)) >>> 0, true)
  if (isLeaf) new Uint8Array(view.buffer).set(contents, at + HEAD)
  else contents.reduce((place, one) => write(view, place, one), at + HEAD)
  return at + HEAD + size
}

/** Throws RangeError for what is too large for one packet. */
function packet(chunk: Chunk): Uint8Array {
  const size = sizeOf(chunk)
  if (size > LARGEST) throw new RangeError(`a packet of ${size} bytes is larger than ${LARGEST}`)
  const bytes = new Uint8Array(size)
  write(new DataView(bytes.buffer), 0, chunk)
  return bytes
}

function header({ microseconds, frame }: PsnFrame): Chunk {
  const bytes = new Uint8Array(12)
  new DataView(bytes.buffer).setBigUint64(0, BigInt(Math.round(microseconds)), true)
  bytes.set([...VERSION, frame & 255, 1], 8)
  return [HEADER, bytes]
}

function floats(...numbers: readonly number[]): Uint8Array {
  const bytes = new Uint8Array(4 * numbers.length)
  const view = new DataView(bytes.buffer)
  for (const [i, number] of numbers.entries()) view.setFloat32(4 * i, number, true)
  return bytes
}

/** Places of at most `TRACKERS_A_PACKET` trackers; throws RangeError for more. */
export function encodePlaces(frame: PsnFrame, trackers: readonly TrackerPlace[]): Uint8Array {
  const list = trackers.map(({ id, place: { x, y, z } }): Chunk => {
    return [
      id,
      [
        [IN_TRACKER.position, floats(x, y, z)],
        [IN_TRACKER.status, floats(1)],
      ],
    ]
  })
  return packet([DATA, [header(frame), [IN_DATA.trackers, list]]])
}

/** What a tracking system and its trackers are called; throws RangeError where that is too large for one packet. */
export function encodeNames(frame: PsnFrame, system: string, names: ReadonlyMap<number, string>): Uint8Array {
  const text = (words: string) => new TextEncoder().encode(words)
  const list = [...names].map(([id, name]): Chunk => [id, [[NAME, text(name)]]])
  return packet([INFO, [header(frame), [IN_INFO.system, text(system)], [IN_INFO.trackers, list]]])
}

interface Found {
  readonly id: number
  readonly view: DataView
}

/** The chunks that lie in some bytes; null where they do not fit. */
function chunksIn(view: DataView): Found[] | null {
  const found: Found[] = []
  let at = 0
  while (at < view.byteLength) {
    if (at + HEAD > view.byteLength) return null
    const head = view.getUint32(at, true)
    const size = (head >>> 16) & 0x7fff
    if (at + HEAD + size > view.byteLength) return null
    found.push({ id: head & 0xffff, view: new DataView(view.buffer, view.byteOffset + at + HEAD, size) })
    at += HEAD + size
  }
  return found
}

const named = (chunks: readonly Found[] | null, id: number) => chunks?.find((chunk) => chunk.id === id)?.view
const textIn = (view: DataView | undefined) =>
  view
    ? new TextDecoder().decode(new Uint8Array(view.buffer, view.byteOffset, view.byteLength)).replace(/\0.*$/s, '')
    : ''

/** Reads a packet; null for what is none. */
export function decodePsn(bytes: Uint8Array): PsnPacket | null {
  const [whole, second] = chunksIn(new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)) ?? []
  if (!whole || second) return null
  const chunks = chunksIn(whole.view)
  const head = named(chunks, HEADER)
  if (!head || head.byteLength < 12) return null
  if (whole.id === INFO) {
    const names = (chunksIn(named(chunks, IN_INFO.trackers) ?? EMPTY) ?? []).map(
      ({ id, view }) => [id, textIn(named(chunksIn(view), NAME))] as const,
    )
    return { kind: 'names', system: textIn(named(chunks, IN_INFO.system)), names: new Map(names) }
  }
  if (whole.id !== DATA) return null
  const trackers = (chunksIn(named(chunks, IN_DATA.trackers) ?? EMPTY) ?? []).flatMap((one) => placeIn(one) ?? [])
  return { kind: 'places', microseconds: Number(head.getBigUint64(0, true)), frame: head.getUint8(10), trackers }
}
const EMPTY = new DataView(new ArrayBuffer(0))

/** A tracker's place; null where it has none, says itself that it is not valid, or is on no stage. */
function placeIn({ id, view }: Found): TrackerPlace | null {
  const chunks = chunksIn(view)
  const [position, status] = [named(chunks, IN_TRACKER.position), named(chunks, IN_TRACKER.status)]
  if (!position || position.byteLength < 12) return null
  if (status && status.byteLength >= 4 && !(status.getFloat32(0, true) > 0)) return null
  const [x, y, z] = [0, 4, 8].map((at) => position.getFloat32(at, true))
  if (x === undefined || y === undefined || z === undefined) return null
  return [x, y, z].every((number) => Math.abs(number) <= FURTHEST) ? { id, place: vec3(x, y, z) } : null
}
