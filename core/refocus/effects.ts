/**
 * What a change of target, set piece, hang, venue or palette does, told before it is done: which
 * palettes and cues follow and how far, who falls out of reach, and what stays behind because it
 * was stored as raw angles. Works on the show before and the show as it would be, so it serves
 * every kind of change alike.
 */
import { LEADING } from '../attributes/catalogue'
import { cueValueId } from '../show/compositeIds'
import { distance } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { contentsOf, PALETTE_KINDS, paletteValueFor, palettesInOrder, resolveValue } from '../palettes/resolve'
import { solvePosition, type SolvedPosition } from '../palettes/solve'
import { listsInOrder, valuesByCue } from '../cues/tracking'
import { rigOf, type RiggedFixture } from '../show/rig'
import { targetsOf, type PlacedTarget } from '../show/targets'
import type { CueId, FixtureId, PaletteId } from '../show/ids'
import { absentAfter, type AbsentEffect } from './absent'
import { bothIn, changedValues, type CueEffect, type ValueEffect } from './changedValues'
import { changedLooks, type LookEffect } from './cueLooks'
import { changedMembers, type MembersEffect } from './members'
import type { CueValue } from '../show/entities'
import type { Show } from '../show/show'
import { givenBy, type PlainValue, type Value } from '../show/values'
import { surfacesOf } from '../venue/surfaces'
import { isSamePlace, shiftBetween } from './shift'
import { stageOf } from '../venue/stage'

/** How one fixture of a palette or cue changes. Metres at the place, degrees of each axis. */
export interface FixtureEffect {
  readonly fixture: FixtureId
  readonly before: SolvedPosition
  readonly after: SolvedPosition
  /** How far the light moves on the stage; null where it lands nowhere before or after. */
  readonly shiftMetres: number | null
  readonly losesReach: boolean
}

export interface PaletteEffect {
  readonly palette: PaletteId
  readonly fixtures: readonly FixtureEffect[]
  /** The furthest its light moves, metres; null where none of it lands on both sides. */
  readonly shiftMetres: number | null
}

/** Something that cannot follow because it is stored as angles; its light shifts by so much. */
export interface StayingBehind {
  readonly fixture: FixtureId
  readonly palette: PaletteId | null
  readonly cue: CueId | null
  readonly shiftMetres: number | null
}

export interface Effects {
  readonly palettes: readonly PaletteEffect[]
  /** Palettes that give another level, zoom, colour, gobo or shutter. */
  readonly changed: readonly ValueEffect[]
  /** Palettes that come to serve others than before, by what is put in or taken out. */
  readonly members: readonly MembersEffect[]
  readonly cues: readonly CueEffect[]
  readonly losingReach: readonly FixtureId[]
  /** Fixtures that hang nowhere afterwards. */
  readonly absent: readonly AbsentEffect[]
  readonly staysBehind: readonly StayingBehind[]
  /** Cues that look different because cues themselves change. */
  readonly looks: readonly LookEffect[]
  /** Values of cues that are held as they were. */
  readonly held: readonly CueValue[]
}

/** Those of a change that nothing follows. */
export const NO_EFFECTS: Effects = {
  palettes: [],
  changed: [],
  members: [],
  cues: [],
  losingReach: [],
  absent: [],
  staysBehind: [],
  looks: [],
  held: [],
}

type Verdict = { readonly kind: 'same' } | { readonly kind: 'follows' | 'stays'; readonly effect: FixtureEffect }
const SAME: Verdict = { kind: 'same' }

/** Compares the same fixture and value on both sides of a change. */
class Comparison {
  readonly #beforeShow: Show
  readonly #afterShow: Show
  readonly #movedFixtures = new Set<FixtureId>()
  readonly #movedTargets = new Set<string>()
  /** What raw angles land on. */
  readonly #areSurfacesSame: boolean

  constructor(before: Show, after: Show) {
    this.#beforeShow = before
    this.#afterShow = after
    this.#areSurfacesSame = surfacesOf(before) === surfacesOf(after)
    const rigAfter = rigOf(after)
    for (const [id, rigged] of rigOf(before)) {
      const then = rigAfter.get(id)
      if (then && hasMoved(rigged, then)) this.#movedFixtures.add(id)
    }
    const targetsAfter = targetsOf(after)
    for (const [id, placed] of targetsOf(before))
      if (hasTargetMoved(placed, targetsAfter.get(id))) this.#movedTargets.add(id)
  }

