import { beforeEach, describe, expect, it, vi } from 'vitest'
import { vec3 } from '#core/geometry/vector'
import { changeGroupId } from '#core/show/ids'
import type { Refusal } from '#core/commands/command'
import { openStores } from '../../tests/support/openStores'
import { Desk } from '../../tests/support/smallShow'
import { useMessages } from './messages'
import { useProposal } from './proposal'
import { useSending } from './sending'
import { useShow } from './show'
import { useUndo } from './undo'

const group = changeGroupId.parse('g1')
let desk: Desk
/** What the server says to each asking, in order. */
const answers = (...refusals: (Refusal | null)[]) => {
  const put = vi.spyOn(useSending(), 'put')
  for (const refusal of refusals) put.mockResolvedValueOnce({ refusal, group: refusal && group })
  return put
}
const harms: Refusal = { code: 'harms others', message: 'Ben went on from it.' }
const cannot: Refusal = { code: 'cannot stand', message: 'The hang is no longer there.' }

beforeEach(() => {
  desk = new Desk()
  openStores(desk)
})

describe('undo', () => {
  it('asks for the step that is next when its turn comes, and says nothing when it was done', async () => {
    const put = answers(null)
    await useUndo().undo()
    expect(put.mock.calls).toEqual([[{ kind: 'toggle', direction: 'undo', group: null, how: 'ask' }]])
    expect(useMessages().list).toEqual([])
  })

  it('of what others went on from offers to leave it, or to do it all the same', async () => {
    const put = answers(harms, null, null)
    await useUndo().redo()
    const { text, actions = [] } = useMessages().list[0] ?? expect.fail('nothing is said')
    expect(text).toBe(harms.message)
    expect(actions.map(({ label }) => label)).toEqual(['Leave it, go on', 'Redo all the same'])
    for (const { run } of actions) run()
    expect(put.mock.calls.slice(1).map(([work]) => work)).toEqual(
      ['waive', 'anyway'].map((how) => ({ kind: 'toggle', direction: 'redo', group, how })),
    )
  })

  it('of what cannot stand any more can only be left; any other refusal is just told', async () => {
    answers(cannot, { code: 'away', message: 'The server is away.' })
    await useUndo().undo()
    await useUndo().undo()
    const told = useMessages().list.map(({ text, actions = [] }) => [text, actions.map(({ label }) => label)])
    expect(told).toEqual([
      [cannot.message, ['Leave it, go on']],
      ['The server is away.', []],
    ])
  })

  it('comes after what was typed before it, though it is not known yet whether that carries anything along', async () => {
    const done: string[] = []
    vi.spyOn(useSending(), 'put').mockImplementation(async () => {
      done.push('undo')
      return { refusal: null, group: null }
    })
    vi.spyOn(useShow(), 'ask').mockImplementation(async () => {
      done.push('typed')
      return null
    })
    void useProposal().offer('moveTarget', { target: desk.choose.target('Shore'), position: vec3(0, 5, 0) })
    await useUndo().undo()
    expect(done).toEqual(['typed', 'undo'])
  })
})
