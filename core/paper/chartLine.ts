/** What a focus chart says of one fixture by one palette. */
import { kindOf, attributeName, type Attribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import type { StageFixture } from '../cues/onStage'
import { attributesServed, paletteValueFor, resolveValue } from '../palettes/resolve'
import { lightOf, type LightThere } from '../refocus/lightThere'
import { valueInWords } from '../refocus/paletteLines'
import { fixtureNumber } from '../show/cells'
import { touchUpId } from '../show/compositeIds'
import type { PaletteId } from '../show/ids'
import { lightShape } from '../show/lightShape'
import { listInWords } from '../show/listInWords'
import { showRecordOf, type Show } from '../show/show'
import { words } from './cell'
import { gateDrawing, isShaped } from './drawing/gateDrawing'
import type { Column, PaperCell } from './leaf'

/** Drawn this wide, millimetres. */
const GATE_MM = 9

/** What tells how a light is turned, shaped and how far it goes. */
export const LIGHT_COLUMNS: readonly Column[] = [
  { title: 'pan', align: 'right' },
  { title: 'tilt', align: 'right' },
  { title: 'zoom', align: 'right' },
  { title: 'edge', align: 'right' },
  { title: 'cut', align: 'centre' },
  { title: 'throw', align: 'right' },
  { title: 'lux', align: 'right' },
  { title: 'also' },
]

export function lightCells(show: Show, palette: PaletteId, fixture: StageFixture): PaperCell[] {
  const light = lightOf(show, fixture)
  const shape = lightShape(fixture.rigged.type, fixture.amounts)
  return [
    words(`${light.pan.toFixed(1)}°`),
    words(`${light.tilt.toFixed(1)}°`),
    words(hasZoom(fixture) ? `${fixture.zoom.angle.toFixed(1)}°` : ''),
    words(stored(show, palette, fixture, 'edge') ?? ''),
    isShaped(shape) ? { kind: 'drawing', drawing: gateDrawing(shape, GATE_MM) } : words(''),
    words(light.throwMetres === null ? '' : `${light.throwMetres.toFixed(2)} m`),
    words(light.lux === null ? '' : String(Math.round(light.lux))),
    words([...troublesOf(show, light), ...alsoGiven(show, palette, fixture)].join(', ')),
  ]
}

const hasZoom = ({ rigged }: StageFixture) => rigged.type.has.includes(LEADING.width)

/** What a palette gives an attribute of a fixture, in words; null where it gives none. */
function stored(show: Show, palette: PaletteId, { rigged }: StageFixture, attribute: Attribute): string | null {
  const content = paletteValueFor(show, palette, rigged, attribute)
  const value = content && resolveValue(show, rigged, attribute, content).value
  return value && valueInWords(show, value, attribute, rigged.type)
}

/** Told by columns of their own, or drawn. */
const isTold = (attribute: Attribute) =>
  attribute === LEADING.place ||
  attribute === LEADING.width ||
  attribute === 'edge' ||
  kindOf(attribute).family === 'shutters'

/** What else the palette gives it, and whether it was touched up here. */
function alsoGiven(show: Show, palette: PaletteId, fixture: StageFixture): string[] {
  const { rigged } = fixture
  const also = attributesServed(show, palette, rigged)
    .filter((attribute) => !isTold(attribute))
    .map((attribute) => `${attributeName(attribute)} ${stored(show, palette, fixture, attribute) ?? ''}`)
  const isTouchedUp = show.all.touchUp.has(touchUpId(showRecordOf(show).venue, palette, rigged.id))
  return [...(isTouchedUp ? ['touched up here'] : []), ...also]
}

/** What keeps a light from being as it is meant, in words. */
function troublesOf(show: Show, light: LightThere): string[] {
  const { state, shortDegrees, missMetres, fits, blockedBy, zones } = light
  const found: string[] = []
  if (state === 'out of reach')
    found.push(`out of reach: ${shortDegrees.toFixed(1)}° short, misses by ${missMetres.toFixed(2)} m`)
  if (state === 'outside stops') found.push('outside its stops')
  if (state === 'no place here') found.push('its place is not in this venue')
  if (!fits) found.push('its zoom does not go that far')
  if (blockedBy) found.push(`${show.all.setPiece.get(blockedBy)?.name ?? 'a set piece'} in the way`)
  if (zones.length > 0) found.push(`meets ${listInWords(zones)}`)
  return found
}

/** Number, type, and where it hangs. */
export function fixtureInWords(show: Show, { rigged }: Pick<StageFixture, 'rigged'>) {
  const { fixture, type, place } = rigged
  return {
    number: fixtureNumber(fixture),
    type: type.name,
    hang: `${show.all.hang.get(place.hang)?.name ?? ''} ${place.along.toFixed(2)}`,
  }
}
