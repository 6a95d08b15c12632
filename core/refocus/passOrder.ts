/** In which order the palettes of a pass are checked. */
import { mean } from 'd3-array'
import { LEADING } from '../attributes/catalogue'
import { distance, vec3, type Vec3 } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { placeOfCue } from '../cues/tracking'
import { checkedWith } from '../palettes/placed'
import { contentsOf, palettesInOrder, storedFor } from '../palettes/resolve'
import { solvePosition } from '../palettes/solve'
import { cuesUsing } from '../palettes/use'
import { passStepId } from '../show/compositeIds'
import { derivedEach } from '../show/derived'
import type { Pass } from '../show/entities'
import type { PaletteId } from '../show/ids'
import { RIG_KINDS } from '../show/rig'
import { showRecordOf, type ShowPart } from '../show/show'
import { STAGE_KINDS, stageOf } from '../venue/stage'

export interface PaletteToCheck {
  readonly palette: PaletteId
  /** How many cues use it. */
  readonly cues: number
}

/** What the order of a pass goes by. */
export const PASS_ORDER_KINDS = [
  ...(['passStep', 'paletteValue', 'recordedFixture', 'palette', 'cueValue', 'cue', 'cueList'] as const),
  ...RIG_KINDS,
  ...STAGE_KINDS,
] as const
type OrderedShow = ShowPart<(typeof PASS_ORDER_KINDS)[number]>

/** Every palette that gives places, as a pass goes through them; those no cue uses come last, by number. */
export const passOrder = derivedEach(PASS_ORDER_KINDS, (show, order: Pass['order']): readonly PaletteToCheck[] => {
  const all = palettesInOrder(show)
    .filter(({ id }) => givesPlaces(show, id))
    .map(({ id }) => ({ palette: id, cues: cuesUsing(show, id).length }))
  const used = all.filter(({ cues }) => cues > 0)
  const unused = all.filter(({ cues }) => cues === 0)
  return [...inOrder(show, used, order), ...unused]
})

/** Also where none of those it places hangs here: that is to be told. */
function givesPlaces(show: OrderedShow, palette: PaletteId): boolean {
  const contents = contentsOf(show).get(palette)
  const places = [contents?.own, contents?.kind].flatMap((reach) => [...(reach?.get(LEADING.place)?.values() ?? [])])
  const any = contents?.any.get(LEADING.place)
  return [...places, ...(any ? [any] : [])].some(({ value }) => value.kind !== 'link')
}

function inOrder(show: OrderedShow, used: readonly PaletteToCheck[], order: Pass['order']): readonly PaletteToCheck[] {
  const byCue = byFirstCue(show, used)
  if (order === 'by cue') return byCue
  if (order === 'by hand') return byRank(show, byCue)
  const spots = new Map(used.map(({ palette }) => [palette, spotOf(show, palette)]))
  const known = used.flatMap((one) => {
    const at = spots.get(one.palette)
    return at ? [{ one, at }] : []
  })
  return [...walk(known).map(({ one }) => one), ...byCue.filter(({ palette }) => !spots.get(palette))]
}

/** By the first cue that uses each, list by list. */
function byFirstCue(show: OrderedShow, used: readonly PaletteToCheck[]): PaletteToCheck[] {
  const first = new Map(
    used.map(({ palette }) => {
      const places = cuesUsing(show, palette).flatMap((cue) => placeOfCue(show, cue) ?? [])
      return [palette, Math.min(...places.map(({ list, at }) => list.list.number * 1e6 + at))]
    }),
  )
  return [...used].sort((a, b) => (first.get(a.palette) ?? 0) - (first.get(b.palette) ?? 0))
}

/** As they were put by hand; what was not comes after, by its first cue. */
function byRank(show: OrderedShow, byCue: readonly PaletteToCheck[]): PaletteToCheck[] {
  const { venue } = showRecordOf(show)
  const rank = ({ palette }: PaletteToCheck) => show.all.passStep.get(passStepId(venue, palette))?.rank ?? Infinity
  return [...byCue].sort((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)))
}

/**
 * The middle of where a palette's light falls here, metres in the stage frame; null where it falls nowhere.
 * What is touched up counts as solved: else the walk would change with every nudge.
 */
export function spotOf(show: OrderedShow, palette: PaletteId): Vec3 | null {
  const points = checkedWith(show, palette).flatMap((rigged) => {
    const value = storedFor(show, palette, rigged, LEADING.place)?.value
    if (!value || value.kind === 'link') return []
    return solvePosition(rigged.mount, stageOf(show), value, HOME).point ?? []
  })
  const [x, y, z] = [mean(points, (p) => p.x), mean(points, (p) => p.y), mean(points, (p) => p.z)]
  return x === undefined || y === undefined || z === undefined ? null : vec3(x, y, z)
}

interface Spot {
  readonly at: Vec3
}

/**
 * A way through all spots that does not go back and forth: from the one nearest the audience always on to
 * the nearest, then any stretch turned round as long as that makes the way shorter (2-opt).
 */
export function walk<S extends Spot>(spots: readonly S[]): S[] {
  const way = nearestFirst(spots)
  const step = (from: S | undefined, to: S | undefined) => (from && to ? distance(from.at, to.at) : 0)
  for (let isShorter = true; isShorter;) {
    isShorter = false
    for (let i = 1; i < way.length - 1; i += 1)
      for (let j = i + 1; j < way.length; j += 1) {
        const now = step(way[i - 1], way[i]) + step(way[j], way[j + 1])
        const turned = step(way[i - 1], way[j]) + step(way[i], way[j + 1])
        if (turned > now - 1e-9) continue
        way.splice(i, j - i + 1, ...way.slice(i, j + 1).reverse())
        isShorter = true
      }
  }
  return way
}

function nearestFirst<S extends Spot>(spots: readonly S[]): S[] {
  const left = [...spots].sort((a, b) => a.at.y - b.at.y)
  const way: S[] = []
  let from = left[0]?.at
  while (from && left.length > 0) {
    const at: Vec3 = from
    const distances = left.map((spot) => distance(spot.at, at))
    const [next] = left.splice(distances.indexOf(Math.min(...distances)), 1)
    if (!next) break
    way.push(next)
    from = next.at
  }
  return way
}
