/** What the light of a fixture looks like on a screen: as mixed, through the slot of its colour wheel. */
import { colourOfLevels, screenOf } from '../colour/colour'
import { coloursOf, colourWheelOf, madeColour, slotShown } from '../show/colours'
import type { StageFixture } from './onStage'

/** Red, green and blue of sRGB, each 0 to 1. */
export type ScreenColour = ReturnType<typeof screenOf>

const known = new WeakMap<StageFixture, ScreenColour>()

/** The colour of a fixture's light at full intensity. */
export function shownColour(fixture: StageFixture): ScreenColour {
  const shown = known.get(fixture) ?? workedOut(fixture)
  known.set(fixture, shown)
  return shown
}

function workedOut({ rigged: { type }, colour, colourSlot }: StageFixture): ScreenColour {
  const { look } = madeColour(type, colour)
  const wheel = colourWheelOf(type)
  const glass = wheel && coloursOf(wheel)[slotShown(type, colour, colourSlot)]
  if (!glass) return screenOf(look)
  return type.mixing ? through(screenOf(glass), screenOf(look)) : screenOf(glass)
}

/** Light through glass: band by band, as the parts of a screen have them. */
function through(glass: ScreenColour, light: ScreenColour): ScreenColour {
  const bands = (colour: ScreenColour) => [colour.red, colour.green, colour.blue].map((part) => part ** 2.2)
  const [red = 0, green = 0, blue = 0] = bands(glass).map((part, i) => part * (bands(light)[i] ?? 0))
  return screenOf(colourOfLevels(red, green, blue))
}
