/** Values in hand that were changed away from a palette, and how the palette would take them in. */
import { flatGroup } from 'd3-array'
import equal from 'fast-deep-equal'
import { typeIdOf } from '../show/cells'
import { derived } from '../show/derived'
import type { PaletteId, PersonId } from '../show/ids'
import { lets } from '../show/masks'
import { RIG_KINDS, rigOf, typedFixtures } from '../show/rig'
import type { Show, ShowPart } from '../show/show'
import type { Attribute } from '../attributes/attribute'
import type { Value } from '../show/values'
import { reaching, type ReachingValue } from './reach'
import { contentsOf, paletteValueFor, resolveValue, type PaletteKind, type Served } from './resolve'
import type { FixtureValue } from '../show/fixtureValue'

/** A value changed away from a palette. `through` is the palette it was recalled by, when that only links on. */
export interface Adjusted extends FixtureValue {
  readonly through: PaletteId
}

/** What every person has changed, by the palette it would be written to. */
const adjustedByPerson = derived(
  ['handValue', 'paletteValue', 'touchUp', 'palette', 'person', ...RIG_KINDS],
  (show): ReadonlyMap<string, ReadonlyMap<PaletteId, readonly Adjusted[]>> => {
    const all = new Map<string, Map<PaletteId, Adjusted[]>>()
    for (const { person, fixture, attribute, value, source } of show.all.handValue.values()) {
      const rigged = source === null ? undefined : rigOf(show).get(fixture)
      if (!rigged || source === null || value.kind === 'link') continue
      const palette = heldBy(show, rigged, attribute, source)
      const known = show.all.palette.get(palette)
      const stored = paletteValueFor(show, palette, rigged, attribute)
      const mask = show.all.person.get(person)
      if (!known || !mask || !lets(mask, attribute) || !lets(known, attribute) || equal(stored, value)) continue
      const ofPerson = all.get(person) ?? new Map<PaletteId, Adjusted[]>()
      all.set(person, ofPerson)
      ofPerson.set(palette, [...(ofPerson.get(palette) ?? []), { fixture, attribute, value, through: source }])
    }
    return all
  },
)

const NOTHING: ReadonlyMap<PaletteId, readonly Adjusted[]> = new Map()

/** What a person has changed in hand that their masks take, by the palette it came from. */
export function adjustedInHand(show: Show, person: PersonId): ReadonlyMap<PaletteId, readonly Adjusted[]> {
  return adjustedByPerson(show).get(person) ?? NOTHING
}

/** The palette at the end of a palette's links: the one that holds the value itself. */
export function heldBy(
  show: ShowPart<PaletteKind>,
  rigged: Served,
  attribute: Attribute,
  palette: PaletteId,
): PaletteId {
  const { through, broken } = resolveValue(show, rigged, attribute, { kind: 'link', palette })
  return broken ? palette : (through.at(-1) ?? palette)
}

/**
 * Values as a palette takes them in where it stands: a value for a type or for any changes as it is
 * when all whom it serves change alike; else those changed get one of their own beside it.
 */
export function updating(show: Show, palette: PaletteId, values: readonly FixtureValue[]): ReachingValue[] {
  const byWidth = flatGroup(
    values,
    ({ attribute }) => attribute,
    (value) => standingOf(show, palette, value),
  )
  return byWidth.flatMap(([, standing, alike]) => {
    if (standing === 'own') return reaching(show, alike, 'own')
    const wide = reaching(show, alike, standing === 'any' ? 'any' : 'kind')
    const isWhole = wide[0] !== undefined && wide[0].whom !== 'any' && 'own' in wide[0].whom
    return !isWhole && coversAll(show, palette, alike, standing) ? wide : reaching(show, alike, 'own')
  })
}

/** Which of a palette's values serves a fixture: its own, its type's (by id), or that for any. */
function standingOf(
  show: Show,
  palette: PaletteId,
  { fixture, attribute }: Pick<FixtureValue, 'fixture' | 'attribute'>,
) {
  const contents = contentsOf(show).get(palette)
  const type = typeIdOf(show, fixture) ?? ''
  if (contents?.own.get(attribute)?.has(fixture)) return 'own'
  if (contents?.kind.get(attribute)?.has(type)) return type
  return contents?.any.has(attribute) ? 'any' : 'own'
}

function coversAll(show: Show, palette: PaletteId, group: readonly FixtureValue[], standing: string): boolean {
  const [first] = group
  if (!first) return false
  const changed = new Set(group.map(({ fixture }) => fixture))
  return [...typedFixtures(show).values()].every(
    ({ id, type }) =>
      !type.has.includes(first.attribute) ||
      standingOf(show, palette, { fixture: id, attribute: first.attribute }) !== standing ||
      changed.has(id),
  )
}

/** A value as it is seen and a shelf holds it: combined palettes keep links, the others what links come to. */
export function storable(show: Show, shelf: string, held: FixtureValue): Value | null {
  if (shelf === 'combined' && held.value.kind === 'link') return { kind: 'link', palette: held.value.palette }
  const served = typedFixtures(show).get(held.fixture)
  return served ? resolveValue(show, served, held.attribute, held.value).value : null
}
