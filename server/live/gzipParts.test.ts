import { gunzipSync } from 'node:zlib'
import { expect, it } from 'vitest'
import { randomFrom } from '../../tests/support/randomCommands'
import { seeds } from '../../tests/support/rounds'
import { gzipOf, gzipPart } from './gzipParts'

it('parts that were compressed apart unpack to all of them, in any order and again', async () => {
  for (const seed of seeds(20)) {
    const random = randomFrom(seed)
    const texts = Array.from({ length: Math.floor(random() * 6) }, () =>
      Array.from({ length: Math.floor(random() ** 3 * 40_000) }, () => `${Math.floor(random() * 300)} ä`).join(),
    )
    const parts = await Promise.all(texts.map(gzipPart))
    // Unpacking checks size and sum.
    expect(gunzipSync(gzipOf(parts)).toString()).toBe(texts.join(''))
    expect(gunzipSync(gzipOf([...parts, ...parts].reverse())).toString()).toBe([...texts, ...texts].reverse().join(''))
  }
})
