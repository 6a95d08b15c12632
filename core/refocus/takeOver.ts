/**
 * What palettes hold elsewhere, taken over into palettes here: from another venue of the show or from
 * another show, by what the mask takes. What it does not name is left alone.
 */
import equal from 'fast-deep-equal'
import { LEADING } from '../attributes/catalogue'
import type { Attribute } from '../attributes/attribute'
import { SAME_PLACE } from '../geometry/tolerance'
import { distance } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { attributesServed, palettesInOrder, paletteValueFor, resolveValue } from '../palettes/resolve'
import { freeAim, solvePosition } from '../palettes/solve'
import { wholeFixtures } from '../show/cells'
import { asFixtureId, type FixtureId, type PaletteId } from '../show/ids'
import { lets, type Mask } from '../show/masks'
import { normalisedName } from '../show/names'
import { offsetIn } from '../show/perVenue'
import { rigOf, typedFixtures, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import type { AimValue, PlainValue, Value } from '../show/values'
import { stageOf } from '../venue/stage'

export const MATCHES = ['number', 'name'] as const

/** What is taken, and how things of one show are known in the other. */
export interface TakeOverMask extends Mask {
  /** Palettes of the source. */
  readonly palettes: readonly PaletteId[]
  /** Fixtures of the source; null for all. */
  readonly fixtures: readonly FixtureId[] | null
  readonly as: 'place' | 'angles'
  readonly match: (typeof MATCHES)[number]
  /** Palettes of the source that were matched by hand; null for one that is not taken. */
  readonly byHand: ReadonlyMap<PaletteId, PaletteId | null>
}

/** A value that would be taken over. */
export interface TakenLine {
  readonly from: PaletteId
  readonly palette: PaletteId
  readonly fixture: FixtureId
  readonly attribute: Attribute
  /** What the palette gives here; null where it gives nothing yet. */
  readonly before: Value | null
  readonly after: PlainValue
}

export interface TakeOver {
  /** Only values that are others here. */
  readonly lines: readonly TakenLine[]
  /** Palettes and fixtures of the source that are not known here. */
  readonly unknownPalettes: readonly PaletteId[]
  readonly unknownFixtures: readonly FixtureId[]
  /** Values that are the same here already. */
  readonly alike: number
}

/** The palette here that a palette of another show is matched to by itself; null where there is none. */
export function matchedPalette(
  show: Show,
  source: Show,
  id: PaletteId,
  match: TakeOverMask['match'],
): PaletteId | null {
  const known = source.all.palette.get(id)
  const isMatch = ({ palette }: ReturnType<typeof palettesInOrder>[number]) =>
    match === 'number'
      ? palette.number === known?.number
      : normalisedName(palette.name) === normalisedName(known?.name ?? '')
  return palettesInOrder(show).find(isMatch)?.id ?? null
}

/** What would be taken from a source, as it plays in its venue, into the show as it plays in its own. */
export function takeOver(show: Show, source: Show, mask: TakeOverMask): TakeOver {
  const fixtures = fixturesHere(show, source, mask)
  const lines: TakenLine[] = []
  const unknownPalettes: PaletteId[] = []
  const unknownFixtures = new Set<FixtureId>()
  let alike = 0
  for (const from of mask.palettes) {
    const byHand = mask.byHand.get(from)
    const palette = byHand === undefined ? matchedPalette(show, source, from, mask.match) : byHand
    if (palette === null && byHand === undefined) unknownPalettes.push(from)
    if (palette === null) continue
    for (const [id, here] of fixtures) {
      const rigged = rigOf(source).get(id)
      const attributes = rigged ? attributesServed(source, from, rigged).filter((one) => lets(mask, one)) : []
      if (here === null && attributes.length > 0) unknownFixtures.add(id)
      if (here === null || !rigged) continue
      for (const attribute of attributes) {
        const line = lineOf(show, source, mask, { from, palette, rigged, fixture: here, attribute })
        if (line === 'alike') alike += 1
        else if (line) lines.push(line)
      }
    }
  }
  return { lines, unknownPalettes, unknownFixtures: [...unknownFixtures], alike }
}

/** Fixtures of the source with those they are here; what has no name goes by its number, cells go by their bar and place on it. */
function fixturesHere(show: Show, source: Show, { fixtures, match }: TakeOverMask): Map<FixtureId, FixtureId | null> {
  const key = (one: { readonly number: number; readonly name: string }) =>
    match === 'name' && one.name.trim() ? normalisedName(one.name) : `number ${one.number}`
  const here = new Map(wholeFixtures(show).map(([id, fixture]) => [key(fixture), id]))
  const wanted = fixtures && new Set<string>(fixtures)
  const found = new Map<FixtureId, FixtureId | null>()
  for (const { id, fixture } of typedFixtures(source).values()) {
    const whole = fixture.bar ?? id
    const known = source.all.fixture.get(whole)
    if (!known || (wanted && !wanted.has(whole) && !wanted.has(id))) continue
    const bar = here.get(key(known)) ?? null
    const own = bar && fixture.cell !== null ? asFixtureId(`${bar}.${fixture.cell}`) : bar
    found.set(id, own && show.all.fixture.has(own) ? asFixtureId(own) : null)
  }
  return found
}

interface Taken extends Pick<TakenLine, 'from' | 'palette' | 'fixture' | 'attribute'> {
  readonly rigged: RiggedFixture
}

function lineOf(show: Show, source: Show, mask: TakeOverMask, taken: Taken): TakenLine | 'alike' | null {
  const { rigged, from, palette, fixture, attribute } = taken
  const served = typedFixtures(show).get(fixture)
  if (!served?.type.has.includes(attribute)) return null
  const plain = resolveValue(source, rigged, attribute, { kind: 'link', palette: from }).value
  const after = plain && (attribute === LEADING.place ? placeTaken(show, source, mask, rigged, plain) : plain)
  if (!after) return null
  const before = paletteValueFor(show, palette, served, attribute)
  const now = before && resolveValue(show, served, attribute, before).value
  if (now && isSame(show, now, after)) return 'alike'
  return { from, palette, fixture, attribute, before, after }
}

/** Whether two values give the same in the venue in play. */
function isSame(show: Show, a: PlainValue, b: PlainValue): boolean {
  const { venue } = showRecordOf(show)
  if (a.kind !== 'aim' || b.kind !== 'aim') return equal(a, b)
  const isNear = distance(offsetIn(a, venue), offsetIn(b, venue)) < SAME_PLACE
  return a.target === b.target && a.at === b.at && isNear
}

/** A place of the source as it is taken: at the same target here where there is one of its name, else free; or as angles. */
function placeTaken(
  show: Show,
  source: Show,
  { as }: TakeOverMask,
  rigged: RiggedFixture,
  value: PlainValue,
): PlainValue | null {
  const position = solvePosition(rigged.mount, stageOf(source), value, HOME)
  if (as === 'angles') return { kind: 'angles', pan: position.pose.pan, tilt: position.pose.tilt }
  if (value.kind !== 'aim' || value.target === null) return freeAim(position)
  const name = source.all.target.get(value.target)?.name ?? ''
  const known = [...stageOf(show).targets.values()].find(
    ({ target }) => normalisedName(target.name) === normalisedName(name),
  )
  if (!known) return freeAim(position)
  const offset = offsetIn(value, showRecordOf(source).venue)
  return { kind: 'aim', target: known.id, at: value.at, offset, choice: null } satisfies AimValue
}
