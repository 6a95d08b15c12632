import { describe, expect, it } from 'vitest'
import { tern } from '#demo/types'
import { PLAIN_LIGHT } from '../light/gate'
import type { NumberAttribute } from '../attributes/attribute'
import { amountsBetween, amountsSeen, lightShape, seenAttributes } from './lightShape'
import type { Amount } from './values'

const at = (numbers: Partial<Record<NumberAttribute, number | { rpm: number }>>) =>
  amountsSeen(tern, (attribute): Amount | null => {
    const said = numbers[attribute]
    if (said === undefined) return null
    return typeof said === 'number' ? { kind: 'number', number: said } : { kind: 'spin', rpm: said.rpm }
  })

describe('the form of a light', () => {
  it('is plain while everything is at rest, and reads each attribute where it is not', () => {
    expect(lightShape(tern, at({ iris: 1, edge: 0, gobo: 0 }))).toBe(PLAIN_LIGHT)
    const shape = lightShape(
      tern,
      at({
        iris: 0.5,
        frost: 0.5,
        edge: 0.5,
        shutterRight: 0.2,
        shutterRightAngle: -10,
        frameTurn: 30,
        gobo: 1,
        goboTurn: 45,
        gobo2: 3,
        prism: 1,
        prismTurn: { rpm: -8 },
        strobe: 6,
      }),
    )
    expect(shape).toEqual({
      iris: 0.5,
      softness: 0.75,
      blades: [{ side: 'right', depth: 0.2, angle: -10 }],
      frameTurn: 30,
      gobos: [
        { pattern: 'dots', turn: { degrees: 45, rpm: 0 } },
        { pattern: 'star', turn: { degrees: 0, rpm: 0 } },
      ],
      prism: { facets: 3, place: 0.5, turn: { degrees: 0, rpm: -8 } },
      strobe: 6,
    })
  })

  it('has blades of types that drive their corners: as deep as both, leaning to the deeper one', () => {
    const shape = lightShape(
      tern,
      new Map<NumberAttribute, Amount>([['shutterTopSecond', { kind: 'number', number: 0.5 }]]),
    )
    expect(shape.blades).toEqual([{ side: 'top', depth: 0.25, angle: expect.closeTo(26.565, 3) }])
  })

  it('goes over attribute by attribute, each as it fades', () => {
    const [from, to] = [at({ gobo: 1, goboTurn: 170, iris: 0 }), at({ gobo: 2, goboTurn: -170 })]
    const half = lightShape(
      tern,
      amountsBetween(tern, from, to, () => 0.5),
    )
    expect(half.iris).toBeCloseTo(0.5, 9)
    expect(half.gobos).toMatchObject([{ pattern: 'ripples' }])
    // The shorter way round is through half a turn.
    expect(Math.abs(half.gobos[0]?.turn.degrees ?? 0)).toBe(180)
    expect(amountsBetween(tern, to, to, () => 0.5)).toBe(to)
  })

  it('has every seen attribute of a profile in it', () => {
    const seen = seenAttributes(tern).filter((attribute) => attribute !== 'temperature')
    for (const attribute of seen) {
      const with1: Partial<Record<NumberAttribute, number>> = { gobo: 1, gobo2: 1, prism: 1, [attribute]: 1 }
      for (const side of ['Top', 'Right', 'Bottom', 'Left'] as const) with1[`shutter${side}`] = 1
      const without = { ...with1, [attribute]: attribute === 'iris' ? 0.5 : 0 }
      if (attribute === 'iris') with1.iris = 0.2
      expect([attribute, lightShape(tern, at(with1))]).not.toEqual([attribute, lightShape(tern, at(without))])
    }
  })
})
