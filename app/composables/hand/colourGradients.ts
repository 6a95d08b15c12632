/** Backgrounds that show what sliders and fields of colours do. */
import { colourBetween, hexOf, WHITE, whiteOf, type Colour } from '#core/colour/colour'
import { colourOfHue } from '#core/colour/hue'
import type { HandPart } from './useHandColour'

const STOPS = 12

function along(colourAt: (part: number) => Colour): string {
  const stops = Array.from({ length: STOPS + 1 }, (_, i) => hexOf(colourAt(i / STOPS)))
  return `linear-gradient(to right, ${stops.join(', ')})`
}

/** Hues across, saturation upwards. */
export const HUES = `linear-gradient(to top, ${hexOf(colourOfHue({ hue: 0, saturation: 0 }))}, transparent), ${along(
  (part) => colourOfHue({ hue: part * 360, saturation: 1 }),
)}`

/** The part of the CIE 1931 diagram that is drawn: x from 0 to `wide`, y from 0 to `high`. */
export const DIAGRAM = { wide: 0.75, high: 0.85 } as const

/** The whites the track of temperatures runs over, kelvin. */
export const TEMPERATURES = { min: 2000, max: 10000 } as const
export const temperatureAt = (part: number) =>
  1 / (1 / TEMPERATURES.min + part * (1 / TEMPERATURES.max - 1 / TEMPERATURES.min))
export const partOfTemperature = (kelvin: number) =>
  (1 / kelvin - 1 / TEMPERATURES.min) / (1 / TEMPERATURES.max - 1 / TEMPERATURES.min)
/** Equal steps look equal: they are steps of one million parts by the temperature. */
export const WHITES_ALONG = along((part) => whiteOf(temperatureAt(part)))

/** From dark to a colour as bright as it can be had. */
export const levelsOf = (colour: Colour) =>
  along((part) => colourBetween({ ...colour, level: 0 }, { ...colour, level: 1 }, part))

/** What more of a part that mixes a colour does: from white through glass, from dark to light of its own. */
export function gradientOf({ kind, look }: Pick<HandPart, 'kind' | 'look'>): string {
  const colour = { ...look, level: 1 }
  return along((part) => colourBetween(kind === 'flags' ? WHITE : { ...colour, level: 0 }, colour, part))
}
