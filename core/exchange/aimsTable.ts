/** The aims of a palette as a table: where it takes each fixture in the venue in play. */
import { LEADING } from '../attributes/catalogue'
import { fixturesServed } from '../refocus/effects'
import { paletteValueFor, resolveValue } from '../palettes/resolve'
import { solvePosition, solveZoom } from '../palettes/solve'
import { HOME } from '../kinematics/head'
import { rigOf } from '../show/rig'
import type { PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { stageOf } from '../venue/stage'

/** One fixture's aim. Degrees and metres; empty where there is none. */
export interface AimLine {
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
}

export const AIM_COLUMNS: readonly { readonly key: keyof AimLine; readonly header: string }[] = [
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
]

export function aimsOfPalette(show: Show, palette: PaletteId): AimLine[] {
  const lines: AimLine[] = []
  for (const id of fixturesServed(show, palette)) {
    const rigged = rigOf(show).get(id)
    const stored = rigged && paletteValueFor(show, palette, rigged, LEADING.place)
    if (!rigged || !stored) continue
    const { value } = resolveValue(show, rigged, LEADING.place, stored)
    const solved = solvePosition(rigged.mount, stageOf(show), value, HOME)
    const storedZoom = paletteValueFor(show, palette, rigged, LEADING.width)
    const zoomValue = storedZoom && resolveValue(show, rigged, LEADING.width, storedZoom).value
    const zoom = zoomValue ? solveZoom(rigged, zoomValue, solved.throwMetres) : null
    lines.push({
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
    })
  }
  return lines.sort((a, b) => a.number - b.number)
}

/**
 * Text as a spreadsheet may safely open it: what would run as a formula is led by an apostrophe.
 * Numbers, negative ones too, stay numbers.
 */
export function withoutFormula(text: string): string {
  if (text.trim() !== '' && Number.isFinite(Number(text))) return text
  return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
}
