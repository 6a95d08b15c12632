/** Places for names on a drawing where they run into as little as possible. */
import type { ScreenPoint } from '../composables/usePlanView'

/** Pixels: a line of text, and a letter of it. */
const LINE = 13
const LETTER = 6.1
/** Two names over each other are worse than a name over a mark. */
const OVER_NAME = 3
const OVER_MARK = 1

interface Taken extends ScreenPoint {
  readonly width: number
  readonly cost: number
}

/** The places taken so far, by lines of text so that only near ones are looked at. */
export class NamePlaces {
  readonly #lines = new Map<number, Taken[]>()

  /** Takes a place that a name should keep clear of: its left end on its base line, and its width. */
  mark(at: ScreenPoint, width: number) {
    this.#take({ ...at, width, cost: OVER_MARK })
  }

  /** Takes the best place beside a mark for a name, and returns its left end on its base line. */
  place(name: string, mark: ScreenPoint): ScreenPoint {
    const width = name.length * LETTER
    const [first, ...others] = besides(mark, width).map((at) => ({ at, cost: this.#costOf(at, width) }))
    if (!first) return mark
    const { at } = others.reduce((best, other) => (other.cost < best.cost ? other : best), first)
    this.#take({ ...at, width, cost: OVER_NAME })
    return at
  }

  #take(taken: Taken) {
    const line = Math.floor(taken.y / LINE)
    const known = this.#lines.get(line)
    if (known) known.push(taken)
    else this.#lines.set(line, [taken])
  }

  #costOf({ x, y }: ScreenPoint, width: number): number {
    const line = Math.floor(y / LINE)
    let cost = 0
    for (const near of [line - 1, line, line + 1])
      for (const other of this.#lines.get(near) ?? [])
        if (Math.abs(other.y - y) < LINE && x + width >= other.x && other.x + other.width >= x) cost += other.cost
    return cost
  }
}

/** Beside the mark, on either side and at several heights; the best liked first. */
function besides({ x, y }: ScreenPoint, width: number): ScreenPoint[] {
  const right = x + 9
  const left = x - 9 - width
  const base = y + 4
  return [
    { x: right, y: base },
    { x: left, y: base },
    { x: right, y: base + LINE },
    { x: right, y: base - LINE },
    { x: left, y: base + LINE },
    { x: left, y: base - LINE },
    { x: right, y: base + 2 * LINE },
    { x: left, y: base + 2 * LINE },
    { x: right, y: base - 2 * LINE },
    { x: x - width / 2, y: y + 19 },
    { x: x - width / 2, y: y - 11 },
  ]
}
