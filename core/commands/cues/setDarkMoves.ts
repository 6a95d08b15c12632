/** Says when what some fixtures need in some cues is brought into place in the dark, and which families stay live; null says it no longer. */
import { z } from 'zod'
import { FAMILIES } from '../../attributes/families'
import { darkRuleId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { darkRule } from '../../show/entities'
import { cueListId } from '../../show/ids'
import type { Show } from '../../show/show'
import { listInWords } from '../../show/listInWords'
import { command, done, refuse, type Outcome } from '../command'
import { cues, cuesInWords } from '../shared/chosenCues'
import { cueListOf, noCue, noList } from '../shared/cueListOf'
import { fixtureChoice } from '../shared/fixtureChoice'
import { gone } from '../shared/refusals'

const WORDS = {
  planned: 'planned',
  early: 'early',
  late: 'late',
  'in cue': 'in a cue of their own',
  live: 'none, all stays live',
} as const

/** What can move in the dark. */
const movingFamily = z.enum(FAMILIES).exclude(['intensity'])

const input = z.strictObject({
  list: cueListId,
  /** Null for the list as a whole. */
  cues: cues.nullable(),
  fixtures: fixtureChoice,
  when: darkRule.shape.when.nullable(),
  inCue: darkRule.shape.inCue,
  /** What of it stays live on purpose. */
  live: z.array(movingFamily),
})

export const setDarkMoves = command({
  input,
  undoable: true,
  run(show, asked) {
    const { list: id, cues: ids, fixtures, when, live } = asked
    const list = cueListOf(show, id)
    if (!list) return noList()
    const refusal = whyNot(show, asked)
    if (refusal) return refusal
    const draft = new Draft(show)
    for (const cue of ids ?? [null])
      for (const fixture of fixtures ?? [null])
        for (const family of [null, ...movingFamily.options]) {
          const of = { ...(cue === null ? { list: id, cue } : { list: null, cue }), fixture, family }
          const rule = darkRuleId(of.list, of.cue, fixture, family)
          const said = saidOf(asked, family)
          if (said) draft.put('darkRule', rule, { ...of, ...said })
          else draft.remove('darkRule', rule)
        }
    const where = ids ? cuesInWords(show, ids) : list.list.name
    const besides = when !== null && live.length > 0 ? `, ${listInWords(live)} live` : ''
    return done(draft, `dark moves of ${where}: ${when === null ? 'as before' : WORDS[when]}${besides}`)
  },
})

type Asked = z.infer<typeof input>

/** What the rule for a family says, null for all of them; null where there is none. */
function saidOf({ when, inCue, live }: Asked, family: Asked['live'][number] | null) {
  if (when === null) return null
  if (family !== null) return live.includes(family) ? ({ when: 'live', inCue: null } as const) : null
  return { when, inCue: when === 'in cue' ? inCue : null }
}

function whyNot({ all }: Show, { list, cues: ids, fixtures, when, inCue }: Asked): Outcome | null {
  if (ids?.some((cue) => !all.cue.has(cue))) return noCue()
  if (fixtures?.some((fixture) => !all.fixture.has(fixture))) return gone('fixture', 'fixtures')
  if (ids?.some((cue) => all.cue.get(cue)?.list !== list)) return refuse('other list', {}, 'cues')
  if (when === 'in cue' && all.cue.get(inCue ?? '')?.list !== list) return refuse('other list', {}, 'inCue')
  return null
}
