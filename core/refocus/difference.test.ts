import { describe, expect, it } from 'vitest'
import { richDesk, venueNamed } from '../../tests/support/richShow'
import type { Desk } from '../../tests/support/smallShow'
import { LEADING } from '../attributes/catalogue'
import { vec3 } from '../geometry/vector'
import { HOME } from '../kinematics/head'
import { resolveValue } from '../palettes/resolve'
import { solvePosition, solveZoom } from '../palettes/solve'
import type { FixtureId, PaletteId } from '../show/ids'
import { rigOf } from '../show/rig'
import { stageOf } from '../venue/stage'
import { byHurt, differencesOf, lossesOf, turnOf, type FixtureDifference, type PaletteDifference } from './difference'
import type { LightThere } from './lightThere'

const HERE = 'Harbour Hall'
const THERE = 'Quarry'

function differences(desk: Desk): PaletteDifference[] {
  const [here, there] = [HERE, THERE].map((name) => venueNamed(desk.show, name))
  if (!here || !there) throw new Error('no venues')
  return [...differencesOf(desk.show, here, there)].flatMap(({ difference }) => difference ?? [])
}

function differenceOf(desk: Desk, palette: number, fixture: number): FixtureDifference {
  const found = differences(desk).find((one) => one.palette === desk.choose.palette(palette))
  const of = found?.fixtures.find((one) => one.fixture === desk.fixture(fixture))
  if (!of) throw new Error(`palette ${palette} gives ${fixture} nothing`)
  return of
}

/** How a palette turns a head and how wide it makes it when the show is taken to a venue for it; null where it cannot. */
function turnedSlowly(desk: Desk, venue: string, palette: PaletteId, fixture: FixtureId) {
  const then = desk.copy()
  then.do('switchVenue', { venue: venueNamed(then.show, venue) })
  const rigged = rigOf(then.show).get(fixture)
  if (!rigged) return null
  const [place, width] = [LEADING.place, LEADING.width].map(
    (attribute) => resolveValue(then.show, rigged, attribute, { kind: 'link', palette }).value,
  )
  if (!place) return null
  const { pose, throwMetres, state } = solvePosition(rigged.mount, stageOf(then.show), place, HOME)
  const { pool, fits } = solveZoom(rigged, width ?? null, throwMetres)
  return [pose.pan, pose.tilt, throwMetres, state, pool, fits]
}

const told = (light: LightThere | null) =>
  light && [light.pan, light.tilt, light.throwMetres, light.state, light.poolMetres, light.fits]

describe('the difference of two venues', () => {
  it('is what taking the show there would find, palette by palette and head by head', () => {
    const desk = richDesk()
    // One place in two sizes.
    desk.aim('11,12', 'Mark', vec3(0.4, 0, 0))
    for (const [number, zoom] of [
      [50, 14],
      [51, 31],
    ] as const) {
      desk.level('11,12', 'zoom', zoom)
      desk.do('recordPalette', { number, name: `At ${zoom}`, shelf: 'combined', colour: 'brass', reach: 'own' })
    }
    const found = differences(desk)
    expect(found.length).toBeGreaterThan(4)
    for (const { palette, fixtures } of found)
      for (const { fixture, here, there } of fixtures)
        for (const [venue, light] of [
          [HERE, here],
          [THERE, there],
        ] as const) {
          const slow = turnedSlowly(desk, venue, palette, fixture)
          expect([palette, fixture, venue, told(light)]).toEqual([palette, fixture, venue, slow])
        }
  })

  it('names what is lost: absent, out of reach, in the way, kept clear, too dark', () => {
    const desk = richDesk()
    expect(lossesOf(differenceOf(desk, 1, 12))).toEqual([])
    expect(turnOf(differenceOf(desk, 1, 12))).toBeGreaterThan(0)
    const venue = venueNamed(desk.show, THERE)
    desk.do('setInVenues', { cells: [{ kind: 'fixture', id: desk.fixture(12), what: 'on', venue, value: null }] })
    expect(lossesOf(differenceOf(desk, 1, 12))).toEqual(['absent'])
    const outline = [vec3(-9, -9, 0), vec3(9, -9, 0), vec3(9, 9, 0), vec3(-9, 9, 0)].map(({ x, y }) => ({ x, y }))
    desk.do('changeVenue', { venue, keepClear: [{ name: 'All of it', outline, height: 1 }] })
    expect(lossesOf(differenceOf(desk, 1, 11))).toContain('keep clear')
    const solids = [{ kind: 'box', at: { x: 0, y: 0 }, turn: 0, base: 0, width: 30, depth: 30, height: 0.2 }] as const
    desk.do('addSetPiece', { name: 'Lid', solids: [...solids], layer: null, position: vec3(0, 3, 9), yaw: 0 })
    const lid = desk.choose.setPiece('Lid')
    const cells = ['to stage left', 'upstage', 'up'].map(
      (what, i) => ({ kind: 'setPiece', id: lid, what, venue, value: [0, 3, 3][i] ?? 0 }) as const,
    )
    desk.do('setInVenues', { cells })
    expect(lossesOf(differenceOf(desk, 1, 11))).toContain('in the way')
  })

  it('puts first what hurts most', () => {
    const desk = richDesk()
    const venue = venueNamed(desk.show, THERE)
    desk.do('setInVenues', { cells: [{ kind: 'fixture', id: desk.fixture(12), what: 'on', venue, value: null }] })
    const sorted = differences(desk).sort(byHurt)
    const worst = sorted.findIndex(({ fixtures }) => !fixtures.some((one) => lossesOf(one).includes('absent')))
    expect(worst).toBeGreaterThan(0)
    for (const { fixtures } of sorted.slice(worst)) expect(fixtures.flatMap(lossesOf)).not.toContain('absent')
  })
})
