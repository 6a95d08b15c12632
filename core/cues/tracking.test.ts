import { cueValueId } from '../show/compositeIds'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COMMAND_NAMES, RandomArguments, randomFrom } from '../../tests/support/randomCommands'
import { richDesk } from '../../tests/support/richShow'
import { seeds } from '../../tests/support/rounds'
import { PLAIN_TIMES } from '../../tests/support/smallShow'
import { PLAIN_LIST } from '../commands/cues/addCueList'
import { UNMARKED } from './marks'
import { Draft } from '../show/draft'
import { asCueId, asCueListId, asFixtureId, showId } from '../show/ids'
import { emptyShow } from '../show/show'
import { carrySheet } from './carrySheet'
import { listsInOrder, stateAt, timelineOf } from './tracking'

const FIXTURES = ['f1', 'f2', 'f3']
const list = asCueListId('l')
const cell = fc.option(fc.integer({ min: 0, max: 9 }), { nil: null })
const sheet = fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 12 })

/** A show with the cues of a sheet, entered in an order that is not theirs. */
function showOf(rows: readonly (readonly (number | null)[])[]) {
  const draft = new Draft(emptyShow(showId.parse('s')))
  draft.put('cueList', list, { ...PLAIN_LIST, number: 1, name: 'Main' })
  for (const [i, row] of [...rows.entries()].reverse()) {
    const cue = asCueId(`c${i}`)
    draft.put('cue', cue, { list, number: i + 1, name: '', note: '', quiet: false, ...PLAIN_TIMES })
    row.forEach((level, f) => {
      const fixture = asFixtureId(FIXTURES[f] ?? '')
      if (level === null) return
      const value = { kind: 'number', number: level / 10 } as const
      draft.put('cueValue', cueValueId(cue, fixture, 'intensity'), {
        cue,
        fixture,
        attribute: 'intensity',
        value,
        ...UNMARKED,
      })
    })
  }
  return draft.result()
}

describe('tracking', () => {
  it('holds at every cue the latest value at or before it', () => {
    fc.assert(
      fc.property(sheet, (rows) => {
        const show = showOf(rows)
        const ordered = listsInOrder(show)[0]
        if (!ordered) throw new Error('no list')
        const carried = carrySheet(show, list, 'intensity')
        rows.forEach((row, i) => {
          const state = stateAt(show, ordered, asCueId(`c${i}`))
          FIXTURES.forEach((fixture, f) => {
            const latest = rows.slice(0, i + 1).findLast((r) => r[f] !== null)?.[f]
            const held = state.get(`${fixture} intensity`)?.value
            expect(held).toEqual(latest == null ? undefined : { kind: 'number', number: latest / 10 })
            const point = carried.point(i, asFixtureId(fixture))
            const how = point && (point.at === i ? 'set' : 'carried')
            expect(how).toBe(row[f] !== null ? 'set' : latest == null ? null : 'carried')
          })
        })
      }),
    )
  })
})

it('is the same worked out change by change as worked out at once, and keeps what nothing changed of', () => {
  for (const seed of seeds(3)) {
    const random = randomFrom(seed)
    const desk = richDesk().copy()
    for (let i = 0; i < 60; i++) {
      const args = new RandomArguments(desk.show, [desk.show], random)
      const name = args.pick(COMMAND_NAMES)
      const before = desk.show
      if (!name || !desk.ask(name, args.forCommand(name))) continue
      // A show whose cues nobody has seen before is worked out at once.
      const fresh = { ...desk.show, all: { ...desk.show.all, cue: new Map(desk.show.all.cue) } }
      for (const { id } of listsInOrder(desk.show)) {
        const [grown, anew] = [timelineOf(desk.show, id), timelineOf(fresh, id)]
        expect(new Map([...grown].sort())).toEqual(new Map([...anew].sort()))
        if (before.all.cue !== desk.show.all.cue) continue
        for (const [key, points] of timelineOf(before, id)) {
          const isSame = points.every(({ stored }, at) => grown.get(key)?.[at]?.stored === stored)
          if (isSame && grown.get(key)?.length === points.length) expect(grown.get(key)).toBe(points)
        }
      }
    }
  }
})
