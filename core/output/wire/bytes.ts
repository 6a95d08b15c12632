/** Bytes of packets: numbers of two bytes and texts of a fixed length. */

/** Writes a text in UTF-8, cut where it has no more room, zeros after it; its last byte is always zero. */
export function writeText(bytes: Uint8Array, at: number, size: number, text: string): void {
  new TextEncoder().encodeInto(text, bytes.subarray(at, at + size - 1))
}

/** Reads such a text up to its first zero. */
export function readText(bytes: Uint8Array, at: number, size: number): string {
  const all = bytes.subarray(at, at + size)
  const end = all.indexOf(0)
  return new TextDecoder().decode(end < 0 ? all : all.subarray(0, end))
}

/** Whether bytes stand at a place. */
export function standsAt(bytes: Uint8Array, at: number, wanted: Uint8Array): boolean {
  return bytes.length >= at + wanted.length && wanted.every((byte, i) => bytes[at + i] === byte)
}

/** Bytes of their own, whatever the packet is kept in. */
export const copyOf = (bytes: Uint8Array, from: number, to: number) => new Uint8Array(bytes.subarray(from, to))

export const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
