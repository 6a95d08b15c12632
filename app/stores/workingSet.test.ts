import { beforeEach, describe, expect, it } from 'vitest'
import { asWorkingSetId } from '#core/show/ids'
import { openStores } from '../../tests/support/openStores'
import { Desk } from '../../tests/support/smallShow'
import { useMessages } from './messages'
import { useSelection } from './selection'
import { useShow } from './show'
import { useWorkingSet } from './workingSet'

let desk: Desk
const numbers = () => useSelection().fixtures.map((id) => desk.show.all.fixture.get(id)?.number)
const front = () => asWorkingSetId([...desk.show.all.workingSet.keys()][0] ?? '')

beforeEach(() => {
  desk = new Desk()
  desk.do('recordWorkingSet', { name: 'Front', fixtures: desk.fixtures('11, 12'), workingSet: null })
  openStores(desk)
})

describe('a working set that is on', () => {
  it('shuts out what is not in it, and says how many', () => {
    const set = useWorkingSet()
    expect([set.current, set.isIn(desk.fixture(13))]).toEqual([null, true])
    set.turnOn(front())
    expect([set.name, set.isIn(desk.fixture(11)), set.isIn(desk.fixture(13))]).toEqual(['Front', true, false])
    useSelection().set(desk.fixtures('11-13'))
    expect(numbers()).toEqual([11, 12])
    expect(useMessages().list.at(-1)?.text).toBe('1 fixture is outside the working set Front.')
    set.turnOff()
    useSelection().set(desk.fixtures('11-13'))
    expect(numbers()).toEqual([11, 12, 13])
  })

  it('is off once somebody takes it out of the show, and on again when that is undone', () => {
    const set = useWorkingSet()
    set.turnOn(front())
    const before = desk.show
    desk.do('deleteWorkingSet', { workingSet: front() })
    useShow().confirmed = desk.show
    expect([set.current, set.isIn(desk.fixture(13))]).toEqual([null, true])
    useShow().confirmed = before
    expect([set.name, set.isIn(desk.fixture(13))]).toEqual(['Front', false])
  })
})
