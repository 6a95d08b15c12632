/** Levels as fixture types write them: "128/1", "32768/2", "128/1s". */

/** A level of so many bytes; `shifts` where it widens by zeros instead of repeating itself. */
export interface DmxValue {
  readonly value: number
  readonly bytes: number
  readonly shifts: boolean
}

/** Reads a level; null for "None" and for anything that is none. */
export function readDmxValue(text: string): DmxValue | null {
  const [, value = '', bytes = '', shift] = /^(\d{1,10})\/([1-4])(s?)$/.exec(text.trim()) ?? []
  if (value === '') return null
  const dmx = { value: Number(value), bytes: Number(bytes), shifts: shift === 's' }
  return dmx.value < 256 ** dmx.bytes ? dmx : null
}

/**
 * A level in so many bytes. Wider, its bytes are repeated (0x80 is 0x8080), or with `shifts` filled
 * up by zeros; narrower, the fine bytes are dropped.
 */
export function inBytes({ value, bytes, shifts }: DmxValue, wanted: number): number {
  if (wanted <= bytes) return Math.floor(value / 256 ** (bytes - wanted))
  if (shifts) return value * 256 ** (wanted - bytes)
  let widened = 0
  for (let i = 0; i < wanted; i++)
    widened = widened * 256 + (Math.floor(value / 256 ** (bytes - 1 - (i % bytes))) % 256)
  return widened
}

export function dmxText(value: number, bytes: number): string {
  return `${value}/${bytes}`
}
