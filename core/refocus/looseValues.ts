/**
 * Values of cues that were stored by hand although a palette stands close by: what would not follow
 * when the palette is corrected. The values of one family of a fixture in a cue are looked at
 * together; a palette is near when it holds all of them and none is further off than the limit.
 */
import { LEADING } from '../attributes/catalogue'
import { flatGroup } from 'd3-array'
import { distance } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { colourDifference } from '../colour/colour'
import { rangeOf } from '../show/attributeRange'
import { madeColour } from '../show/colours'
import { contentsOf, palettesInOrder, paletteValueFor, resolveValue } from '../palettes/resolve'
import { solvePosition, type SolvedPosition } from '../palettes/solve'
import { listsInOrder, valuesByCue } from '../cues/tracking'
import { familyOf, isNumberAttribute, type NumberAttribute } from '../attributes/attribute'
import { FAMILIES, type Family } from '../attributes/families'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { CueValue } from '../show/entities'
import type { CueId, FixtureId, PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { colourIn, isLoose, type PlainValue } from '../show/values'
import { stageOf } from '../venue/stage'

/** How near a palette must stand: metres at the place, degrees of each axis, part of a range (0 to 1). */
export interface NearLimits {
  readonly metres: number
  readonly degrees: number
  readonly part: number
}

export const USUAL_LIMITS: NearLimits = { metres: 0.5, degrees: 3, part: 0.05 }

/** A palette close to a loose value, and how close: in metres, degrees or parts of the range. */
export interface Near {
  readonly palette: PaletteId
  readonly distance: number
  readonly unit: 'metres' | 'degrees' | 'part'
}

export interface LooseValue {
  readonly cue: CueId
  readonly fixture: FixtureId
  readonly family: Family
  readonly stored: readonly CueValue[]
  readonly near: Near | null
}

/**
 * The loose values of all cues, in the order of the show, each with the nearest palette inside the
 * limits. Intensities are loose by nature and are listed only where a palette is near.
 */
export function looseValues(show: Show, limits: NearLimits): LooseValue[] {
  const finder = new NearFinder(show, limits)
  const found: LooseValue[] = []
  for (const { cues } of listsInOrder(show))
    for (const { id } of cues)
      for (const { fixture, family, stored } of looseIn(valuesByCue(show).get(id) ?? [])) {
        const near = finder.nearest(fixture, stored)
        if (near || family !== 'intensity') found.push({ cue: id, fixture, family, stored, near })
      }
  return found
}

function looseIn(values: readonly CueValue[]): Omit<LooseValue, 'cue' | 'near'>[] {
  const loose = values.filter(({ value, mark }) => isLoose(value) && mark !== 'held')
  const together = flatGroup(
    loose,
    ({ fixture }) => fixture,
    ({ attribute }) => familyOf(attribute),
  )
  return together.map(([fixture, family, stored]) => ({ fixture, family, stored }))
}

class NearFinder {
  readonly #show: Show
  readonly #limits: NearLimits
  /** Palettes that hold something of a family themselves, by family. */
  readonly #palettes = new Map<Family, PaletteId[]>()
  readonly #solved = new Map<string, SolvedPosition | null>()

  constructor(show: Show, limits: NearLimits) {
    this.#show = show
    this.#limits = limits
    const all = palettesInOrder(show).filter(({ palette }) => palette.shelf !== 'combined')
    for (const family of FAMILIES)
      this.#palettes.set(
        family,
        all.filter(({ id }) => holds(show, id, family)).map(({ id }) => id),
      )
  }

  /** The nearest palette; of two that are as near, the one of the lower number. */
  nearest(fixture: FixtureId, stored: readonly CueValue[]): Near | null {
    const rigged = rigOf(this.#show).get(fixture)
    const [first] = stored
    if (!rigged || !first) return null
    let best: Near | null = null
    for (const palette of this.#palettes.get(familyOf(first.attribute)) ?? []) {
      const near = this.#nearness(rigged, palette, stored)
      if (near && (best === null || near.distance < best.distance - 1e-9)) best = near
    }
    return best
  }

  /** How near a palette is to all of some values; null when it is not, or does not hold them all. */
  #nearness(rigged: RiggedFixture, palette: PaletteId, stored: readonly CueValue[]): Near | null {
    let furthest: Near | null = null
    for (const { attribute, value } of stored) {
      const link = { kind: 'link', palette } as const
      const isHeld = paletteValueFor(this.#show, palette, rigged, attribute) !== null
      const theirs = isHeld ? resolveValue(this.#show, rigged, attribute, link).value : null
      if (theirs === null || value.kind === 'link' || value.kind === 'rest') return null
      const near =
        attribute === LEADING.place
          ? this.#placeNear(rigged, palette, value, theirs)
          : isNumberAttribute(attribute)
            ? this.#numberNear(rigged, palette, attribute, value, theirs)
            : this.#colourNear(rigged, palette, value, theirs)
      if (!near) return null
      if (!furthest || near.distance > furthest.distance) furthest = near
    }
    return furthest
  }

  #placeNear(rigged: RiggedFixture, palette: PaletteId, ours: PlainValue, theirs: PlainValue): Near | null {
    const here = this.#solve(rigged, ours, null)
    const there = this.#solve(rigged, theirs, palette)
    if (!here || !there) return null
    if (here.point && there.point) {
      const metres = distance(here.point, there.point)
      if (metres <= this.#limits.metres) return { palette, distance: metres, unit: 'metres' }
    }
    const degrees = Math.max(Math.abs(here.pose.pan - there.pose.pan), Math.abs(here.pose.tilt - there.pose.tilt))
    const isRaw = ours.kind === 'angles' || theirs.kind === 'angles'
    return isRaw && degrees <= this.#limits.degrees ? { palette, distance: degrees, unit: 'degrees' } : null
  }

  #solve(rigged: RiggedFixture, value: PlainValue, palette: PaletteId | null): SolvedPosition | null {
    const key = palette === null ? null : `${rigged.id} ${palette}`
    const known = key === null ? undefined : this.#solved.get(key)
    if (known !== undefined) return known
    const solved = solvePosition(rigged.mount, stageOf(this.#show), value, HOME)
    const placed = solved.state === 'no place here' ? null : solved
    if (key !== null) this.#solved.set(key, placed)
    return placed
  }

  /** Colours are near by ΔE 2000, of which a hundred is the whole. */
  #colourNear({ type }: RiggedFixture, palette: PaletteId, ours: PlainValue, theirs: PlainValue): Near | null {
    const [here, there] = [colourIn(ours), colourIn(theirs)]
    if (!here || !there) return null
    const [look, other] = [madeColour(type, here).look, madeColour(type, there).look]
    const part = Math.max(colourDifference(look, other) / 100, Math.abs(look.level - other.level))
    return part <= this.#limits.part ? { palette, distance: part, unit: 'part' } : null
  }

  #numberNear(
    rigged: RiggedFixture,
    palette: PaletteId,
    attribute: NumberAttribute,
    ours: PlainValue,
    theirs: PlainValue,
  ): Near | null {
    if (ours.kind === 'pool' && theirs.kind === 'pool') {
      const metres = Math.abs(ours.diameter - theirs.diameter)
      return metres <= this.#limits.metres ? { palette, distance: metres, unit: 'metres' } : null
    }
    if (ours.kind !== 'number' || theirs.kind !== 'number') return null
    const off = Math.abs(ours.number - theirs.number)
    const { unit, min, max } = rangeOf(rigged.type, attribute)
    // Slots of a wheel are the same or they are not.
    if (unit === 'slot') return off === 0 ? { palette, distance: 0, unit: 'part' } : null
    if (unit === 'degrees') return off <= this.#limits.degrees ? { palette, distance: off, unit: 'degrees' } : null
    const part = off / (max - min)
    return part <= this.#limits.part ? { palette, distance: part, unit: 'part' } : null
  }
}

function holds(show: Show, palette: PaletteId, family: Family): boolean {
  const contents = contentsOf(show).get(palette)
  if (!contents) return false
  const attributes = [...contents.own.keys(), ...contents.kind.keys(), ...contents.any.keys()]
  return attributes.some((attribute) => familyOf(attribute) === family)
}
