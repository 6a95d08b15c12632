import { beforeEach, describe, expect, it } from 'vitest'
import { richDesk } from '../../tests/support/richShow'
import type { Desk } from '../../tests/support/smallShow'
import { runCommand } from '../commands/registry'
import { listsInOrder } from '../cues/tracking'
import { vec3 } from '../geometry/vector'
import { asOutputId, commandId, type FixtureId } from '../show/ids'
import { applyChanges } from '../show/changes'
import { commandsFor } from './commandsFor'
import { joined, readMessage } from './deed'
import type { OscMessage } from './message'
import { toldOf } from './told'

const RICH = richDesk()
let desk: Desk

beforeEach(() => {
  desk = RICH.copy()
})

const list = (nth: number) => listsInOrder(desk.show)[nth]?.list
const read = (address: string, ...args: OscMessage['args']) => readMessage(desk.show, { address, args })
/** Does what a message asks for; tells what is told of it, or why it cannot be. */
function hear(message: OscMessage, selected: readonly FixtureId[] = []): string[] {
  const deed = readMessage(desk.show, message)
  if (!deed) return []
  if ('trouble' in deed) return [deed.trouble]
  if (deed.does === 'select') return [deed.entry]
  const commands = commandsFor(deed, selected)
  if ('trouble' in commands) return [commands.trouble]
  return commands.flatMap(({ name, input }, i) => {
    const id = commandId.parse(`osc${desk.now}-${i}`)
    const outcome = runCommand(desk.show, name, input, id, { person: desk.person, now: desk.now })
    if (!outcome.ok) return [outcome.refusal.message]
    desk.show = applyChanges(desk.show, outcome.changes)
    return toldOf(desk.show, outcome.changes, desk.person).map(({ address, args }) => [address, ...args].join(' '))
  })
}

