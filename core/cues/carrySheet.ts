/**
 * The carry sheet: for every cue and fixture of a list, whether something of a family is set there,
 * carried from an earlier cue, or not there yet. Cells are looked up one by one: nothing is worked
 * out for cues that are not looked at.
 */
import { rollup } from 'd3-array'
import { resolveValue } from '../palettes/resolve'
import { derivedEach } from '../show/derived'
import type { CueValue } from '../show/entities'
import { inCatalogueOrder, familyOf } from '../attributes/attribute'
import { type Family } from '../attributes/families'
import type { CueListId, FixtureId, PaletteId } from '../show/ids'
import { RIG_KINDS, rigOf } from '../show/rig'
import type { ShowPart } from '../show/show'
import { givenBy, isLoose } from '../show/values'
import { atRest } from './atRest'
import { timelineOf, indexAt, type TimelinePoint } from './tracking'

/** What one cue sets of a family for a fixture. */
export interface SheetPoint {
  /** Its place in the list, from 0. */
  readonly at: number
  readonly stored: readonly CueValue[]
  /** The palette of the first linked value; null where all of it is loose. */
  readonly palette: PaletteId | null
  readonly isLoose: boolean
  /** All of it lets go, back to rest. */
  readonly isRest: boolean
  readonly mark: CueValue['mark']
  /** The palette a held value would follow again. */
  readonly source: PaletteId | null
}

export interface Sheet {
  /** What counts at a place: set there if its own place is the same, else carried; null where nothing is set by then. */
  point(at: number, fixture: FixtureId): SheetPoint | null
  /** The places at which something is set for a fixture, in order. */
  points(fixture: FixtureId): readonly SheetPoint[]
  /** Whether the list leaves a fixture without light at a place; false where it says nothing of its light. */
  isDark(at: number, fixture: FixtureId): boolean
}

const NONE: readonly SheetPoint[] = []

const SHEET_KINDS = ['cueValue', 'cue', 'cueList', 'paletteValue', 'touchUp', ...RIG_KINDS] as const
type SheetKind = (typeof SHEET_KINDS)[number]

/** The sheet of a list for a family. */
export function carrySheet(show: ShowPart<SheetKind>, list: CueListId, family: Family): Sheet {
  return sheetsOf(show, list)(family)
}

/** The sheets of a list, each made when it is asked for. */
const sheetsOf = derivedEach(SHEET_KINDS, (show, list: CueListId): ((family: Family) => Sheet) => {
  const known = new Map<Family, Sheet>()
  return (family) => {
    const sheet = known.get(family) ?? sheetOf(show, list, family)
    known.set(family, sheet)
    return sheet
  }
})

function sheetOf(show: ShowPart<SheetKind>, list: CueListId, family: Family): Sheet {
  const points = pointsOf(show, list, family)
  const lights = family === 'intensity' ? points : pointsOf(show, list, 'intensity')
  const darkness = new Map<SheetPoint, boolean>()
  const dark = (point: SheetPoint) => {
    const known = darkness.get(point)
    if (known !== undefined) return known
    const [stored] = point.stored
    const isDark = stored !== undefined && levelOf(show, stored) <= 0
    darkness.set(point, isDark)
    return isDark
  }
  const pointsFor = (fixture: FixtureId) => points.get(fixture) ?? NONE
  return {
    points: pointsFor,
    point: (at, fixture) => latest(pointsFor(fixture), at),
    isDark(at, fixture) {
      const point = latest(lights.get(fixture) ?? NONE, at)
      return point !== null && dark(point)
    },
  }
}

function latest(points: readonly SheetPoint[], at: number): SheetPoint | null {
  return points[indexAt(points, at)] ?? null
}

function levelOf(show: ShowPart<SheetKind>, stored: CueValue): number {
  const { fixture, attribute } = stored
  const rigged = rigOf(show).get(fixture)
  const value = rigged && (givenBy(stored) ?? atRest(show, rigged, attribute))
  const plain = rigged && value ? resolveValue(show, rigged, attribute, value).value : null
  return plain?.kind === 'number' ? plain.number : 0
}

/** What is set of a family, by fixture; attributes set in one cue are one point. */
function pointsOf(
  show: ShowPart<SheetKind>,
  list: CueListId,
  family: Family,
): ReadonlyMap<FixtureId, readonly SheetPoint[]> {
  const ofFamily = [...timelineOf(show, list).values()].filter(
    ([first]) => first && familyOf(first.stored.attribute) === family,
  )
  return rollup(ofFamily.flat(), inOrder, ({ stored }) => stored.fixture)
}

function inOrder(points: readonly TimelinePoint[]): SheetPoint[] {
  const byPlace = rollup(
    points,
    (here) => here.map(({ stored }) => stored),
    ({ at }) => at,
  )
  return [...byPlace].map(([at, stored]) => pointOf(at, stored)).sort((a, b) => a.at - b.at)
}

function pointOf(at: number, values: CueValue[]): SheetPoint {
  const stored = values.sort((a, b) => inCatalogueOrder(a.attribute, b.attribute))
  const linked = stored.find(({ value }) => value.kind === 'link')
  return {
    at,
    stored,
    palette: linked?.value.kind === 'link' ? linked.value.palette : null,
    isLoose: stored.some(({ value }) => isLoose(value)),
    isRest: stored.every(({ value }) => value.kind === 'rest'),
    mark: stored.find(({ mark }) => mark !== null)?.mark ?? null,
    source: stored.find(({ source }) => source !== null)?.source ?? null,
  }
}
