/** How far each pool of a palette moves, and how far its head turns for it. */
import { byNumber, fixtureNumber } from '../show/cells'
import type { FixtureId } from '../show/ids'
import type { Show } from '../show/show'
import type { FixtureEffect, PaletteEffect } from './effects'

/** One fixture's part of what a change does to a palette. */
export interface PoolMove {
  readonly fixture: FixtureId
  readonly number: string
  /** From where the light lands to where it will, metres; null where it lands nowhere or cannot be turned to. */
  readonly shiftMetres: number | null
  /** What the head turns on its axes, degrees, signed as pan and tilt are. */
  readonly panDegrees: number
  readonly tiltDegrees: number
  readonly losesReach: boolean
}

/** The pools of a palette by fixture number. */
export function poolMoves(show: Show, { fixtures }: PaletteEffect): PoolMove[] {
  return fixtures
    .flatMap((effect) => {
      const known = show.all.fixture.get(effect.fixture)
      return known ? [{ known, move: { ...moveOf(effect), number: fixtureNumber(known) } }] : []
    })
    .sort((a, b) => byNumber(a.known, b.known))
    .map(({ move }) => move)
}

function moveOf({ fixture, before, after, shiftMetres, losesReach }: FixtureEffect): Omit<PoolMove, 'number'> {
  return {
    fixture,
    shiftMetres: losesReach ? null : shiftMetres,
    panDegrees: after.pose.pan - before.pose.pan,
    tiltDegrees: after.pose.tilt - before.pose.tilt,
    losesReach,
  }
}

/** The most any head of a palette turns on one axis, degrees. */
export function furthestTurn({ fixtures }: PaletteEffect): number {
  const turns = fixtures.map(moveOf).flatMap(({ panDegrees, tiltDegrees }) => [panDegrees, tiltDegrees])
  return Math.max(0, ...turns.map(Math.abs))
}
