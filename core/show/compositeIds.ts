/** Ids of things that are what they are by what they join: made of its parts, so that each can stand but once. */

/** Where something is in a venue. */
export function placeId(venue: string, thing: string): string {
  return `${venue}.${thing}`
}

/** A cell of a fixture, counted from 1. */
export function cellId(bar: string, cell: number): string {
  return `${bar}.${cell}`
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

export function touchUpId(venue: string, palette: string, fixture: string): string {
  return `${venue}.${palette}.${fixture}`
}

export function passStepId(pass: string, palette: string): string {
  return `${pass}.${palette}`
}

export function passCheckId(pass: string, palette: string, fixture: string): string {
  return `${pass}.${palette}.${fixture}`
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

export function darkRuleId(list: string | null, cue: string | null, fixture: string | null, family: string | null) {
  return [list ?? 'cue', cue ?? 'all', fixture ?? 'all', family ?? 'all'].join('.')
}

/** A member of a group or a working set, or a fixture a person brings out. */
export function memberId(whole: string, fixture: string): string {
  return `${whole}.${fixture}`
}
