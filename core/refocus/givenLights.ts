/** The light of what palettes give in one venue: worked out once for fixtures that are given the same by several. */
import { HOME } from '../kinematics/head'
import { solvePosition, solveZoom } from '../palettes/solve'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import type { AimValue, PlainValue } from '../show/values'
import { stageOf } from '../venue/stage'
import { lightOf, type LightThere } from './lightThere'
import { LightsKnown } from './lightsKnown'

/** What a fixture is given for its place and how wide it is. */
interface Given {
  readonly place: PlainValue | null
  readonly width: PlainValue | null
}

/** The lights of one show in its venue, by what fixtures are given. */
export class GivenLights {
  readonly #known = new LightsKnown<Given>(isSameGiven)

  constructor(readonly show: Show) {}

  /** A fixture's light at a place and as wide as it is given; turned from home where no way round is chosen. */
  of(rigged: RiggedFixture, given: Given): LightThere {
    return this.#known.of(rigged, panOf(given.place), given, () => {
      const position = solvePosition(rigged.mount, stageOf(this.show), given.place, HOME)
      return lightOf(this.show, { rigged, position, zoom: solveZoom(rigged, given.width, position.throwMetres) })
    })
  }
}

const isSameGiven = (a: Given, b: Given) => isSameValue(a.place, b.place) && isSameValue(a.width, b.width)

function panOf(place: PlainValue | null): number {
  if (place?.kind === 'aim') return place.choice?.pan ?? 0
  return place?.kind === 'angles' ? place.pan : 0
}

/** Whether two values say the same. May say no of those that differ for other venues only. */
function isSameValue(a: PlainValue | null, b: PlainValue | null): boolean {
  if (a === b) return true
  if (a === null || b === null) return false
  if (a.kind === 'aim') return b.kind === 'aim' && isSameAim(a, b)
  if (a.kind === 'angles')
    return b.kind === 'angles' && a.pan === b.pan && a.tilt === b.tilt && a.elsewhere === b.elsewhere
  if (a.kind === 'pool') return b.kind === 'pool' && a.diameter === b.diameter
  return a.kind === 'number' && b.kind === 'number' && a.number === b.number
}

function isSameAim(a: AimValue, b: AimValue): boolean {
  return (
    a.target === b.target &&
    a.at === b.at &&
    a.offset.x === b.offset.x &&
    a.offset.y === b.offset.y &&
    a.offset.z === b.offset.z &&
    a.elsewhere === b.elsewhere &&
    a.choice?.pan === b.choice?.pan &&
    a.choice?.side === b.choice?.side
  )
}