  /** Whether a plain value lights the same place from the same spot on both sides; told without solving. */
  isStill(fixture: FixtureId, value: Value): boolean {
    if (value.kind === 'link' || this.#movedFixtures.has(fixture)) return false
    if (value.kind === 'angles') return this.#areSurfacesSame
    return value.kind !== 'aim' || value.target === null || !this.#movedTargets.has(value.target)
  }

  /** Whether a stored position value lights another place or needs another pose. */
  judge(fixture: FixtureId, valueBefore: Value, valueAfter: Value): Verdict {
    if (valueBefore === valueAfter && this.isStill(fixture, valueBefore)) return SAME
    const before = rigOf(this.#beforeShow).get(fixture)
    const after = rigOf(this.#afterShow).get(fixture)
    if (!before || !after) return SAME
    const plainBefore = resolveValue(this.#beforeShow, before, LEADING.place, valueBefore).value
    const plainAfter = resolveValue(this.#afterShow, after, LEADING.place, valueAfter).value
    if (plainBefore === null || plainAfter === null) return SAME
    if (plainBefore === plainAfter && this.isStill(fixture, plainBefore)) return SAME
    return this.#compare(before, after, plainBefore, plainAfter)
  }

  #compare(before: RiggedFixture, after: RiggedFixture, valueBefore: PlainValue, valueAfter: PlainValue): Verdict {
    const solvedBefore = solvePosition(before.mount, stageOf(this.#beforeShow), valueBefore, HOME)
    const solvedAfter = solvePosition(after.mount, stageOf(this.#afterShow), valueAfter, HOME)
    const shiftMetres = shiftBetween(solvedBefore, solvedAfter)
    const turns =
      Math.abs(solvedBefore.pose.pan - solvedAfter.pose.pan) > 1e-6 ||
      Math.abs(solvedBefore.pose.tilt - solvedAfter.pose.tilt) > 1e-6
    if (isSamePlace(solvedBefore, solvedAfter) && !turns && solvedBefore.state === solvedAfter.state) return SAME
    const losesReach = canLight(solvedBefore) && !canLight(solvedAfter)
    const effect = { fixture: before.id, before: solvedBefore, after: solvedAfter, shiftMetres, losesReach }
    const stays = valueBefore === valueAfter && valueAfter.kind === 'angles'
    return { kind: stays ? 'stays' : 'follows', effect }
  }
}

function furthest(fixtures: readonly FixtureEffect[]): number | null {
  const shifts = fixtures.flatMap(({ shiftMetres }) => shiftMetres ?? [])
  return shifts.length === 0 ? null : Math.max(...shifts)
}

function hasMoved(before: RiggedFixture, after: RiggedFixture): boolean {
  if (before === after) return false
  const a = before.mount.rotation
  const b = after.mount.rotation
  return (
    before.type !== after.type ||
    distance(before.mount.pivot, after.mount.pivot) > 1e-9 ||
    a.xx !== b.xx ||
    a.yx !== b.yx ||
    a.zx !== b.zx ||
    a.zy !== b.zy
  )
}

function hasTargetMoved(before: PlacedTarget, after: PlacedTarget | undefined): boolean {
  if (!after) return true
  if (before === after) return false
  const isSameEnd = before.end === after.end || (before.end && after.end && distance(before.end, after.end) === 0)
  return before.target !== after.target || distance(before.position, after.position) > 0 || !isSameEnd
}

function canLight(solved: SolvedPosition): boolean {
  return solved.state !== 'out of reach' && solved.state !== 'no place here' && solved.state !== 'outside stops'
}

/** What differs in the light between two shows. */
export function effectsOf(before: Show, after: Show): Effects {
  const comparison = new Comparison(before, after)
  const behind: StayingBehind[] = []
  const losing = new Set<FixtureId>()
  const palettes = paletteEffects(before, after, comparison, behind)
  for (const { fixtures } of palettes) for (const f of fixtures) if (f.losesReach) losing.add(f.fixture)
  const positions = cueEffects(before, after, comparison, behind, losing)
  const changed = changedValues(before, after)
  const cues = bothIn(before, positions, changed.cues)
  return {
    palettes,
    changed: changed.palettes,
    members: changedMembers(before, after),
    cues,
    losingReach: [...losing],
    absent: absentAfter(before, after),
    staysBehind: behind,
    looks: changedLooks(before, after),
    held: newlyHeld(before, after),
  }
}

function newlyHeld(before: Show, after: Show): CueValue[] {
  if (before.all.cueValue === after.all.cueValue) return []
  return [...after.all.cueValue].flatMap(([id, stored]) =>
    stored.mark === 'held' && before.all.cueValue.get(id)?.mark !== 'held' ? [stored] : [],
  )
}

function paletteEffects(before: Show, after: Show, comparison: Comparison, behind: StayingBehind[]): PaletteEffect[] {
  const effects: PaletteEffect[] = []
  for (const { id } of palettesInOrder(before)) {
    const fixtures: FixtureEffect[] = []
    for (const fixture of fixturesServed(before, id)) {
      const verdict = judgePalette(before, after, comparison, id, fixture)
      if (verdict.kind === 'follows') fixtures.push(verdict.effect)
      if (verdict.kind === 'stays')
        behind.push({ fixture, palette: id, cue: null, shiftMetres: verdict.effect.shiftMetres })
    }
    if (fixtures.length > 0) effects.push({ palette: id, fixtures, shiftMetres: furthest(fixtures) })
  }
  return effects
}

function judgePalette(
  before: Show,
  after: Show,
  comparison: Comparison,
  palette: PaletteId,
  fixture: FixtureId,
): Verdict {
  const served = rigOf(before).get(fixture)
  const valueBefore = served && paletteValueFor(before, palette, served, LEADING.place)
  if (!valueBefore) return SAME
  const isSameShelf = PALETTE_KINDS.every((kind) => before.all[kind] === after.all[kind])
  if (isSameShelf && comparison.isStill(fixture, valueBefore)) return SAME
  const servedAfter = rigOf(after).get(fixture)
  const valueAfter = servedAfter && paletteValueFor(after, palette, servedAfter, LEADING.place)
  return valueAfter ? comparison.judge(fixture, valueBefore, valueAfter) : SAME
}

/**
 * What a cue sets of positions: as it was, but held where the change holds it, and with what it is
 * given back after a cue that holds.
 */
function positionsIn(before: Show, after: Show, cue: CueId): CueValue[] {
  const then = valuesByCue(before).get(cue) ?? []
  if (before.all.cueValue === after.all.cueValue) return then.filter(({ attribute }) => attribute === LEADING.place)
  const kept = then.map((stored) => {
    const is = after.all.cueValue.get(cueValueId(cue, stored.fixture, stored.attribute))
    return is?.mark === 'held' ? is : stored
  })
  const added = (valuesByCue(after).get(cue) ?? []).filter(
    ({ fixture, attribute }) => !before.all.cueValue.has(cueValueId(cue, fixture, attribute)),
  )
  return [...kept, ...added].filter(({ attribute }) => attribute === LEADING.place)
}

/** The fixtures a palette gives a position: those it names, or all where it serves a type or any. */
export function fixturesServed(show: Show, palette: PaletteId): FixtureId[] {
  const contents = contentsOf(show).get(palette)
  if (!contents) return []
  const isWide = contents.any.has(LEADING.place) || contents.kind.has(LEADING.place)
  if (!isWide) return [...(contents.own.get(LEADING.place)?.values() ?? [])].flatMap((stored) => stored.fixture ?? [])
  return [...rigOf(show).values()]
    .filter((rigged) => paletteValueFor(show, palette, rigged, LEADING.place) !== null)
    .map((rigged) => rigged.id)
}

function cueEffects(
  before: Show,
  after: Show,
  comparison: Comparison,
  behind: StayingBehind[],
  losing: Set<FixtureId>,
): CueEffect[] {
  const effects: CueEffect[] = []
  const verdicts = new Map<Value, Map<FixtureId, Verdict>>()
  const judge = (stored: CueValue): Verdict => {
    const key = givenBy(stored)
    if (key === null) return SAME
    const known = verdicts.get(key)?.get(stored.fixture)
    if (known) return known
    const verdict = comparison.judge(stored.fixture, key, key)
    verdicts.set(key, (verdicts.get(key) ?? new Map<FixtureId, Verdict>()).set(stored.fixture, verdict))
    return verdict
  }
  for (const list of listsInOrder(before)) {
    const following = new Set<FixtureId>()
    for (const { id } of list.cues) {
      let sets = false
      for (const stored of positionsIn(before, after, id)) {
        const verdict = stored.mark === 'held' ? SAME : judge(stored)
        if (verdict.kind === 'follows') {
          following.add(stored.fixture)
          sets = true
          if (verdict.effect.losesReach) losing.add(stored.fixture)
        } else following.delete(stored.fixture)
        if (verdict.kind === 'stays' && stored.value.kind === 'angles')
          behind.push({ fixture: stored.fixture, palette: null, cue: id, shiftMetres: verdict.effect.shiftMetres })
      }
      if (sets) effects.push({ cue: id, how: 'set' })
      else if (following.size > 0) effects.push({ cue: id, how: 'carried' })
    }
  }
  return effects
}
