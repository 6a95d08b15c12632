/** Colours as fixture types write them: CIE 1931 x and y, and luminance Y of 100. */
import { colourOfHex, colourOfLight, hexOf, tristimulus, type Chromaticity, type Colour } from '../../colour/colour'
import { numberFrom, numberText } from '../xml/xml'

export interface LightColour extends Chromaticity {
  readonly luminance: number
}

/** Reads "x,y,Y"; null for what is none or no colour there can be. */
export function readColour(text: string): LightColour | null {
  const [x, y, luminance] = text.split(',').map((part) => numberFrom(part.trim()))
  if (x == null || y == null || luminance == null) return null
  if (x < 0 || x > 1 || y < 0.001 || y > 1 || x + y > 1.001 || luminance < 0) return null
  return { x, y, luminance }
}

export function colourText({ x, y, luminance }: LightColour): string {
  return [x, y, luminance].map(numberText).join(',')
}

const FAINT = 0.01
/** The luminance of a colour, of 1 for white: its level by that of the same chromaticity where it is faint. */
function luminanceOf(colour: Colour): number {
  const { x, y, z } = tristimulus(colour)
  const faint = colourOfLight({ x: x * FAINT, y: y * FAINT, z: z * FAINT }).level
  return (FAINT * colour.level) / faint
}

/** "#rrggbb" as it is written; black, which has no chromaticity of its own, as dark white. */
export function colourTextOfHex(hex: string): string {
  const colour = colourOfHex(hex)
  if (!colour || colour.level === 0) return colourText({ x: 0.3127, y: 0.329, luminance: 0 })
  return colourText({ x: colour.x, y: colour.y, luminance: 100 * luminanceOf(colour) })
}

/** The nearest "#rrggbb" of a colour. */
export function hexOfLight({ x, y, luminance }: LightColour): string {
  const light = tristimulus({ x, y })
  const by = Math.min(100, luminance) / 100
  return hexOf(colourOfLight({ x: light.x * by, y: light.y * by, z: light.z * by }))
}
