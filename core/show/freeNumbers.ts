/** Numbers that are not taken yet. */
interface Numbered {
  readonly number: number
}

/** The first whole number above all that are taken; 1 where none is. */
export function nextNumber(taken: Iterable<Numbered>): number {
  return Math.floor(Math.max(0, ...[...taken].map(({ number }) => number))) + 1
}

/** The first `count` whole numbers from `from` on that are free. */
export function freeNumbers(taken: Iterable<Numbered>, from: number, count: number): number[] {
  const known = new Set([...taken].map(({ number }) => number))
  const free: number[] = []
  for (let number = Math.ceil(from); free.length < count; number += 1) if (!known.has(number)) free.push(number)
  return free
}

/** The first free whole number that comes after one. */
export function freeNumberAfter(taken: Iterable<Numbered>, number: number): number {
  const known = new Set([...taken].map((one) => one.number))
  let free = Math.floor(number) + 1
  while (known.has(free)) free += 1
  return free
}
