import fc from 'fast-check'
import { expect, it } from 'vitest'
import { changesBetween, noteOrigin } from './collectionChanges'

const writes = fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.option(fc.nat(3), { nil: null })), {
  maxLength: 4,
})

const after = (before: ReadonlyMap<string, { n: number }>, written: readonly (readonly [string, number | null])[]) => {
  const next = new Map(before)
  for (const [id, n] of written) {
    if (n === null) next.delete(id)
    else next.set(id, { n })
  }
  return next
}

it('tells the same between any two generations whether or not it knows how the one came from the other', () => {
  fc.assert(
    fc.property(fc.array(writes, { minLength: 1, maxLength: 6 }), fc.nat(5), fc.nat(5), (all, from, to) => {
      const generations = [new Map<string, { n: number }>()]
      for (const written of all) {
        const before = generations.at(-1) ?? new Map<string, { n: number }>()
        const next = after(before, written)
        noteOrigin(
          next,
          before,
          written.map(([id]) => id),
        )
        generations.push(next)
      }
      const [one, other] = [generations[from % generations.length], generations[to % generations.length]]
      if (!one || !other) throw new Error('no such generation')
      const plain = ['a', 'b', 'c', 'd']
        .map((id) => ({ was: one.get(id), is: other.get(id) }))
        .filter(({ was, is }) => was !== is)
      const told = changesBetween(one, other)
      expect(told).toHaveLength(plain.length)
      expect(new Set(told.map(({ was, is }) => `${was?.n} ${is?.n}`))).toEqual(
        new Set(plain.map(({ was, is }) => `${was?.n} ${is?.n}`)),
      )
      expect(changesBetween(new Map(one), other)).toHaveLength(plain.length)
    }),
  )
})
