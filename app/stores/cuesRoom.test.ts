import { beforeEach, describe, expect, it } from 'vitest'
import { useSheetChoice } from '../composables/sheet/useSheetChoice'
import { useSheetColumns } from '../composables/sheet/useSheetColumns'
import { openStores } from '../../tests/support/openStores'
import { Desk, PLAIN_TIMES } from '../../tests/support/smallShow'
import { SHEET_ZOOMS, useCuesRoom } from './cuesRoom'

const NO_MODIFIERS = { ctrlKey: false, metaKey: false, altKey: false }
let desk: Desk
const cue = (number: number, list = 1) => desk.choose.cue(list, number)
const lookedAt = () => useCuesRoom().cue?.cue.number

beforeEach(() => {
  desk = new Desk()
  desk.do('addCueList', { number: 2, name: 'Side', intensityRule: 'latest' })
  for (const list of [1, 2])
    for (const number of [1, 2, 3]) {
      desk.aim('11', 'Bow', { x: number / 10, y: list, z: 0 })
      desk.do('recordCue', { list: desk.choose.list(list), number, name: '', ...PLAIN_TIMES })
    }
  desk.go(2)
  openStores(desk)
})

describe('the Cues room', () => {
  it('looks at the cue on stage, until another is looked at; in another list it begins anew', () => {
    const room = useCuesRoom()
    expect(lookedAt()).toBe(2)
    room.look(cue(3))
    expect(lookedAt()).toBe(3)
    room.find(cue(1, 2))
    expect([room.list?.list.name, lookedAt()]).toEqual(['Side', 1])
    room.lookAtList(desk.choose.list(1))
    expect(lookedAt()).toBe(2)
  })

  it('comes nearer and goes further off, and stops at both ends', () => {
    const room = useCuesRoom()
    for (let i = 0; i < 9; i++) room.zoomBy(1)
    expect(room.size).toBe(SHEET_ZOOMS.at(-1))
    for (let i = 0; i < 9; i++) room.zoomBy(-1)
    expect(room.size).toBe(SHEET_ZOOMS[0])
  })
})

describe('the columns of the sheet', () => {
  const columns = (entry: string) =>
    useSheetColumns(
      () => desk.show,
      () => 14,
      () => entry,
    )
  it('stand by hang in order of number, with names that have room', () => {
    const { columns: all, hangs, width } = columns('').laid.value
    expect(all.map(({ number }) => number)).toEqual(['11', '12', '13', '14', '41'])
    expect(hangs.map(({ name }) => name)).toEqual(['Bar', 'Boom'])
    expect(hangs[1]?.x).toBeGreaterThan((all[3]?.x ?? 0) + 14)
    expect(width).toBeGreaterThan(all[4]?.x ?? 0)
  })
  it('are those that are typed, and say what they do not understand', () => {
    expect(columns('12-13').laid.value.columns.map(({ number }) => number)).toEqual(['12', '13'])
    expect(columns('Nowhere').trouble.value).toMatch(/Nowhere/)
    expect(columns('Nowhere').laid.value.columns).toHaveLength(5)
  })
})

describe('choosing cells', () => {
  /** A sheet whose rows are the cues and whose columns are the fixtures of the bar. */
  function sheet() {
    const room = useCuesRoom()
    const revealed: number[] = []
    const { laid } = useSheetColumns(
      () => desk.show,
      () => 14,
      () => '',
    )
    const choice = useSheetChoice(
      () => room.list?.cues ?? [],
      () => laid.value.columns,
      () => null,
      (row) => revealed.push(row),
    )
    const press = (key: string, shiftKey = false) => {
      const event = new Event('keydown', { cancelable: true })
      choice.keyed(Object.assign(event, { ...NO_MODIFIERS, key, shiftKey }))
      return event.defaultPrevented
    }
    const chosen = () => [
      room.cells?.cues.map((id) => desk.show.all.cue.get(id)?.number),
      room.cells?.fixtures.map((id) => desk.show.all.fixture.get(id)?.number),
    ]
    return { press, chosen, revealed }
  }

  it('begins at the cue looked at, goes on by arrows, and grows with Shift both ways', () => {
    const { press, chosen, revealed } = sheet()
    expect(press('ArrowDown')).toBe(false)
    expect(press('ArrowRight')).toBe(true)
    expect(chosen()).toEqual([[2], [11]])
    press('ArrowRight')
    expect(chosen()).toEqual([[2], [12]])
    press('ArrowDown', true)
    press('ArrowRight', true)
    expect(chosen()).toEqual([
      [2, 3],
      [12, 13],
    ])
    press('ArrowUp', true)
    press('ArrowUp', true)
    press('ArrowLeft', true)
    press('ArrowLeft', true)
    expect(chosen()).toEqual([
      [1, 2],
      [11, 12],
    ])
    press('ArrowUp')
    press('ArrowLeft')
    expect([chosen(), revealed.at(-1)]).toEqual([[[1], [11]], 0])
  })
})
