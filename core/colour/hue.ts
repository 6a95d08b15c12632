/** Colours by hue and saturation, as screens have them: for choosing one by eye. */
import { convertHsvToRgb, convertRgbToHsv } from 'culori/fn'
import { colourOfScreen, screenOf, type Colour } from './colour'

/** `hue` in degrees from red by way of green; `saturation` from 0, white, to 1. */
export interface Hue {
  readonly hue: number
  readonly saturation: number
}

/** The colour of a hue, as bright as it can be had. */
export function colourOfHue({ hue, saturation }: Hue): Colour {
  const { r, g, b } = convertHsvToRgb({ h: hue, s: saturation, v: 1 })
  return { ...colourOfScreen({ red: r, green: g, blue: b }), level: 1 }
}

/** The hue nearest to a colour; what is white has hue 0. */
export function hueOf(colour: Colour): Hue {
  const { red, green, blue } = screenOf({ ...colour, level: 1 })
  const { h = 0, s } = convertRgbToHsv({ r: red, g: green, b: blue })
  return { hue: h, saturation: s }
}
