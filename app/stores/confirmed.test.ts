import { createPinia, setActivePinia } from 'pinia'
import { expect, it, vi } from 'vitest'
import { vec3 } from '#core/geometry/vector'
import { Desk } from '../../tests/support/smallShow'
import { consequencesOf } from '../session/showCopy'
import { useConfirmed } from './confirmed'

it('works out itself what a worker that ended would have, and goes on with the next', async () => {
  setActivePinia(createPinia())
  const desk = new Desk()
  desk.aim('11', 'Mark')
  desk.record(1, 'Mark')
  const before = desk.show
  desk.do('moveTarget', { target: desk.choose.target('Mark'), position: vec3(1, 3, 0) })
  const expected = consequencesOf(before, desk.show, true)
  expect(expected.effects.palettes).toHaveLength(1)

  let end: (reason: Error) => void = () => undefined
  const lost = vi.fn(() => new Promise<never>((_, reject) => (end = reject)))
  const close = vi.fn()
  const whole = (consequences: typeof lost | typeof consequencesOf) => ({
    ok: true as const,
    joined: {
      person: desk.person,
      role: 'owns' as const,
      isByLink: false,
      undo: { undo: null, redo: null },
      now: 0,
    },
    tookMilliseconds: 0,
    opened: { show: before, revision: 1 },
    beside: {
      ...{ isSound: Promise.resolve(true), close, consequences },
      ...{
        checkMoves: () => Promise.resolve(true),
        darkMoves: () => Promise.resolve(true),
        difference: () => Promise.resolve(true),
        cueDifference: () => Promise.resolve(true),
        stop: () => undefined,
      },
      ...{ unwind: () => Promise.resolve(true), stopUnwinding: () => undefined },
    },
  })
  const ground = useConfirmed()
  ground.receiveWhole(whole(lost))
  const found = ground.consequences(before, desk.show, true)
  ground.receiveWhole(whole(consequencesOf))
  expect(close).toHaveBeenCalledOnce()
  end(new Error('ended'))
  expect(await found).toEqual(expected)
  expect(await ground.consequences(before, desk.show, true)).toEqual(expected)
})
