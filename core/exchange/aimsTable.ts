/** The aims of a palette as a table: where it takes each fixture in the venue in play. */
import { LEADING } from '../attributes/catalogue'
import { fixturesServed } from '../refocus/effects'
import { paletteValueFor, resolveValue } from '../palettes/resolve'
import { solvePosition, solveZoom } from '../palettes/solve'
import { HOME, type Pose } from '../kinematics/head'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { stageOf } from '../venue/stage'

/** One fixture's aim by a palette. Degrees and metres; empty where there is none. */
export interface AimLine {
  readonly palette: number
  readonly paletteName: string
  readonly number: number
  readonly name: string
  readonly target: string
  readonly pan: string
  readonly tilt: string
  readonly throw: string
  readonly zoom: string
  readonly pool: string
  readonly state: string
  readonly short: string
  readonly miss: string
  /** How far each axis is on its way, of 100 and as levels, as the fixture's mode runs. */
  readonly panPercent: string
  readonly pan8: string
  readonly pan16: string
  readonly pan24: string
  readonly tiltPercent: string
  readonly tilt8: string
  readonly tilt16: string
  readonly tilt24: string
}

export const AIM_COLUMNS: readonly { readonly key: keyof AimLine; readonly header: string }[] = [
  { key: 'palette', header: 'palette' },
  { key: 'paletteName', header: 'palette name' },
  { key: 'number', header: 'number' },
  { key: 'name', header: 'name' },
  { key: 'target', header: 'target' },
  { key: 'pan', header: 'pan (deg)' },
  { key: 'tilt', header: 'tilt (deg)' },
  { key: 'throw', header: 'throw (m)' },
  { key: 'zoom', header: 'zoom (deg)' },
  { key: 'pool', header: 'pool (m)' },
  { key: 'state', header: 'state' },
  { key: 'short', header: 'short (deg)' },
  { key: 'miss', header: 'miss (m)' },
  { key: 'panPercent', header: 'pan (%)' },
  { key: 'pan8', header: 'pan (8 bit)' },
  { key: 'pan16', header: 'pan (16 bit)' },
  { key: 'pan24', header: 'pan (24 bit)' },
  { key: 'tiltPercent', header: 'tilt (%)' },
  { key: 'tilt8', header: 'tilt (8 bit)' },
  { key: 'tilt16', header: 'tilt (16 bit)' },
  { key: 'tilt24', header: 'tilt (24 bit)' },
]

/** The aims of some palettes one after the other, in the venue in play. */
export function aimsOfPalettes(show: Show, palettes: readonly PaletteId[]): AimLine[] {
  return palettes.flatMap((palette) => aimsOfPalette(show, palette))
}

export function aimsOfPalette(show: Show, palette: PaletteId): AimLine[] {
  const lines: AimLine[] = []
  const known = show.all.palette.get(palette)
  for (const id of fixturesServed(show, palette)) {
    const rigged = rigOf(show).get(id)
    const stored = rigged && paletteValueFor(show, palette, rigged, LEADING.place)
    if (!rigged || !stored) continue
    const { value } = resolveValue(show, rigged, LEADING.place, stored)
    const solved = solvePosition(rigged.mount, stageOf(show), value, HOME)
    const zoom = zoomBy(show, palette, rigged, solved.throwMetres)
    lines.push({
      palette: known?.number ?? 0,
      paletteName: known?.name ?? '',
      number: rigged.fixture.number,
      name: rigged.fixture.name,
      target: value?.kind === 'aim' && value.target ? (show.all.target.get(value.target)?.name ?? '') : '',
      pan: solved.pose.pan.toFixed(4),
      tilt: solved.pose.tilt.toFixed(4),
      throw: solved.throwMetres === null ? '' : solved.throwMetres.toFixed(3),
      zoom: zoom ? zoom.angle.toFixed(2) : '',
      pool: zoom?.pool ? zoom.pool.toFixed(3) : '',
      state: solved.state,
      short: solved.shortDegrees > 0 ? solved.shortDegrees.toFixed(3) : '',
      miss: solved.missMetres > 0 ? solved.missMetres.toFixed(3) : '',
      ...levelsOf(show, rigged, solved.pose),
    })
  }
  return lines.sort((a, b) => a.number - b.number)
}

function zoomBy(show: Show, palette: PaletteId, rigged: RiggedFixture, throwMetres: number | null) {
  const stored = paletteValueFor(show, palette, rigged, LEADING.width)
  const value = stored && resolveValue(show, rigged, LEADING.width, stored).value
  return value ? solveZoom(rigged, value, throwMetres) : null
}

function levelsOf(show: Show, rigged: RiggedFixture, pose: Pose) {
  const pan = partOfWay(show, rigged, 'pan', pose.pan)
  const tilt = partOfWay(show, rigged, 'tilt', pose.tilt)
  const level = (part: number, bits: number) => String(Math.round(part * (2 ** bits - 1)))
  return {
    panPercent: (100 * pan).toFixed(4),
    pan8: level(pan, 8),
    pan16: level(pan, 16),
    pan24: level(pan, 24),
    tiltPercent: (100 * tilt).toFixed(4),
    tilt8: level(tilt, 8),
    tilt16: level(tilt, 16),
    tilt24: level(tilt, 24),
  }
}

/** How far an axis is on its way from the lowest level to the highest, 0 to 1, as its mode's channel runs; without one, as its type does. */
function partOfWay(show: Show, { fixture, type }: RiggedFixture, axis: 'pan' | 'tilt', degrees: number): number {
  const channels = show.all.fixtureMode.get(fixture.mode ?? '')?.channels ?? []
  const driven = channels.flatMap(({ functions }) => functions).find(({ does }) => does === axis)
  const { min, max, reversed } = type[axis]
  const { from, to } = driven ?? (reversed ? { from: max, to: min } : { from: min, to: max })
  return from === to ? 0 : Math.min(1, Math.max(0, (degrees - from) / (to - from)))
}

/**
 * Text as a spreadsheet may safely open it: what would run as a formula is led by an apostrophe.
 * Numbers, negative ones too, stay numbers.
 */
export function withoutFormula(text: string): string {
  if (text.trim() !== '' && Number.isFinite(Number(text))) return text
  return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
}
