/** Where the names of hangs are written on a drawing, clear of heads and of each other. */
import { computed } from 'vue'
import type { HangId } from '#core/show/ids'
import { signSize } from '../../drawing/signSize'
import type { Box } from '../../drawing/namePlaces'
import type { DrawnHang } from './fixtureSpots'
import { usePlan } from './planKey'
import type { ScreenPoint } from './usePlanView'

/** Its end or middle on its base line, and how wide it is, pixels. */
export interface HangName {
  readonly x: number
  y: number
  readonly anchor: 'start' | 'middle' | 'end'
  readonly width: number
}

/** Pixels: a hang shorter than this on the drawing is seen end on; a letter of a name; a line of text. */
const END_ON = 20
const LETTER = 6
const LINE = 13
/** How far a name is lifted over its hang at most. */
const MOST_RAISED = 30

const BEFORE = { start: 0, middle: 0.5, end: 1 } as const
const leftOf = ({ x, width, anchor }: HangName) => x - width * BEFORE[anchor]

/** Half as wide as a head with its number is, and how far they reach over and under its middle, pixels. */
const HEAD = { half: 10, over: 22, under: 5 }
/** How high the letters of a name are, pixels. */
const LETTERS_HIGH = 9

function overlaps(a: HangName, b: HangName): boolean {
  return Math.abs(a.y - b.y) < LINE && leftOf(a) < leftOf(b) + b.width && leftOf(b) < leftOf(a) + a.width
}

/** Whether a name runs over a head at a place on the screen. */
function covers(label: HangName, at: ScreenPoint): boolean {
  const left = leftOf(label)
  return (
    at.x + HEAD.half > left &&
    at.x - HEAD.half < left + label.width &&
    label.y > at.y - HEAD.over &&
    label.y - LETTERS_HIGH < at.y + HEAD.under
  )
}

const boxOf = (name: HangName): Box => ({
  left: leftOf(name),
  right: leftOf(name) + name.width,
  top: name.y - LETTERS_HIGH,
  bottom: name.y,
})

export function useHangNames(hangs: () => readonly DrawnHang[]) {
  const { toScreen, scale } = usePlan()
  /** Every head on the screen, with the hang it is on. */
  const heads = computed(() =>
    hangs().flatMap((hang) =>
      hang.fixtures.flatMap(({ at, cells }) =>
        [at, ...cells.map((cell) => cell.at)].map((one) => ({ hang, at: toScreen(one) })),
      ),
    ),
  )

  /** A hang's name: below a boom in plan, above what is seen end on or upright, else at its left end, or its right where heads of others are in the way. */
  function nameFor(hang: DrawnHang, placed: HangName[]): HangName {
    const [from, to] = [toScreen(hang.from), toScreen(hang.to)]
    const [wide, tall] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)]
    const top = Math.min(from.y, to.y)
    const middle = (from.x + to.x) / 2
    const label: HangName = hang.isUpright
      ? { x: from.x, y: Math.max(from.y, to.y) + 16, anchor: 'middle', width: 0 }
      : tall > wide
        ? { x: middle, y: top - 8, anchor: 'middle', width: 0 }
        : wide < END_ON
          ? { x: middle, y: Math.min(top - 14, numbersTop(hang) - LINE), anchor: 'middle', width: 0 }
          : { x: Math.min(from.x, to.x) - 7, y: from.y + 4, anchor: 'end', width: 0 }
    const width = hang.hang.hang.name.length * LETTER
    const atEnd: HangName = { ...label, width }
    const other: HangName = { ...atEnd, x: Math.max(from.x, to.x) + 7, anchor: 'start' }
    const isCrowded = (one: HangName) => heads.value.some((head) => head.hang !== hang && covers(one, head.at))
    const isMoved = label.anchor === 'end' && isCrowded(atEnd) && !isCrowded(other)
    const free = isMoved ? other : atEnd
    while (label.anchor === 'end' && isCrowded(free) && free.y > from.y - MOST_RAISED) free.y -= LINE
    while (placed.some((other) => overlaps(other, free))) free.y -= LINE
    placed.push(free)
    return free
  }

  /** Where the numbers of what hangs there end above: heads that stand carry them over the hang. */
  function numbersTop({ fixtures }: DrawnHang): number {
    return Math.min(...fixtures.map(({ at }) => toScreen(at).y - signSize(scale.value) - LINE))
  }

  const names = computed<ReadonlyMap<HangId, HangName>>(() => {
    const placed: HangName[] = []
    return new Map(hangs().map((hang) => [hang.hang.id, nameFor(hang, placed)]))
  })
  /** The places they take. */
  const boxes = computed(() => [...names.value.values()].map(boxOf))

  return { names, boxes }
}
