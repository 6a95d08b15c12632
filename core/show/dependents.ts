/** What leans on a thing: what would break, or lose something, if it went. */
import type { CueId, FixtureId, GroupId, PaletteId } from './ids'
import type { Show } from './show'
import type { CueContent } from './values'
import { counted } from './counted'
import { listInWords } from './listInWords'

export interface Dependents {
  readonly groups: readonly GroupId[]
  readonly palettes: readonly PaletteId[]
  readonly cues: readonly CueId[]
  /** Values people have in hand. */
  readonly inHand: number
}

/** What holds something for any of these fixtures. */
export function dependentsOfFixtures(show: Show, fixtures: ReadonlySet<FixtureId>): Dependents {
  const groups = [...show.all.groupMember.values()].filter((m) => fixtures.has(m.fixture)).map((m) => m.group)
  const palettes = [...show.all.paletteValue.values()]
    .filter((v) => v.fixture !== null && fixtures.has(v.fixture))
    .map((v) => v.palette)
  const cues = [...show.all.cueValue.values()].filter((v) => fixtures.has(v.fixture)).map((v) => v.cue)
  const inHand = [...show.all.handValue.values()].filter((v) => fixtures.has(v.fixture)).length
  return { groups: unique(groups), palettes: unique(palettes), cues: unique(cues), inHand }
}

/** What aims at a target. */
export function dependentsOfTarget(show: Show, target: string): Dependents {
  const isAimed = ({ value }: { readonly value: CueContent }) => value.kind === 'aim' && value.target === target
  return {
    groups: [],
    palettes: unique([...show.all.paletteValue.values()].filter(isAimed).map((v) => v.palette)),
    cues: unique([...show.all.cueValue.values()].filter(isAimed).map((v) => v.cue)),
    inHand: [...show.all.handValue.values()].filter(isAimed).length,
  }
}

function unique<T>(ids: readonly T[]): T[] {
  return [...new Set(ids)]
}

const count = (n: number, one: string, many: string) => (n === 0 ? [] : [counted(n, one, many)])

/** "2 groups, 3 palettes and 14 cues"; empty when nothing leans. */
export function dependentsInWords({ groups, palettes, cues, inHand }: Dependents): string {
  const parts = [
    ...count(groups.length, 'group', 'groups'),
    ...count(palettes.length, 'palette', 'palettes'),
    ...count(cues.length, 'cue', 'cues'),
    ...count(inHand, 'value in hand', 'values in hand'),
  ]
  return listInWords(parts)
}

/** Names the cues for a warning: "1, 2, 14.5 and 9 more". */
export function cueNumbersInWords(show: Show, cues: readonly CueId[], most = 12): string {
  const numbers = cues.flatMap((id) => show.all.cue.get(id)?.number ?? []).sort((a, b) => a - b)
  const rest = numbers.length - most
  return rest > 0 ? `${numbers.slice(0, most).join(', ')} and ${rest} more` : numbers.join(', ')
}
