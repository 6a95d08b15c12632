/**
 * Whom recorded values serve. A value that says the same for everybody may serve any fixture, one
 * that says the same for a type serves the type, the rest serve the very fixture. What cannot be
 * said so widely falls back to the next narrower reach.
 */
import { group } from 'd3-array'
import { typeIdOf } from '../show/cells'
import { paletteValueId } from '../show/compositeIds'
import equal from 'fast-deep-equal'
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import type { Draft } from '../show/draft'
import { kindOf, type Attribute } from '../attributes/attribute'
import type { FixtureId, FixtureTypeId, PaletteId } from '../show/ids'
import { lookOf } from '../show/colours'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import type { Value } from '../show/values'
import { contentsOf } from './resolve'
import type { FixtureValue } from '../show/fixtureValue'

export const REACHES = ['usual', 'own', 'kind', 'any'] as const
/** `usual` is what an attribute's family is commonly wanted for. */
export type Reach = (typeof REACHES)[number]
type Width = Exclude<Reach, 'usual'>

export type Whom = { readonly own: FixtureId } | { readonly kind: FixtureTypeId } | 'any'

/** A value as a palette holds it. */
export interface ReachingValue {
  readonly whom: Whom
  readonly attribute: Attribute
  readonly value: Value
}

/** Angles and links mean something to their own fixture only; a place or a pool is the same to all, parts to their type. */
function usualWidth({ attribute, value }: FixtureValue): Width {
  if (value.kind === 'angles' || value.kind === 'link') return 'own'
  if (value.kind === 'parts') return 'kind'
  return value.kind === 'pool' ? 'any' : (kindOf(attribute).serves ?? 'own')
}

/** A value without what belongs to one fixture: the way round it was turned. */
function shared(value: Value): Value {
  return value.kind === 'aim' ? { ...value, choice: null } : value
}

/** What a palette would hold for these values. */
export function reaching(show: Show, values: readonly FixtureValue[], reach: Reach): ReachingValue[] {
  const placed: ReachingValue[] = []
  for (const ofAttribute of group(values, ({ attribute }) => attribute).values()) {
    const [first] = ofAttribute
    if (!first) continue
    placed.push(...reachingOf(show, ofAttribute, reach === 'usual' ? usualWidth(first) : reach))
  }
  return placed
}

function reachingOf(show: Show, values: readonly FixtureValue[], width: Width): ReachingValue[] {
  if (width === 'own') return values.map(own)
  const common = width === 'any' ? commonOf(values.map((one) => forAny(show, one))) : null
  if (common) return [{ whom: 'any', ...common }, ...turnedOtherwise(show, values)]
  return [...group(values, ({ fixture }) => typeIdOf(show, fixture))].flatMap(([type, ofType]) => {
    const alike = type === null ? null : commonOf(ofType)
    if (type === null || !alike) return ofType.map(own)
    return [{ whom: { kind: type }, ...alike }, ...turnedOtherwise(show, ofType)]
  })
}

const own = ({ fixture, attribute, value }: FixtureValue): ReachingValue => ({
  whom: { own: fixture },
  attribute,
  value,
})

/** Parts that mix a colour mean nothing to other types: for any they are what they look like. */
function forAny(show: Show, recorded: FixtureValue): FixtureValue {
  const { fixture, value } = recorded
  const type = rigOf(show).get(fixture)?.type
  return type && value.kind === 'parts' ? { ...recorded, value: lookOf(type, value) } : recorded
}

/** What all of them say, if they say the same. */
function commonOf(values: readonly FixtureValue[]): { attribute: Attribute; value: Value } | null {
  const [first] = values
  if (!first) return null
  const value = shared(first.value)
  return values.every((other) => equal(shared(other.value), value)) ? { attribute: first.attribute, value } : null
}

/** Aims that were turned another way round than they would be by themselves keep it as their own. */
function turnedOtherwise(show: Show, values: readonly FixtureValue[]): ReachingValue[] {
  return values
    .filter(({ fixture, value }) => {
      const rigged = rigOf(show).get(fixture)
      const place = value.kind === 'aim' && value.choice ? aimPoint(targetsOf(show), value) : null
      if (!rigged || !place || value.kind !== 'aim') return false
      return solveAim(rigged.mount, place, { reference: HOME }).side !== value.choice?.side
    })
    .map(own)
}

/**
 * Writes values into a palette. Merging lays them over what is there: what would hide them from the
 * fixtures they come from gives way, or, where it serves others too, is passed by with a value of
 * their own. Replacing takes out everything else that `replace` lets through.
 */
export function putReaching(
  show: Show,
  draft: Draft,
  palette: PaletteId,
  values: readonly ReachingValue[],
  how: { readonly merge: readonly FixtureValue[] } | { readonly replace: (attribute: Attribute) => boolean },
): void {
  const ids = new Set(values.map(({ whom, attribute }) => paletteValueId(palette, attribute, whom)))
  if ('replace' in how) {
    for (const [id, stored] of show.all.paletteValue)
      if (stored.palette === palette && !ids.has(id) && how.replace(stored.attribute)) draft.remove('paletteValue', id)
  }
  const beside = 'merge' in how ? hideNothing(show, draft, palette, how.merge, ids) : []
  for (const { whom, attribute, value } of [...values, ...beside])
    draft.put('paletteValue', paletteValueId(palette, attribute, whom), {
      palette,
      fixture: whom !== 'any' && 'own' in whom ? whom.own : null,
      fixtureType: whom !== 'any' && 'kind' in whom ? whom.kind : null,
      attribute,
      value,
    })
}

/** Takes out values of the very fixtures that would hide wider ones; returns those to be put beside values for their type. */
function hideNothing(
  show: Show,
  draft: Draft,
  palette: PaletteId,
  merged: readonly FixtureValue[],
  written: ReadonlySet<string>,
): ReachingValue[] {
  const contents = contentsOf(show).get(palette)
  return merged.flatMap((recorded) => {
    const { fixture, attribute } = recorded
    const ownId = paletteValueId(palette, attribute, { own: fixture })
    if (written.has(ownId)) return []
    const type = typeIdOf(show, fixture) ?? ''
    const isHidden =
      contents?.kind.get(attribute)?.has(type) === true &&
      !written.has(paletteValueId(palette, attribute, { kind: type }))
    if (isHidden) return [own(recorded)]
    if (contents?.own.get(attribute)?.has(fixture)) draft.remove('paletteValue', ownId)
    return []
  })
}
