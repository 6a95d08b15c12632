/** Ids as the open rig formats want them: UUIDs (RFC 9562). */

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

export function isUuid(text: string): boolean {
  return UUID.test(text)
}

/** An id as it goes out: itself where it came in as a UUID, else always the same one made of it (version 8). */
export function uuidOf(id: string): string {
  if (isUuid(id)) return id
  const words = [0x243f6a88, 0x85a308d3, 0x13198a2e, 0x03707344].map((seed) => mixed(id, seed))
  const hex = words.map((word) => word.toString(16).padStart(8, '0')).join('')
  const variant = ((Number.parseInt(hex[16] ?? '0', 16) & 3) | 8).toString(16)
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-${variant}${hex.slice(17, 20)}-${hex.slice(20)}`.toUpperCase()
}

/** 32 bits of a text: FNV-1a with a seed, its bits stirred at the end so that every one of them depends on all. */
function mixed(text: string, seed: number): number {
  let hash = seed
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b)
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35)
  return (hash ^ (hash >>> 16)) >>> 0
}
