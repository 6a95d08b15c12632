import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RING } from '../../tests/support/movements'
import { LIES, type Movement } from './movement'
import { movementInWords, movementOfWords } from './words'

const thousandths = (min: number, max: number) =>
  fc.integer({ min: Math.ceil(min * 1000), max: Math.floor(max * 1000) }).map((n) => n / 1000)
const corners = fc.array(fc.record({ x: thousandths(-0.5, 0.5), y: thousandths(-0.5, 0.5) }), {
  minLength: 3,
  maxLength: 6,
})
const seed = fc.integer({ min: 0, max: 1000 })
const movement: fc.Arbitrary<Movement> = fc
  .record({
    kind: fc.constant('movement' as const),
    path: fc.oneof(
      fc.constantFrom<Movement['path']>({ form: 'ring' }, { form: 'line' }, { form: 'eight' }),
      corners.map((all) => ({ form: 'polygon' as const, corners: all })),
      fc.record({ form: fc.constant('wander' as const), corners: fc.option(corners), seed }),
    ),
    lies: fc.constantFrom(...LIES),
    along: thousandths(0, 50),
    across: thousandths(0, 50),
    turn: thousandths(-180, 180),
    tempo: fc.oneof(
      thousandths(0.001, 99).map((rounds) => ({ by: 'minute' as const, rounds })),
      thousandths(0.001, 64).map((beats) => ({ by: 'beat' as const, beats })),
    ),
    backwards: fc.boolean(),
    ease: fc.integer({ min: 0, max: 100 }).map((part) => part / 100),
    start: thousandths(0, 0.999),
    lag: thousandths(-4, 4),
    mirrored: fc.boolean(),
  })
  // A line has no size across: the words give it that along.
  .map((one) => (one.path.form === 'line' ? { ...one, across: one.along } : one))

describe('a movement in words', () => {
  it('says what it is, and what is not plain about it', () => {
    expect(movementInWords(RING)).toBe('ring 4 by 2 m, on the floor, 12 rounds a minute')
    const odd: Movement = {
      ...RING,
      path: { form: 'line' },
      lies: 'angles',
      turn: -30,
      tempo: { by: 'beat', beats: 1 },
      backwards: true,
      ease: 0.5,
      lag: 0.25,
      mirrored: true,
    }
    expect(movementInWords(odd)).toBe(
      'line 4 °, in angles, turned -30°, 1 beat a round, backwards, eased 50 %, 0.25 behind, mirrored',
    )
    expect(movementInWords({ ...RING, path: { form: 'target' } })).toBe('along the target, 12 rounds a minute')
  })

  it('is what it was when it is read again', () => {
    fc.assert(
      fc.property(movement, (one) => {
        expect(movementOfWords(movementInWords(one))).toEqual(one)
      }),
    )
    expect(movementOfWords('Ring 3 by 1 m,  UPRIGHT')).toMatchObject({ along: 3, across: 1, lies: 'upright' })
  })

  it('that says none tells what is wrong', () => {
    const said = (text: string) => Reflect.get(movementOfWords(text), 'trouble')
    expect(said('spiral 3 m')).toBe('“spiral 3 m” says nothing of a movement')
    expect(said('12 rounds a minute')).toContain('a movement says its path')
    expect(said('ring 900 m')).toContain('along')
    expect(said('polygon (0 0; x 1; 1 1) 2 m')).toContain('path corners')
    expect(said('')).toContain('says nothing')
  })
})
