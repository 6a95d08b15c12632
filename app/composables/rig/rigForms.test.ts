import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { UNIVERSE_SIZE } from '#core/patch/span'
import { asFixtureId } from '#core/show/ids'
import { mirroredName, nextName } from '#core/show/freeNames'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { mountingOf } from './rigWords'
import { doubled, rowRuns } from '#core/patch/universeMap'

describe('what is typed into the forms of the rig', () => {
  it('is read with a point, a comma or a true minus', () => {
    expect(['1.5', ' 1,5 ', '−2', 'x', ''].map(numberTyped)).toEqual([1.5, 1.5, -2, null, null])
    expect([shortNumber(-0.001), shortNumber(2.5)]).toEqual(['0', '2.5'])
  })

  it('a copy and a mirror image are named by what is free', () => {
    expect(nextName('Bar 1', ['Bar 1', 'bar 2'])).toBe('Bar 3')
    expect(mirroredName('Boom right', ['Boom right'])).toBe('Boom left')
    expect(mirroredName('Boom right', ['Boom right', 'Boom left'])).toBe('Boom right 2')
  })

  it('a roll says how a fixture is mounted, any turn of it', () => {
    expect([0, 360, 180, -180, 90, 270, 45].map(mountingOf)).toEqual([
      'hung',
      'hung',
      'standing',
      'standing',
      'arm left',
      'arm right',
      'other',
    ])
  })
})

describe('the map of a universe', () => {
  it('draws every channel of a span once and none past the end', () => {
    const channel = fc.integer({ min: 1, max: UNIVERSE_SIZE })
    fc.assert(
      fc.property(channel, fc.integer({ min: 0, max: 60 }), (first, more) => {
        const drawn = rowRuns(first, first + more).reduce((sum, { width }) => sum + width, 0)
        expect(drawn).toBe(Math.min(UNIVERSE_SIZE, first + more) - first + 1)
      }),
    )
  })

  it('marks what two fixtures take', () => {
    const span = (number: number, first: number, last: number) => ({
      fixture: asFixtureId(`f${number}`),
      number,
      universe: 1,
      first,
      last,
    })
    expect(doubled([span(2, 20, 43), span(1, 1, 24), span(3, 44, 50)])).toEqual([{ first: 20, last: 24 }])
  })
})
