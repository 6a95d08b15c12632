/** Takes the light of some fixtures away before a cue, so that they move in the dark, and gives it back in it. */
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { lightsOf } from '../../cues/darkness'
import { darkMovesOf } from '../../cues/darkMoves'
import { putCueValue } from '../../cues/marks'
import { placeOfCue, stateAtPlace } from '../../cues/tracking'
import { cueValueId, darkRuleId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { cue as cueSchema } from '../../show/entities'
import { cueId, type CueId, type CueListId } from '../../show/ids'
import { rigOf, type RiggedFixture } from '../../show/rig'
import { showRecordOf, type Show } from '../../show/show'
import { command, done, refuse } from '../command'
import { cueListOf, noCue } from '../shared/cueListOf'
import { numberBetween } from '../shared/cueNumbers'
import { fixtures as fixturesAsked } from '../shared/fixtureChoice'
import { gone } from '../shared/refusals'
import { fixturesInWords } from '../shared/wording'

/** Longer than any move: how long it has to be is worked out from what then moves. */
const LONG_ENOUGH = 600

export const insertDarkMoment = command({
  input: z.strictObject({
    cue: cueId,
    fixtures: fixturesAsked,
    /** Seconds in which the light goes. */
    out: cueSchema.shape.fall,
  }),
  undoable: true,
  run(show, { cue, fixtures, out }, { newId }) {
    const place = placeOfCue(show, cue)
    if (!place) return noCue()
    if (fixtures.some((fixture) => !rigOf(show).has(fixture))) return gone('fixture', 'fixtures')
    const [before, record] = [place.list.cues[place.at - 1], place.list.cues[place.at]?.cue]
    if (!before || !record) return refuse('at the start', { list: place.list.list.name }, 'cue')
    const number = numberBetween(before.cue.number, record.number)
    if (number === null) return refuse('no number between', { before: before.cue.number, after: record.number }, 'cue')
    const id = cueId.parse(newId())
    const heads = headsOf(show, fixtures)
    const draft = new Draft(show)
    const times = { rise: LONG_ENOUGH, fall: out, move: null, delay: 0, follow: record.follow, travel: null }
    draft.put('cue', id, { list: place.list.id, number, name: 'A moment dark', note: '', quiet: false, ...times })
    draft.set('cue', cue, 'follow', 'after')
    for (const head of heads) {
      draft.put('darkRule', darkRuleId(null, cue, head.id, null), {
        ...{ list: null, cue, fixture: head.id, family: null, when: 'in cue', inCue: id },
      })
      takeLight(show, draft, head, id, cue)
    }
    const needs = longestNeed(draft.result(), place.list.id, heads, cue)
    const seconds = Math.ceil((out + 2 * showRecordOf(show).darkMargin + needs) * 10) / 10
    draft.set('cue', id, 'rise', seconds)
    return done(draft, `a moment dark for ${fixturesInWords(show, fixtures)} before cue ${record.number}`)
  },
})

/** Those that turn: cells turn with their bar. */
function headsOf(show: Show, fixtures: readonly string[]): readonly RiggedFixture[] {
  return [...new Set([...rigOf(show).values()].flatMap((one) => (fixtures.includes(one.id) ? [one.bar ?? one] : [])))]
}

/** The light goes in one cue, and is in the next what it would have been there. */
function takeLight(show: Show, draft: Draft, head: RiggedFixture, dark: CueId, next: CueId) {
  const place = placeOfCue(show, next)
  if (!place) return
  const state = stateAtPlace(show, place.list.id, place.at)
  for (const fixture of lightsOf(show, head)) {
    const stored = state.get(`${fixture} ${LEADING.light}`)
    if (!stored) continue
    const attribute = LEADING.light
    putCueValue(draft, { cue: dark, fixture, attribute, value: { kind: 'number', number: 0 } })
    if (!show.all.cueValue.has(cueValueId(next, fixture, attribute)))
      putCueValue(draft, { cue: next, fixture, attribute, value: stored.value })
  }
}

/** Seconds the slowest of some heads needs in the dark for a cue. */
function longestNeed(show: Show, id: CueListId, heads: readonly RiggedFixture[], cue: string): number {
  const list = cueListOf(show, id)
  const moves = list ? heads.flatMap((head) => darkMovesOf(show, list, head)) : []
  return Math.max(0, ...moves.filter((move) => move.cue === cue).map(({ needs }) => needs))
}
