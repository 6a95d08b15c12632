/** Which rule says when what a fixture needs in a cue is brought into place: the narrowest. */
import { group } from 'd3-array'
import type { Family } from '../attributes/families'
import { derived } from '../show/derived'
import type { DarkRule } from '../show/entities'
import type { CueId, CueListId, FixtureId } from '../show/ids'
import { showRecordOf, type ShowPart } from '../show/show'
import { placeOfCue } from './tracking'

/** When something is brought into place: in the dark before, or live as the light comes. */
export type DarkChoice = { readonly when: 'early' | 'late' | 'live' } | { readonly when: 'in cue'; readonly cue: CueId }

const rulesByOwner = derived(['darkRule'], (show): ReadonlyMap<string, readonly DarkRule[]> =>
  group(show.all.darkRule.values(), ({ list, cue }) => cue ?? list ?? ''),
)

const NONE: readonly DarkRule[] = []

/** The rules that are said for a list, or for a cue. */
export function darkRulesOf(show: ShowPart<'darkRule'>, owner: string): readonly DarkRule[] {
  return rulesByOwner(show).get(owner) ?? NONE
}

/** Whether anything of a list is to move in the dark. */
export function hasDarkMoves(show: ShowPart<'darkRule' | 'cue' | 'cueList'>, list: CueListId): boolean {
  if (show.all.darkRule.size === 0) return false
  return [...rulesByOwner(show)].some(
    ([owner, rules]) =>
      (owner === list || placeOfCue(show, owner)?.list.id === list) && rules.some(({ when }) => when !== 'live'),
  )
}

/** A rule for a fixture is narrower than one for a family. */
const width = ({ fixture, family }: DarkRule) => (fixture === null ? 2 : 0) + (family === null ? 1 : 0)

/** What counts for a family of some fixtures, a cell and its bar, in a cue of a list; null where nothing is said. */
export function darkChoiceOf(
  show: ShowPart<'darkRule' | 'show'>,
  { list, cue }: { readonly list: CueListId; readonly cue: CueId },
  fixtures: readonly FixtureId[],
  family: Family,
): DarkChoice | null {
  const fits = (rule: DarkRule) =>
    (rule.family === null || rule.family === family) && (rule.fixture === null || fixtures.includes(rule.fixture))
  const narrowest = (rules: readonly DarkRule[]) =>
    rules.filter(fits).reduce<DarkRule | null>((best, rule) => (best && width(best) <= width(rule) ? best : rule), null)
  const rule = narrowest(darkRulesOf(show, cue)) ?? narrowest(darkRulesOf(show, list))
  if (!rule) return null
  if (rule.when === 'in cue') return rule.inCue === null ? null : { when: 'in cue', cue: rule.inCue }
  return { when: rule.when === 'planned' ? showRecordOf(show).darkWhen : rule.when }
}
