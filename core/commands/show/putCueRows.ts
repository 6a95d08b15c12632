/** Cues of a table: palettes recalled as links and levels, for fixtures a row names or its palettes serve. */
import { group } from 'd3-array'
import { LEADING } from '../../attributes/catalogue'
import type { Attribute } from '../../attributes/attribute'
import { putCueValue } from '../../cues/marks'
import { listsInOrder } from '../../cues/tracking'
import { attributesServed } from '../../palettes/resolve'
import { servedBy } from '../../palettes/use'
import type { Draft } from '../../show/draft'
import type { Cue } from '../../show/entities'
import { cueId, cueListId, type CueId, type CueListId, type FixtureId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { refuse, type Environment, type Outcome } from '../command'
import { PLAIN_LIST } from '../cues/addCueList'
import { cueListOf, noList } from '../shared/cueListOf'
import { fixturesCalled, paletteCalled, type CueRow } from '../shared/tableRows'

type NewId = Environment['newId']
type Content = Parameters<typeof putCueValue>[1]['value']

export function putCueRows(
  draft: Draft,
  rows: readonly CueRow[],
  list: CueListId | null,
  newId: NewId,
): Outcome | null {
  if (rows.length === 0) return null
  const show = draft.result()
  if (list !== null && !cueListOf(show, list)) return noList()
  const first = list ?? listsInOrder(show)[0]?.id ?? null
  const taken = new Map(
    (first === null ? [] : (cueListOf(show, first)?.cues ?? [])).map(({ cue }) => [cue.number, cue]),
  )
  const into = first ?? newList(draft, newId)
  for (const [number, ofCue] of group(rows, (row) => row.number)) {
    const known = taken.get(number)
    if (known) return refuse('number taken', { kind: 'cue', number, by: known.name }, 'cues')
    const id = cueId.parse(newId())
    draft.put('cue', id, { list: into, number, ...saidOf(ofCue) })
    for (const row of ofCue) {
      const refusal = putRow(show, draft, id, row)
      if (refusal) return refusal
    }
  }
  return null
}

function newList(draft: Draft, newId: NewId): CueListId {
  const id = cueListId.parse(newId())
  draft.put('cueList', id, { ...PLAIN_LIST, number: 1, name: 'Cues' })
  return id
}

/** Each is of the first row that says it. */
function saidOf(rows: readonly CueRow[]): Omit<Cue, 'list' | 'number'> {
  const time = rows.find((row) => row.time !== null)?.time ?? 0
  const name = rows.find((row) => row.name !== '')?.name ?? ''
  const note = rows.find((row) => row.note !== '')?.note ?? ''
  return { name, note, rise: time, fall: time, move: null, delay: 0, follow: 'wait', travel: null, quiet: false }
}

/** What a later row or palette sets takes the place of what an earlier one did. */
function putRow(show: Show, draft: Draft, cue: CueId, row: CueRow): Outcome | null {
  const line = `cue ${row.number}`
  const chosen = row.fixtures === null ? null : fixturesCalled(show, row.fixtures)
  if (chosen && !chosen.ok) return refuse('fixtures of a line', { line, why: chosen.message })
  const put = (fixture: FixtureId, attribute: Attribute, value: Content) =>
    putCueValue(draft, { cue, fixture, attribute, value })
  const lit = new Set<FixtureId>(chosen?.fixtures ?? [])
  for (const text of row.palettes) {
    const palette = paletteCalled(show, text)
    if (palette === null) return refuse('unknown in a line', { line, kind: 'palette', name: text })
    for (const fixture of chosen?.fixtures ?? servedBy(show, palette).map(({ id }) => id)) {
      lit.add(fixture)
      const rigged = rigOf(show).get(fixture)
      for (const attribute of rigged ? attributesServed(show, palette, rigged) : [])
        put(fixture, attribute, { kind: 'link', palette })
    }
  }
  if (row.level === null) return null
  if (lit.size === 0) return refuse('fixtures of a line', { line, why: 'say which fixtures have that level.' })
  for (const fixture of lit)
    if (rigOf(show).get(fixture)?.type.has.includes(LEADING.light))
      put(fixture, LEADING.light, { kind: 'number', number: row.level })
  return null
}
