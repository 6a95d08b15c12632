import { expect, it } from 'vitest'
import { rangeOf, wheelOf } from '#core/show/attributeRange'
import { plover, tern } from '#demo/types'
import { beamPath, isBeamAngle, trackGobos, trackGround } from './trackPictures'

const slots = (count: number) => ({ min: 0, max: count - 1, home: 0, unit: 'slot', fastest: null }) as const

it('a track of temperatures runs from warm to cold, one of a colour wheel slot by slot', () => {
  const kelvin = trackGround({ range: rangeOf(tern, 'temperature'), wheel: null }) ?? ''
  const [warm = '', cold = ''] = [/#\w{6}/.exec(kelvin)?.[0], /#\w{6}(?!.*#)/.exec(kelvin)?.[0]]
  const blueOf = (hex: string) => parseInt(hex.slice(5), 16)
  expect(blueOf(warm)).toBeLessThan(blueOf(cold))
  const wheel = wheelOf(plover, 'colourWheel')
  const ground = trackGround({ range: slots(wheel?.slots.length ?? 0), wheel }) ?? ''
  for (const { colour } of wheel?.slots ?? []) expect(ground).toContain(colour)
  expect(ground).toMatch(/ 100.00%\)$/)
  expect(trackGround({ range: rangeOf(tern, 'edge'), wheel: null })).toBeNull()
})

it('one of a gobo wheel shows its gobos where they are chosen; one of a zoom its beam, in its true angle', () => {
  const wheel = wheelOf(tern, 'gobo')
  const gobos = trackGobos({ wheel })
  expect(gobos.map(({ pattern }) => pattern)).toEqual(wheel?.slots.slice(1).map(({ pattern }) => pattern))
  expect(gobos.at(-1)?.at).toBe(1)
  expect(isBeamAngle({ attribute: 'zoom', range: rangeOf(tern, 'zoom') })).toBe(true)
  expect(isBeamAngle({ attribute: 'edge', range: rangeOf(tern, 'edge') })).toBe(false)
  expect(beamPath(90, 0, 12, 10)).toBe('M0 12L10 2.00V22.00Z')
})
