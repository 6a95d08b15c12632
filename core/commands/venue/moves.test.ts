import { describe, expect, it } from 'vitest'
import { distance, vec3 } from '../../geometry/vector'
import { asVenueId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { targetsOf } from '../../show/targets'
import { Desk } from '../../../tests/support/smallShow'

const spot = (desk: Desk, name: string) =>
  targetsOf(desk.show).get(desk.choose.target(name))?.position ?? vec3(NaN, 0, 0)

describe('moving the stage', () => {
  it('moves and turns tied targets with their set piece, and nothing else', () => {
    const desk = new Desk()
    expect(distance(spot(desk, 'Bow'), vec3(-2, 4.5, 0.8))).toBeLessThan(1e-9)
    const setPiece = desk.choose.setPiece('Dory')
    expect(desk.do('moveSetPiece', { setPiece, position: vec3(1, 2, 0.2), yaw: 0 })).toContain('move Dory')
    expect(distance(spot(desk, 'Bow'), vec3(2.5, 2, 1))).toBeLessThan(1e-9)
    expect(spot(desk, 'Mark')).toEqual(vec3(0, 2, 0))
  })

  it('keeps a tied target on its set piece when it is moved itself', () => {
    const desk = new Desk()
    desk.do('moveTarget', { target: desk.choose.target('Bow'), position: vec3(-2, 4, 1) })
    expect(distance(spot(desk, 'Bow'), vec3(-2, 4, 1))).toBeLessThan(1e-9)
    const setPiece = desk.choose.setPiece('Dory')
    desk.do('moveSetPiece', { setPiece, position: vec3(0, 3, 0), yaw: 90 })
    expect(distance(spot(desk, 'Bow'), vec3(0, 4, 1))).toBeLessThan(1e-9)
  })

  it('re-aims from a hang that trims lower, and refuses one below the floor', () => {
    const desk = new Desk()
    desk.aim('11', 'Bow')
    const before = desk.seen(11)
    const hang = desk.choose.hang('Bar')
    expect(desk.do('moveHang', { hang, origin: vec3(0, 0, 6) })).toBe('move Bar 1.00 m down')
    const after = desk.seen(11)
    expect(after.position.point).toEqual(before.position.point)
    expect(after.position.pose.tilt).not.toBeCloseTo(before.position.pose.tilt, 1)
    expect(after.position.side).toBe(before.position.side)
    expect(desk.refused('moveHang', { hang, origin: vec3(0, 0, -0.5) })).toBe(
      'Bar cannot hang 0.50 m below the stage floor.',
    )
  })

  it('keeps venues apart: the same show, other places', () => {
    const desk = new Desk()
    const home = showRecordOf(desk.show).venue
    const venue = desk.show.all.venue.get(home)
    if (!venue) throw new Error('no venue')
    desk.do('addVenue', { ...venue, name: 'Away' })
    const away = asVenueId([...desk.show.all.venue.keys()].find((id) => id !== home) ?? '')
    desk.do('switchVenue', { venue: away })
    desk.do('moveTarget', { target: desk.choose.target('Mark'), position: vec3(5, 5, 0) })
    expect(spot(desk, 'Mark')).toEqual(vec3(5, 5, 0))
    desk.do('switchVenue', { venue: home })
    expect(spot(desk, 'Mark')).toEqual(vec3(0, 2, 0))
    expect(desk.refused('addVenue', { ...venue, name: 'Away' })).toContain('Away already')
  })
})
