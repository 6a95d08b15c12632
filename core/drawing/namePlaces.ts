/** Places for names on a drawing where they run into nothing, or into as little as possible. */
import type { DrawingPoint } from './drawingPoint'

/** Pixels: a line of text, letters of it, and how far they reach over and under their base line. */
export const LINE = 13
const LETTERS = [
  { these: /[fijlrtI'’.,:;|() ]/, width: 3.6 },
  { these: /[mwMW@%]/, width: 9 },
  { these: /./, width: 6 },
] as const
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

/** Where a name goes: its left end on its base line, and whether it runs into nothing there. */
export interface NamePlace {
  readonly at: DrawingPoint
  readonly isFree: boolean
}

interface Occupied extends Box {
  readonly cost: number
}

/** How wide a name is when it is written, pixels; near enough to keep clear of it. */
export function widthOf(name: string): number {
  return [...name].reduce((sum, letter) => sum + (LETTERS.find(({ these }) => these.test(letter))?.width ?? 0), 0)
}

/** The places occupied so far, by the line of text they begin on so that only near ones are looked at. */
export class NamePlaces {
  readonly #lines = new Map<number, Occupied[]>()
  #tallest = 0

  /** Takes a place that a name should keep clear of. */
  mark(box: Box) {
    this.#occupy({ ...box, cost: OVER_MARK })
  }

  /** The best of some places for a name, the best liked of them first; at least one. It takes it where it is free. */
  place(name: string, places: readonly [DrawingPoint, ...DrawingPoint[]]): NamePlace {
    const width = widthOf(name)
    let best = { at: places[0], cost: Infinity }
    for (const at of places) {
      const cost = this.#costOf(textBox(at, width))
      if (cost < best.cost) best = { at, cost }
      if (cost === 0) break
    }
    const isFree = best.cost === 0
    if (isFree) this.write(name, best.at)
    return { at: best.at, isFree }
  }

  /** Takes a place for a name, whatever is there. */
  write(name: string, at: DrawingPoint) {
    this.#occupy({ ...textBox(at, widthOf(name)), cost: OVER_NAME })
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

function textBox({ x, y }: DrawingPoint, width: number): Box {
  return { left: x, right: x + width, top: y - ASCENT, bottom: y + DESCENT }
}

/** The places for a name beside a mark, on either side and at several heights; the best liked first. */
export function besideMark({ x, y }: DrawingPoint, name: string): readonly [DrawingPoint, ...DrawingPoint[]] {
  const width = widthOf(name)
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
