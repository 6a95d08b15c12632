import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LISTED_ATTRIBUTES, familyOf } from '../attributes/attribute'
import { FAMILIES } from '../attributes/families'
import { lets, maskInWords, TAKE_ALL, withAttribute, withFamily, type Mask } from './masks'

const attribute = fc.constantFrom(...LISTED_ATTRIBUTES)
const family = fc.constantFrom(...FAMILIES)
/** Any mask that can be come to by switching families and attributes. */
const mask = fc
  .array(fc.oneof(fc.record({ attribute, take: fc.boolean() }), fc.record({ family, take: fc.boolean() })))
  .map((steps) =>
    steps.reduce<Mask>(
      (now, step) =>
        'attribute' in step
          ? withAttribute(now, step.attribute, step.take, LISTED_ATTRIBUTES)
          : withFamily(now, step.family, step.take),
      TAKE_ALL,
    ),
  )

describe('a take mask', () => {
  it('lets an attribute through or not as it was switched last, and leaves all others as they were', () => {
    fc.assert(
      fc.property(mask, attribute, fc.boolean(), (before, switched, take) => {
        const after = withAttribute(before, switched, take, LISTED_ATTRIBUTES)
        expect(lets(after, switched)).toBe(take)
        for (const other of LISTED_ATTRIBUTES)
          if (other !== switched) expect([other, lets(after, other)]).toEqual([other, lets(before, other)])
      }),
    )
  })

  it('lets a whole family through or not, whatever was held back of it', () => {
    fc.assert(
      fc.property(mask, family, fc.boolean(), (before, switched, take) => {
        const after = withFamily(before, switched, take)
        for (const one of LISTED_ATTRIBUTES)
          expect(lets(after, one)).toBe(familyOf(one) === switched ? take : lets(before, one))
      }),
    )
  })

  it('is said in the order of the families, with what is held back', () => {
    const some = withAttribute(
      withFamily(withFamily(TAKE_ALL, 'gobo', false), 'intensity', false),
      'iris',
      false,
      LISTED_ATTRIBUTES,
    )
    expect(maskInWords(some)).toBe('position, beam without iris, colour, shutters')
    expect(maskInWords({ take: [], heldBack: [] })).toBe('nothing')
    const nothing: Mask = { take: [], heldBack: [] }
    const turn = withAttribute(nothing, 'goboTurn2', true, LISTED_ATTRIBUTES)
    expect(maskInWords(withAttribute(turn, 'gobo2', true, LISTED_ATTRIBUTES))).toBe('gobo: only gobo 2 and gobo 2 turn')
  })
})
