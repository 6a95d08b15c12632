/** Ids of things that are what they are by what they join: made of its parts, so that each can stand but once. */
import type { EntityOf, Kind } from './entities'

/** Where something is in a venue. */
export function placeId(venue: string, thing: string): string {
  return `${venue}.${thing}`
}

export function paletteValueId(
  palette: string,
  attribute: string,
  serves: { own: string } | { kind: string } | 'any',
): string {
  if (serves === 'any') return `${palette}.any.${attribute}`
  return 'own' in serves ? `${palette}.own.${serves.own}.${attribute}` : `${palette}.kind.${serves.kind}.${attribute}`
}

export function recordedFixtureId(palette: string, fixture: string): string {
  return `${palette}.${fixture}`
}

export function handValueId(person: string, fixture: string, attribute: string): string {
  return `${person}.${fixture}.${attribute}`
}

export function cueValueId(cue: string, fixture: string, attribute: string): string {
  return `${cue}.${fixture}.${attribute}`
}

export function cueTimeId(cue: string, fixture: string | null, family: string | null): string {
  return `${cue}.${fixture ?? 'all'}.${family ?? 'all'}`
}

/** A member of a group or a working set, or a fixture a person brings out. */
export function memberId(whole: string, fixture: string): string {
  return `${whole}.${fixture}`
}

const COMPOSITE: { readonly [K in Kind]?: (entity: EntityOf[K]) => string } = {
  hangPlace: ({ venue, hang }) => placeId(venue, hang),
  fixturePlace: ({ venue, fixture }) => placeId(venue, fixture),
  setPiecePlace: ({ venue, setPiece }) => placeId(venue, setPiece),
  targetPlace: ({ venue, target }) => placeId(venue, target),
  groupMember: ({ group, fixture }) => memberId(group, fixture),
  workingSetMember: ({ workingSet, fixture }) => memberId(workingSet, fixture),
  highlighted: ({ person, fixture }) => memberId(person, fixture),
  recordedFixture: ({ palette, fixture }) => recordedFixtureId(palette, fixture),
  paletteSpread: ({ palette }) => palette,
  paletteValue: ({ palette, fixture, fixtureType, attribute }) =>
    paletteValueId(palette, attribute, fixture ? { own: fixture } : fixtureType ? { kind: fixtureType } : 'any'),
  handValue: ({ person, fixture, attribute }) => handValueId(person, fixture, attribute),
  cueValue: ({ cue, fixture, attribute }) => cueValueId(cue, fixture, attribute),
  cueTime: ({ cue, fixture, family }) => cueTimeId(cue, fixture, family),
}

/** The id that a thing's parts make; undefined for kinds whose ids are free. */
export function idMadeOf<K extends Kind>(kind: K, entity: EntityOf[K]): string | undefined {
  return COMPOSITE[kind]?.(entity)
}

/** Whether an id is the one that a thing's parts make; so for kinds whose ids are free. */
export function hasItsId<K extends Kind>(kind: K, id: string, entity: EntityOf[K]): boolean {
  return (idMadeOf(kind, entity) ?? id) === id
}
