/** Places for names on a drawing where they run into as little as possible. */
import type { ScreenPoint } from '../composables/stage/usePlanView'

/** Pixels: a line of text, a letter of it, and how far letters reach over and under their base line. */
const LINE = 13
const LETTER = 6.1
const ASCENT = 9
const DESCENT = 2
/** Two names over each other are worse than a name over a mark. */
const OVER_NAME = 3
const OVER_MARK = 1

/** A part of the screen, pixels; y grows downwards. */
export interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

interface Occupied extends Box {
  readonly cost: number
}

/** The places occupied so far, by the line of text they begin on so that only near ones are looked at. */
export class NamePlaces {
  readonly #lines = new Map<number, Occupied[]>()
  #tallest = 0

  /** Takes a place that a name should keep clear of. */
  mark(box: Box) {
    this.#occupy({ ...box, cost: OVER_MARK })
  }

  /** Takes the best place beside a mark for a name, and returns its left end on its base line. */
  place(name: string, mark: ScreenPoint): ScreenPoint {
    const width = name.length * LETTER
    let best = { at: mark, cost: Infinity }
    for (const at of besides(mark, width)) {
      const cost = this.#costOf(textBox(at, width))
      if (cost < best.cost) best = { at, cost }
      if (cost === 0) break
    }
    this.#occupy({ ...textBox(best.at, width), cost: OVER_NAME })
    return best.at
  }

  #occupy(occupied: Occupied) {
    this.#tallest = Math.max(this.#tallest, occupied.bottom - occupied.top)
    const line = Math.floor(occupied.top / LINE)
    const known = this.#lines.get(line)
    if (known) known.push(occupied)
    else this.#lines.set(line, [occupied])
  }

  #costOf(box: Box): number {
    const last = Math.floor(box.bottom / LINE)
    let cost = 0
    for (let line = Math.floor((box.top - this.#tallest) / LINE); line <= last; line++) {
      const near = this.#lines.get(line)
      if (near) for (const occupied of near) if (meets(occupied, box)) cost += occupied.cost
    }
    return cost
  }
}

function meets(a: Box, b: Box): boolean {
  return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom
}

function textBox({ x, y }: ScreenPoint, width: number): Box {
  return { left: x, right: x + width, top: y - ASCENT, bottom: y + DESCENT }
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
    { x: x - width / 2, y: y + 19 },
    { x: x - width / 2, y: y - 11 },
    { x: right, y: base + 2 * LINE },
    { x: left, y: base + 2 * LINE },
    { x: right, y: base - 2 * LINE },
    { x: left, y: base - 2 * LINE },
  ]
}
