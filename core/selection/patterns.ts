/** Patterns: rules that part a selection into subsets one can step through, without losing the whole. */
import type { FixtureId, GroupId } from '../show/ids'
import type { Pattern, PlainPattern } from '../show/patterns'

/** A group as patterns see it. */
export interface PatternGroup {
  readonly members: readonly FixtureId[]
  readonly pattern: PlainPattern | null
}
export type PatternGroups = ReadonlyMap<GroupId, PatternGroup>

/** The subsets of a selection, in order; none is empty and each fixture is in exactly one. */
export function subsetsOf(by: Pattern, fixtures: readonly FixtureId[], groups: PatternGroups): FixtureId[][] {
  return parted(by, [...new Set(fixtures)], groups).filter((subset) => subset.length > 0)
}

function parted(by: Pattern, fixtures: readonly FixtureId[], groups: PatternGroups): FixtureId[][] {
  switch (by.kind) {
    case 'every':
      return Array.from({ length: by.nth }, (_, from) => fixtures.filter((_f, i) => i % by.nth === from))
    case 'runs':
      return Array.from({ length: Math.ceil(fixtures.length / by.length) }, (_, i) =>
        fixtures.slice(i * by.length, (i + 1) * by.length),
      )
    case 'parts':
      return splitInto(fixtures, by.count)
    case 'pairs':
      return pairsOf(fixtures)
    case 'single':
      return fixtures.map((id) => [id])
    case 'group':
      return byGroup(groups.get(by.group), fixtures, groups)
  }
}

/** The first parts are one longer where the number does not divide. */
function splitInto(fixtures: readonly FixtureId[], count: number): FixtureId[][] {
  const from = (part: number) => Math.ceil((part * fixtures.length) / count)
  return Array.from({ length: count }, (_, part) => fixtures.slice(from(part), from(part + 1)))
}

function pairsOf(fixtures: readonly FixtureId[]): FixtureId[][] {
  return Array.from({ length: Math.ceil(fixtures.length / 2) }, (_, i) => {
    const mirrored = fixtures.length - 1 - i
    return fixtures.filter((_f, at) => at === i || at === mirrored)
  })
}

function byGroup(group: PatternGroup | undefined, fixtures: readonly FixtureId[], groups: PatternGroups) {
  if (!group) return [[...fixtures]]
  const selected = new Set(fixtures)
  const inside = group.members.filter((id) => selected.has(id))
  const members = new Set(inside)
  const own = group.pattern ? parted(group.pattern, inside, groups) : [inside]
  return [...own, fixtures.filter((id) => !members.has(id))]
}

const ORDINALS = ['', '', '2nd', '3rd']

/** A pattern in words: "every 2nd", "runs of 3", "mirrored pairs". */
export function patternInWords(by: Pattern, nameOf: (group: GroupId) => string = () => 'a group'): string {
  switch (by.kind) {
    case 'every':
      return by.nth === 1 ? 'every one' : `every ${ORDINALS[by.nth] ?? `${by.nth}th`}`
    case 'runs':
      return `runs of ${by.length}`
    case 'parts':
      return by.count === 2 ? 'halves' : `${by.count} parts`
    case 'pairs':
      return 'mirrored pairs'
    case 'single':
      return 'one by one'
    case 'group':
      return `parts of ${nameOf(by.group)}`
  }
}
