/**
 * Keeping what was programmed for a group whole: which palettes and cues hold something for most
 * of its members and nothing for the others, and what those others would get.
 */
import { attributesInUse } from '../show/attributesKnown'
import { valuesByCue } from '../cues/tracking'
import { lentValue } from '../hand/lend'
import { contentsOf, palettesInOrder, storedFor } from '../palettes/resolve'
import type { Attribute } from '../attributes/attribute'
import { asCueId, type CueId, type FixtureId, type GroupId, type PaletteId } from '../show/ids'
import { membersOf, rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { givenBy, type Value } from '../show/values'

export type Holder = { readonly kind: 'palette'; readonly id: PaletteId } | { readonly kind: 'cue'; readonly id: CueId }

/** A value a member would get, after that of another member. */
export interface ExtendedValue {
  readonly fixture: FixtureId
  readonly like: FixtureId
  readonly attribute: Attribute
  readonly value: Value
}

/** What a palette or cue would get to hold for the members it leaves out. */
export interface Extension {
  readonly holder: Holder
  readonly values: readonly ExtendedValue[]
}

/** This part of a group's members must be held before a palette or cue counts as made for it. */
const MOST = 0.5

type Held = (fixture: RiggedFixture, attribute: Attribute) => Value | null

/** Everything made for a group that leaves out some of its members. */
export function extensionsOf(show: Show, group: GroupId): Extension[] {
  const rig = rigOf(show)
  const members = (membersOf(show).get(group) ?? []).flatMap((id) => rig.get(id) ?? [])
  const palettes = palettesInOrder(show).map(({ id }) => ({
    holder: { kind: 'palette', id } as const,
    values: extended(show, members, heldByPalette(show, id)),
  }))
  const cues = [...show.all.cue.keys()].map((id) => ({
    holder: { kind: 'cue', id: asCueId(id) } as const,
    values: extended(show, members, heldByCue(show, asCueId(id))),
  }))
  return [...palettes, ...cues].filter(({ values }) => values.length > 0)
}

/** Only what is held for single fixtures: a value for a type or for any serves new members anyway. */
function heldByPalette(show: Show, palette: PaletteId): Held {
  const own = contentsOf(show).get(palette)?.own
  return (fixture, attribute) =>
    own?.get(attribute)?.get(fixture.id)?.value ?? storedFor(show, palette, fixture, attribute)?.value ?? null
}

function heldByCue(show: Show, cue: CueId): Held {
  const values = new Map((valuesByCue(show).get(cue) ?? []).map((v) => [`${v.fixture} ${v.attribute}`, givenBy(v)]))
  return (fixture, attribute) => values.get(`${fixture.id} ${attribute}`) ?? null
}

function extended(show: Show, members: readonly RiggedFixture[], held: Held): ExtendedValue[] {
  return attributesInUse(show).flatMap((attribute) => {
    const able = members.filter(({ type }) => type.has.includes(attribute))
    const values = new Map(able.flatMap((fixture) => pairOf(fixture, held(fixture, attribute))))
    if (values.size < 2 || values.size < able.length * MOST) return []
    return able.flatMap((fixture, at) =>
      values.has(fixture) ? [] : (likeANeighbour(show, able, at, attribute, values) ?? []),
    )
  })
}

function pairOf<T>(fixture: RiggedFixture, value: T | null): [RiggedFixture, T][] {
  return value === null ? [] : [[fixture, value]]
}

/** The value of the nearest member in the group's order that can lend its own. */
function likeANeighbour(
  show: Show,
  members: readonly RiggedFixture[],
  at: number,
  attribute: Attribute,
  values: ReadonlyMap<RiggedFixture, Value>,
): ExtendedValue | null {
  const fixture = members[at]
  if (!fixture) return null
  const nearest = [...values].sort(([a], [b]) => distanceTo(members, at, a) - distanceTo(members, at, b))
  for (const [like, theirs] of nearest) {
    const value = lentValue(show, fixture, like, attribute, theirs)
    if (value) return { fixture: fixture.id, like: like.id, attribute, value }
  }
  return null
}

function distanceTo(members: readonly RiggedFixture[], at: number, other: RiggedFixture): number {
  return Math.abs(members.indexOf(other) - at)
}
