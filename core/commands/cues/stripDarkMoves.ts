/** Takes back everything that was said about moves in the dark in a list: all is live again. */
import { darkRulesOf } from '../../cues/darkRules'
import { darkRuleId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { command, done } from '../command'
import { cueListOf, noList, ofList } from '../shared/cueListOf'

export const stripDarkMoves = command({
  input: ofList,
  undoable: true,
  run(show, { list: id }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const draft = new Draft(show)
    for (const owner of [id, ...list.cues.map((cue) => cue.id)])
      for (const rule of darkRulesOf(show, owner))
        draft.remove('darkRule', darkRuleId(rule.list, rule.cue, rule.fixture, rule.family))
    return done(draft, `no dark moves in ${list.list.name}`)
  },
})
