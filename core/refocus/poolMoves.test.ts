import { expect, it } from 'vitest'
import { vec3 } from '../geometry/vector'
import { Desk } from '../../tests/support/smallShow'
import { effectsOf } from './effects'
import { furthestTurn, poolMoves } from './poolMoves'

it('tells of every pool how far it moves and its head turns, and who can no longer light it', () => {
  const desk = new Desk()
  desk.aim('11, 12', 'Mark')
  desk.record(1, 'On the mark')
  desk.recall('12, 11', 1)
  const moved = (to: ReturnType<typeof vec3>) => {
    const [before, poses] = [desk.show, [11, 12].map((number) => desk.seen(number).position.pose)]
    desk.do('moveTarget', { target: desk.choose.target('Mark'), position: to })
    const turned = [11, 12].map((number, i) => {
      const { pan, tilt } = desk.seen(number).position.pose
      return [pan - (poses[i]?.pan ?? 0), tilt - (poses[i]?.tilt ?? 0)]
    })
    const effect = effectsOf(before, desk.show).palettes[0]
    if (!effect) throw new Error('the palette does not follow')
    return { turned, effect, moves: poolMoves(desk.show, effect) }
  }
  const { moves, turned, effect } = moved(vec3(0.6, 2.8, 0))
  expect(moves.map(({ number, losesReach }) => [number, losesReach])).toEqual([
    ['11', false],
    ['12', false],
  ])
  moves.forEach(({ shiftMetres, panDegrees, tiltDegrees }, i) => {
    expect(shiftMetres).toBeCloseTo(1, 9)
    expect([panDegrees, tiltDegrees]).toEqual(turned[i])
  })
  expect(furthestTurn(effect)).toBe(Math.max(...turned.flat().map(Math.abs)))

  const lost = moved(vec3(0, 0, 30)).moves
  expect(lost.map(({ losesReach, shiftMetres }) => [losesReach, shiftMetres])).toEqual([
    [true, null],
    [true, null],
  ])
})
