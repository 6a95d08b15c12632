import { expect, it } from 'vitest'
import { InTurn } from './inTurn'

it('does one thing after another in the order asked for, past one that fails', async () => {
  const turn = new InTurn()
  const done: string[] = []
  const work = (name: string, pauses: number) => async () => {
    for (let i = 0; i < pauses; i++) await Promise.resolve()
    done.push(name)
    if (name === 'bad') throw new Error('it fails')
    return name
  }
  const slow = turn.next(work('slow', 20))
  const bad = turn.next(work('bad', 5))
  const quick = turn.next(work('quick', 0))
  expect(done).toEqual([])
  await expect(bad).rejects.toThrow('it fails')
  expect(await Promise.all([slow, quick])).toEqual(['slow', 'quick'])
  expect(done).toEqual(['slow', 'bad', 'quick'])
})
