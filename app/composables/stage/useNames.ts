/** Where the names of hangs and targets are written on a drawing: clear of signs, numbers and each other. */
import { computed } from 'vue'
import type { Vec3 } from '#core/geometry/vector'
import type { HangId, TargetId } from '#core/show/ids'
import { pointOn, stationsOf, type PlacedTarget } from '#core/show/targets'
import { besideMark, LINE, NamePlaces, widthOf, type NamePlace } from '#core/drawing/namePlaces'
import { signSize } from '../../drawing/signSize'
import type { DrawnHang } from '#core/drawing/drawnHangs'
import { usePlan } from './planKey'
import type { ScreenPoint } from './usePlanView'

/** What is drawn and has names, or is to be kept clear of them. */
export interface Named {
  readonly hangs: readonly DrawnHang[]
  readonly targets: ReadonlyMap<string, PlacedTarget>
  /** Where they stood before what is proposed, or the same. */
  readonly before: ReadonlyMap<string, PlacedTarget>
}

/** A hang shorter than this on the drawing is seen end on, pixels. */
const END_ON = 20
/** How far a name is set aside from the end of its hang, pixels. */
const ASIDE = 7
/** Half as wide as a fixture with its number is, and how far they reach over and under its middle, pixels. */
const HEAD = { half: 9, over: 21, under: 4 }
/** From the middle of a target's sign to its corners, pixels, where there is room. */
const ARM = 6

/** A station of a line or ring, and the place of its number. */
export interface SeenStation {
  readonly at: ScreenPoint
  readonly number: string
  readonly place: NamePlace
}

/** A target's name, and what stands along it. */
export interface TargetNames {
  readonly name: NamePlace
  readonly stations: readonly SeenStation[]
}

type Places = readonly [ScreenPoint, ...ScreenPoint[]]

export function useNames(named: () => Named) {
  const { toScreen, scale } = usePlan()
  /** From the middle of a target's sign to its corners, pixels. */
  const arm = computed(() => ARM * signSize(scale.value))

  function markHead(places: NamePlaces, head: Vec3) {
    const { x, y } = toScreen(head)
    places.mark({ left: x - HEAD.half, right: x + HEAD.half, top: y - HEAD.over, bottom: y + HEAD.under })
  }

  function markSign(places: NamePlaces, placed: PlacedTarget) {
    const { x, y } = toScreen(pointOn(placed, null))
    places.mark({ left: x - arm.value, right: x + arm.value, top: y - arm.value, bottom: y + arm.value })
  }

  /** Below a boom in plan, above what is seen end on or upright, else at the ends of the hang. */
  function placesFor(hang: DrawnHang): Places {
    const [from, to] = [toScreen(hang.from), toScreen(hang.to)]
    const [wide, tall] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)]
    const [top, bottom] = [Math.min(from.y, to.y), Math.max(from.y, to.y)]
    const width = widthOf(hang.hang.hang.name)
    const left = (from.x + to.x - width) / 2
    if (hang.isUpright) return stacked(left, bottom + 16, LINE)
    if (tall > wide) return stacked(left, top - 8, -LINE)
    if (wide < END_ON) return stacked(left, Math.min(top - 14, numbersTop(hang) - LINE), -LINE)
    return atEnds(from.x < to.x ? [from, to] : [to, from], width)
  }

  /** Where the numbers of what hangs there end above: heads that stand carry them over the hang. */
  function numbersTop({ fixtures }: DrawnHang): number {
    return Math.min(...fixtures.map(({ at }) => toScreen(at).y - signSize(scale.value) - LINE))
  }

  function seenStations(placed: PlacedTarget, places: NamePlaces): SeenStation[] {
    return stationsOf(placed.target.form).map((along, i) => {
      const at = toScreen(pointOn(placed, along))
      const number = String(i + 1)
      return { at, number, place: places.place(number, aroundDot(at, number)) }
    })
  }

  /** What names keep clear of, with these targets. */
  function marked(targets: Named['targets']): NamePlaces {
    const places = new NamePlaces()
    for (const { fixtures } of named().hangs)
      for (const { at, cells } of fixtures)
        for (const one of [at, ...cells.map((cell) => cell.at)]) markHead(places, one)
    for (const placed of targets.values()) markSign(places, placed)
    return places
  }

  /** Those of hangs, for which targets stand where they did before what is proposed: dragged ones move no name of a hang. */
  const hangNames = computed<ReadonlyMap<HangId, NamePlace>>(() => {
    const places = marked(named().before)
    return new Map(named().hangs.map((hang) => [hang.hang.id, places.place(hang.hang.hang.name, placesFor(hang))]))
  })

  const targetNames = computed<ReadonlyMap<TargetId, TargetNames>>(() => {
    const { hangs, targets } = named()
    const places = marked(targets)
    for (const { hang } of hangs) {
      const name = hangNames.value.get(hang.id)
      if (name?.isFree) places.write(hang.hang.name, name.at)
    }
    const names = [...targets.values()]
      .map((placed) => ({ placed, at: toScreen(pointOn(placed, null)) }))
      .sort((a, b) => a.at.y - b.at.y)
      .map(({ placed, at }) => {
        const { name } = placed.target
        return { placed, name: places.place(name, besideMark(at, name)) }
      })
    return new Map(names.map(({ placed, name }) => [placed.id, { name, stations: seenStations(placed, places) }]))
  })

  return { hangNames, targetNames, arm }
}

/** One over the other from a first place on. */
function stacked(x: number, y: number, step: number): Places {
  return [{ x, y }, ...[1, 2, 3, 4].map((i) => ({ x, y: y + i * step }))]
}

/** Over a dot, under it or beside it. */
function aroundDot({ x, y }: ScreenPoint, number: string): Places {
  const left = x - widthOf(number) / 2
  return [
    { x: left, y: y - 5 },
    { x: left, y: y + LINE },
    { x: x + 5, y: y + LINE },
    { x: x + 5, y: y - 5 },
    { x: x - 5 - widthOf(number), y: y + LINE },
  ]
}

/** At the left end or the right one, level with it, over it or under it. */
function atEnds([start, end]: readonly [ScreenPoint, ScreenPoint], width: number): Places {
  const before = { x: start.x - ASIDE - width, y: start.y + 4 }
  const behind = { x: end.x + ASIDE, y: end.y + 4 }
  const around = [0, 0.5, -0.5, 1, -1, -2, 2].flatMap((lines) =>
    [before, behind].map(({ x, y }) => ({ x, y: y + lines * LINE })),
  )
  return [before, ...around.slice(1)]
}
