/** What the light of a fixture looks like on a screen: as mixed, through the slot of its colour wheel. */
import { kindOf } from '../attributes/attribute'
import { colourOfLevels, screenOf, whiteOf } from '../colour/colour'
import type { Amounts } from '../show/amounts'
import { rangeOf } from '../show/attributeRange'
import { coloursOf, colourWheelOf, madeColour, slotShown } from '../show/colours'
import type { FixtureType } from '../show/entities'
import { numberOf, type PlainColour } from '../show/values'
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

function workedOut({ rigged: { type }, colour, colourSlot, amounts }: StageFixture): ScreenColour {
  return mixedColour(type, { colour, slot: colourSlot, amounts })
}

/** The colour of a type's light: mixed, through the slot of its colour wheel, warmed or cooled. */
export function mixedColour(
  type: FixtureType,
  { colour, slot, amounts }: { readonly colour: PlainColour; readonly slot: number; readonly amounts: Amounts },
): ScreenColour {
  return warmed(type, amounts, mixed(type, colour, slot))
}

function mixed(type: FixtureType, colour: PlainColour, colourSlot: number): ScreenColour {
  const { look } = madeColour(type, colour)
  const wheel = colourWheelOf(type)
  const glass = wheel && coloursOf(wheel)[slotShown(type, colour, colourSlot)]
  if (!glass) return screenOf(look)
  return type.mixing ? through(screenOf(glass), screenOf(look)) : screenOf(glass)
}

/** Light tinted, and warmed or cooled from the white it rests at, as glass of the difference would. */
function warmed(type: FixtureType, amounts: Amounts, light: ScreenColour): ScreenColour {
  let shown = light
  for (const [attribute, amount] of amounts) {
    const { seenAs } = kindOf(attribute)
    if (seenAs === 'tint') shown = through(tintGlass(numberOf(amount)), shown)
    if (seenAs !== 'temperature') continue
    const whiteAt = (kelvin: number) => screenOf({ ...whiteOf(kelvin), level: 1 })
    const [now, atRest] = [whiteAt(numberOf(amount)), whiteAt(rangeOf(type, attribute).home)]
    const part = (band: keyof ScreenColour) => Math.min(1, now[band] / Math.max(0.05, atRest[band]))
    shown = through({ red: part('red'), green: part('green'), blue: part('blue') }, shown)
  }
  return shown
}

/** How much of the other bands is gone at the end of a tint's way. */
const TINTED = 0.35
/** The glass that a tint is as: towards magenta below 0, towards green above. */
function tintGlass(tint: number): ScreenColour {
  const [green, others] = tint < 0 ? [1 + TINTED * tint, 1] : [1, 1 - TINTED * tint]
  return { red: others, green, blue: others }
}

/** Light through glass: band by band, as the parts of a screen have them. */
function through(glass: ScreenColour, light: ScreenColour): ScreenColour {
  const bands = (colour: ScreenColour) => [colour.red, colour.green, colour.blue].map((part) => part ** 2.2)
  const [red = 0, green = 0, blue = 0] = bands(glass).map((part, i) => part * (bands(light)[i] ?? 0))
  return screenOf(colourOfLevels(red, green, blue))
}
