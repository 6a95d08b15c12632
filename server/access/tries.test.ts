import { describe, expect, it } from 'vitest'
import { Tries } from './tries'

describe('tries', () => {
  it('wait longer with every wrong key from the fifth on, for that address alone, until one is right', () => {
    let now = 0
    const tries = new Tries(() => now)
    const waits = Array.from({ length: 12 }, () => {
      tries.failed('a')
      return tries.wait('a') / 1000
    })
    expect(waits).toEqual([0, 0, 0, 0, 1, 2, 4, 8, 16, 32, 60, 60])
    expect(tries.wait('b')).toBe(0)
    now = 59_999
    expect(tries.wait('a')).toBe(1)
    now = 60_000
    expect(tries.wait('a')).toBe(0)
    tries.failed('a')
    expect(tries.wait('a')).toBe(60_000)
    tries.succeeded('a')
    expect(tries.wait('a')).toBe(0)
    tries.failed('a')
    expect(tries.wait('a')).toBe(0)
  })

  it('are forgotten in time, and the oldest where too many addresses try', () => {
    let now = 0
    const tries = new Tries(() => now)
    for (let i = 0; i < 8; i++) tries.failed('early')
    for (let i = 0; i < 10_000; i++) tries.failed(`address ${i}`)
    expect(tries.wait('early')).toBe(0)
    for (let i = 0; i < 8; i++) tries.failed('late')
    expect(tries.wait('late')).toBe(8000)
    now = 15 * 60_000
    tries.failed('late')
    expect(tries.wait('late')).toBe(0)
  })
})
