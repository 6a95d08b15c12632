/** What stands in the light of a head, as it is cut: seen as the light falls, from behind the head. */
import { gatePath } from '../../drawing/gatePath'
import { openingOf, type LightShape } from '../../light/gate'
import { litRings } from '../../light/shapedPool'
import { inPoints, INKS, type Drawing } from './pen'

/** Whether anything in a light is worth drawing. */
export const isShaped = ({ blades, gobos, iris }: LightShape) => blades.length > 0 || gobos.length > 0 || iris < 1

export function gateDrawing(shape: LightShape, sizeMm: number): Drawing {
  const lit = gatePath(litRings(shape, openingOf(shape)), 10)
  const size = inPoints(sizeMm)
  return {
    svg:
      `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="-10.5 -10.5 21 21">` +
      `<circle cx="0" cy="0" r="10" fill="${INKS.fill}" stroke="${INKS.middle}" stroke-width="0.5"/>` +
      (lit ? `<path d="${lit}" fill="${INKS.lit}" stroke="${INKS.light}" stroke-width="0.6"/>` : '') +
      '</svg>',
    widthMm: sizeMm,
    heightMm: sizeMm,
  }
}