describe('what controls ask for', () => {
  it('lists go, go back, pause, run on and go to a cue, and tell where they stand', () => {
    desk.now = 10_000
    desk.do('goToCue', { list: listsInOrder(desk.show)[0]?.id ?? fail(), cue: null })
    expect(hear({ address: '/list/1/go', args: [1] })[0]).toMatch(/^\/list\/1\/cue 1 /)
    // A button that is let go is nothing new.
    expect(hear({ address: '/list/1/go', args: [0] })).toEqual([])
    expect(hear({ address: '/list/1/cue', args: [2] })[0]).toMatch(/^\/list\/1\/cue 2 /)
    desk.now += 200
    expect(hear({ address: '/list/1/pause', args: [] })).toEqual(['/list/1/paused true'])
    expect(hear({ address: '/list/1/go', args: [true] })).toEqual(['/list/1/paused false'])
    desk.now += 20_000
    expect(hear({ address: '/list/1/back', args: [1] })[0]).toMatch(/^\/list\/1\/cue 1 /)
    desk.aim('12', 'Mark')
    desk.cue(2.1)
    expect(read('/list/1/cue', Math.fround(2.1))).toMatchObject({ does: 'cue' })
    expect(hear({ address: '/list/9/go', args: [1] })).toEqual(['There is no cue list 9.'])
    expect(hear({ address: '/list/1/cue', args: [77] })).toEqual([`${list(0)?.name} has no cue 77.`])
  })

  it('faders set masters, the level of what is selected, and are told where they are by their own address too', () => {
    expect(hear({ address: '/list/2/master', args: [0.5] })).toEqual(['/list/2/master 0.5'])
    const [output] = [...desk.show.all.output].find(([, { name }]) => name === 'House') ?? fail()
    const bound = {
      does: 'grand master',
      output: asOutputId(output),
      list: null,
      palette: null,
      axis: null,
      metres: 1,
    } as const
    desk.do('bindControl', { ...bound, address: '/strip/8/fader' })
    expect(hear({ address: '/strip/8/fader', args: [0.25] })).toEqual([
      '/output/House/master 0.25',
      '/strip/8/fader 0.25',
    ])
    expect(hear({ address: '/output/House/master', args: [2] })[0]).toBe('/output/House/master 1')
    expect(hear({ address: '/master', args: [0.4] })).toContain('/output/Truss/master 0.4')
    expect(hear({ address: '/level', args: [0.7] }, desk.fixtures('12'))).toEqual([])
    expect(desk.seen(12).intensity).toBe(0.7)
    expect(hear({ address: '/level', args: ['loud'] })).toEqual(['A number from 0 to 1 has to come with it.'])
  })

  it('palettes are recalled for what is selected, or for all they hold, and light is nudged by metres', () => {
    const told = hear({ address: '/palette/2/recall', args: [1] }, desk.fixtures('12,13'))
    expect(told[0]).toBe('/palette/2/recalled 2')
    expect(told[1]).toMatch(/^\/fixture\/12\/place /)
    const [, x = '', y = '', z = ''] = /place (\S+) (\S+) (\S+)/.exec(told[1] ?? '') ?? []
    const after = hear({ address: '/nudge', args: [0.5, -0.25] }, desk.fixtures('12'))
    const [, x2 = '', y2 = '', z2 = ''] = /place (\S+) (\S+) (\S+)/.exec(after[0] ?? '') ?? []
    expect([Number(x2) - Number(x), Number(y2) - Number(y), Number(z2) - Number(z)]).toEqual([
      expect.closeTo(0.5, 9),
      expect.closeTo(-0.25, 9),
      expect.closeTo(0, 9),
    ])
    expect(hear({ address: '/nudge/z', args: [0.1] })).toEqual([
      'Nothing is selected. Select fixtures in the window, or by /select.',
    ])
    // A wheel that was learnt counts its own steps.
    expect(read('/desk/wheel', -2)).toEqual({ does: 'nudge', by: vec3(-0.2, 0, 0) })
    expect(hear({ address: '/clear', args: [] })).toEqual([])
    expect(desk.show.all.handValue.size).toBe(0)
  })

  it('what it does not know it says, and what it learnt comes first', () => {
    expect(read('/list/1/jump')).toEqual({ trouble: expect.stringContaining('/list/1/jump') })
    expect(read('/desk/1', 1)).toEqual({ does: 'recall', palette: desk.choose.palette(1) })
    desk.do('bindControl', {
      address: '/list/1/go',
      does: 'recall',
      palette: desk.choose.palette(1),
      list: null,
      output: null,
      axis: null,
      metres: 0,
    })
    expect(read('/list/1/go', 1)).toMatchObject({ does: 'recall' })
    expect(read('/select', '11 to 13')).toEqual({ does: 'select', entry: '11 to 13' })
  })

  it('a control is learnt with just what it needs, anew over what it did before', () => {
    const go = {
      address: '/a',
      does: 'go',
      list: null,
      output: null,
      palette: desk.choose.palette(1),
      axis: null,
      metres: 0,
    } as const
    expect(desk.refused('bindControl', go)).toContain('a cue list, an output, a palette or an axis')
    const before = desk.show.all.controlBinding.size
    desk.do('bindControl', { ...go, does: 'recall' })
    desk.do('bindControl', { ...go, does: 'recall', palette: desk.choose.palette(2) })
    expect(desk.show.all.controlBinding.size).toBe(before + 1)
    expect(read('/a', 1)).toEqual({ does: 'recall', palette: desk.choose.palette(2) })
  })
})

it('what waits is joined where only where it ends counts, or how far it went', () => {
  const by = (x: number) => ({ does: 'nudge', by: vec3(x, 0, 0) }) as const
  expect(joined(by(0.5), by(0.25))).toEqual(by(0.75))
  const [one, two] = listsInOrder(desk.show).map(({ id }) => id)
  if (!one || !two) throw new Error('two lists are wanted')
  const master = (of: typeof one, level: number) => ({ does: 'list master', list: of, level }) as const
  expect(joined(master(one, 0.2), master(one, 0.9))).toEqual(master(one, 0.9))
  expect(joined(master(one, 0.2), master(two, 0.9))).toBe(null)
  expect(joined({ does: 'go', list: one }, { does: 'go', list: one })).toBe(null)
})

function fail(): never {
  throw new Error('it is gone')
}
