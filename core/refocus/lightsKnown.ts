/** What is known of the light of fixtures, found again by what tells most of it apart. */
import type { RiggedFixture } from '../show/rig'
import type { LightThere } from './lightThere'

interface Known<From> {
  readonly from: From
  readonly light: LightThere
}

/** Lights by fixture and pan, with what each was worked out from. */
export class LightsKnown<From> {
  readonly #known = new Map<RiggedFixture, Map<number, Known<From>[]>>()

  /** `isAlike` says whether two that share a fixture and a pan, degrees, make the same light. */
  constructor(private readonly isAlike: (a: From, b: From) => boolean) {}

  /** The light that comes of something, worked out only where none alike is known. */
  of(rigged: RiggedFixture, pan: number, from: From, workOut: () => LightThere): LightThere {
    const byPan = this.#known.get(rigged) ?? new Map<number, Known<From>[]>()
    const alike = byPan.get(pan) ?? []
    const known = alike.find((one) => this.isAlike(one.from, from))
    if (known) return known.light
    const light = workOut()
    alike.push({ from, light })
    this.#known.set(rigged, byPan.set(pan, alike))
    return light
  }
}
