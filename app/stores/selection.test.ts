import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { workingSetId } from '#core/show/ids'
import { openStores } from '../../tests/support/openStores'
import { Desk } from '../../tests/support/smallShow'
import { useMessages } from './messages'
import { useSelection } from './selection'
import { useShow } from './show'
import { useWorkingSet } from './workingSet'

let desk: Desk
const numbers = (ids: readonly string[]) => ids.map((id) => desk.show.all.fixture.get(id)?.number)
const whole = () => numbers(useSelection().whole)
const worked = () => numbers(useSelection().fixtures)

beforeEach(() => {
  desk = new Desk()
  openStores(desk)
})

describe('a selection', () => {
  it('goes back and on through whatever was selected, whatever that was', () => {
    const entries = ['11', '12, 13', '11-14', '41', '14, 11']
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...entries), { minLength: 1, maxLength: 12 }), (chosen) => {
        openStores(desk)
        const selection = useSelection()
        const seen = chosen.map((entry) => {
          selection.set(desk.fixtures(entry))
          return whole()
        })
        for (const before of seen.slice(0, -1).reverse()) {
          selection.goBack()
          expect(whole()).toEqual(before)
        }
        for (const after of seen.slice(1)) {
          selection.goOn()
          expect(whole()).toEqual(after)
        }
        selection.goOn()
        expect(whole()).toEqual(seen.at(-1))
      }),
    )
  })

  it('takes in what is not all in yet, and lets go of what is', () => {
    const selection = useSelection()
    selection.set(desk.fixtures('11, 12'))
    selection.toggle(desk.fixtures('12, 13'))
    expect(whole()).toEqual([11, 12, 13])
    selection.toggle(desk.fixtures('11, 13'))
    expect(whole()).toEqual([12])
  })

  it('steps through the parts of a pattern, each once, and back to the whole', () => {
    const selection = useSelection()
    selection.set(desk.fixtures('11-14, 41'))
    selection.part({ kind: 'every', nth: 2 })
    const parts = selection.subsets.map(() => {
      const part = worked()
      selection.stepBy(1)
      return part
    })
    expect(parts.flat().sort()).toEqual([11, 12, 13, 14, 41])
    expect(selection.waiting.size).toBe(5 - worked().length)
    selection.backToWhole()
    expect([worked(), selection.waiting.size]).toEqual([[11, 12, 13, 14, 41], 0])
  })

  it('steps fixture by fixture, round both ways, where there is no pattern', () => {
    const selection = useSelection()
    selection.set(desk.fixtures('11-13'))
    selection.stepBy(-1)
    expect(worked()).toEqual([13])
    selection.stepBy(1)
    expect(worked()).toEqual([11])
    expect(whole()).toEqual([11, 12, 13])
  })

  it('keeps its pattern when it is ordered anew', () => {
    const selection = useSelection()
    selection.set(desk.fixtures('11-14'))
    selection.keepPattern({ kind: 'every', nth: 2 })
    selection.bringInto('reverse')
    expect(whole()).toEqual([14, 13, 12, 11])
    selection.stepBy(1)
    expect(worked()).toHaveLength(2)
  })

  it('loses who leaves the show, and gets them back when they return', () => {
    const selection = useSelection()
    selection.set(desk.fixtures('11, 12'))
    const before = desk.show
    desk.do('deleteFixtures', { fixtures: desk.fixtures('12') })
    useShow().confirmed = desk.show
    expect(whole()).toEqual([11])
    useShow().confirmed = before
    expect(selection.whole).toHaveLength(2)
  })

  it('stays inside the working set that is on, and says who was left out', () => {
    desk.do('recordWorkingSet', { name: 'Bar', fixtures: desk.fixtures('11-14'), workingSet: null })
    openStores(desk)
    const [set] = desk.show.all.workingSet.keys()
    useWorkingSet().turnOn(workingSetId.parse(set))
    useSelection().set(desk.fixtures('13, 41'))
    expect(whole()).toEqual([13])
    expect(useMessages().list.at(-1)?.text).toBe('1 fixture is outside the working set Bar.')
  })
})
