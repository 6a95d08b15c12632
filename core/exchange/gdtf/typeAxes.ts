/** The axes and the light of a type, off what is written of them. */
import { lumenPerCandela } from '../../light/optics'
import type { FixtureType } from '../../show/entities'
import { numberOfAttribute } from '../xml/xml'
import type { Part } from './geometryTree'
import type { AxisSense } from './headGeometry'
import { neatest } from './neatest'
import type { Notes } from '../notes'
import type { ReadFunction } from './readChannels'

/** Degrees a second and a second a second, where the file does not tell. */
const USUAL = { pan: { speed: 180, acceleration: 320 }, tilt: { speed: 120, acceleration: 260 } } as const
const FIXED = { min: -90, max: 90, speed: 180, acceleration: 320, reversed: false }

export function readAxis(
  which: 'pan' | 'tilt',
  functions: readonly ReadFunction[],
  { sign, zero }: AxisSense,
  notes: Notes,
): FixtureType['pan'] {
  const turning = functions.find(({ attribute, from, to }) => attribute.toLowerCase() === which && from !== to)
  if (!turning) return FIXED
  const [from, to] = [neat(sign * turning.from + zero), neat(sign * turning.to + zero)]
  const range = Math.abs(to - from)
  const known = turning.realFade > 0
  if (!known) notes.look(which, `how fast it turns is not told; ${USUAL[which].speed}° a second are taken`)
  const speed = known ? range / turning.realFade : USUAL[which].speed
  const acceleration = turning.realAcceleration > 0 ? speed / turning.realAcceleration : USUAL[which].acceleration
  return {
    min: Math.min(from, to),
    max: Math.max(from, to),
    speed: Math.min(10000, neat(speed)),
    acceleration: Math.min(100000, neat(acceleration)),
    reversed: from > to,
  }
}

const neat = (number: number) => neatest(number, 1e-4)

const WIDEST = { beam: 160, field: 170 }
const UNTOLD = { beam: 25, field: 30, lumen: 10000 }

/** The light by its angle: one row, or of a zoom one for each end with the light all the same. */
export function readOptics(beam: Part | null, functions: readonly ReadFunction[], notes: Notes): FixtureType['optics'] {
  const told = beam?.element ?? null
  const angle = numberOfAttribute(told, 'BeamAngle', 0)
  const wide = numberOfAttribute(told, 'FieldAngle', 0)
  const lumen = numberOfAttribute(told, 'LuminousFlux', 0)
  if (!(angle > 0)) notes.look('light', `its beam angle is not told; ${UNTOLD.beam}° are taken`)
  if (!(lumen > 0)) notes.look('light', `how much light it gives is not told; ${UNTOLD.lumen} lm are taken`)
  if (angle > 0 && !(wide > angle))
    notes.look('light', 'its field angle is not wider than its beam angle; a fifth more is taken')
  const ratio = angle > 0 && wide > angle ? wide / angle : UNTOLD.field / UNTOLD.beam
  const row = (width: number) => {
    const narrow = Math.min(WIDEST.beam, width)
    const field = Math.min(WIDEST.field, neatest(narrow * ratio, 1e-9))
    return {
      beam: narrow,
      field,
      candela: Math.min(
        1e9,
        Number(((lumen > 0 ? lumen : UNTOLD.lumen) / lumenPerCandela(narrow, field)).toPrecision(5)),
      ),
    }
  }
  const zoom = functions.filter(({ attribute }) => attribute === 'Zoom').flatMap(({ from, to }) => [from, to])
  const [low, high] = [Math.min(...zoom), Math.max(...zoom)]
  if (zoom.length === 0) return [row(angle > 0 ? angle : UNTOLD.beam)]
  if (low > 0.05 && high > low) return [row(low), row(high)]
  notes.look('zoom', `its range, ${low} to ${high}, is no range of angles; its light is taken as fixed`)
  return [row(angle > 0 ? angle : UNTOLD.beam)]
}
