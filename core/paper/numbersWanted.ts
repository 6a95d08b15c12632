/** Numbers as people write which they want: "1-12, 15, 20.5"; nothing is all. */

/** Whether a number is among those that are wanted. */
export type NumbersWanted = (number: number) => boolean

const PART = /^(\d+(?:\.\d{1,3})?)(?:\s*[-–]\s*(\d+(?:\.\d{1,3})?))?$/

/** Null where it cannot be read. */
export function numbersWanted(text: string): NumbersWanted | null {
  const parts = text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean)
  const ranges: (readonly [number, number])[] = []
  for (const part of parts) {
    const found = PART.exec(part)
    if (!found) return null
    const from = Number(found[1])
    ranges.push([from, Number(found[2] ?? from)])
  }
  return ranges.length === 0 ? () => true : (number) => ranges.some(([from, to]) => from <= number && number <= to)
}
