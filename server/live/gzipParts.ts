/**
 * A gzip file of parts that were compressed apart, so that what stays the same need not be
 * compressed again. Deflate blocks that end on a whole byte and look back at nothing before them
 * can follow each other (RFC 1951, 3.2); the check at the end is that of all of it (RFC 1952, 2.3).
 */
import { promisify } from 'node:util'
import { constants, crc32, deflateRaw } from 'node:zlib'

export interface GzipPart {
  readonly blocks: Buffer
  readonly check: number
  readonly size: number
}

const deflate = promisify(deflateRaw)

/** A part of a file, compressed; the work is done on another thread. */
export async function gzipPart(text: string): Promise<GzipPart> {
  const bytes = Buffer.from(text)
  const blocks = await deflate(bytes, { level: 4, finishFlush: constants.Z_SYNC_FLUSH })
  return { blocks, check: crc32(bytes), size: bytes.length }
}

/** Gzip, deflated, no name, no time, made anywhere. */
const HEAD = Buffer.from([0x1f, 0x8b, 8, 0, 0, 0, 0, 0, 0, 255])
/** An empty block that is the last. */
const LAST = Buffer.from([3, 0])

/** The file that unpacks to all parts one after the other. */
export function gzipOf(parts: readonly GzipPart[]): Buffer {
  const tail = Buffer.alloc(8)
  tail.writeUInt32LE(parts.reduce((check, part) => joinedCheck(check, part.check, part.size), 0))
  tail.writeUInt32LE(parts.reduce((size, part) => size + part.size, 0) >>> 0, 4)
  return Buffer.concat([HEAD, ...parts.map(({ blocks }) => blocks), LAST, tail])
}

/** A square matrix of bits: each column a number of 32 bits. */
type Matrix = readonly number[]

function times(matrix: Matrix, vector: number): number {
  let product = 0
  for (let bit = 0; bit < 32; bit++) if ((vector >>> bit) & 1) product ^= matrix[bit] ?? 0
  return product >>> 0
}

const squared = (matrix: Matrix): Matrix => matrix.map((column) => times(matrix, column))

/** What one bit of zero does to a CRC-32: a shift, with the polynomial where a one falls out. */
const ZERO_BIT: Matrix = Array.from({ length: 32 }, (_, bit) => (bit === 0 ? 0xedb88320 : 2 ** (bit - 1)))

/**
 * The CRC-32 of two texts in a row from those of each, with the bytes of the second. A CRC is linear
 * over bits: that of the first is carried over as many zeros, by squaring, and the second's added.
 */
function joinedCheck(first: number, second: number, bytes: number): number {
  let carried = first
  let zeros = squared(squared(squared(ZERO_BIT)))
  for (let left = bytes; left > 0; left = Math.floor(left / 2)) {
    if (left % 2 === 1) carried = times(zeros, carried)
    zeros = squared(zeros)
  }
  return (carried ^ second) >>> 0
}
