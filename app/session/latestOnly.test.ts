import { expect, it } from 'vitest'
import { LatestOnly } from './latestOnly'

it('does one at a time and only the newest of those that wait, and goes on after one that failed', async () => {
  const newest = new LatestOnly<string>()
  const begun: string[] = []
  const ends = new Map<string, (how: 'done' | 'failed') => void>()
  const ask = (name: string) =>
    newest.ask(() => {
      begun.push(name)
      return new Promise<string>((resolve, reject) =>
        ends.set(name, (how) => (how === 'done' ? resolve(name) : reject(new Error(name)))),
      )
    })
  const [first, second, third] = [ask('first'), ask('second'), ask('third')]
  expect(await second).toBeNull()
  expect(begun).toEqual(['first'])
  ends.get('first')?.('failed')
  await expect(first).rejects.toThrow('first')
  await new Promise((resolve) => setImmediate(resolve))
  expect(begun).toEqual(['first', 'third'])
  ends.get('third')?.('done')
  expect(await third).toBe('third')
  const last = ask('last')
  ends.get('last')?.('done')
  expect(await last).toBe('last')
})
