/** The places that aims name, and what light can land on. */
import { derived } from '../show/derived'
import { TARGET_KINDS, targetsOf, type PlacedTargets } from '../show/targets'
import { SURFACE_KINDS, surfacesOf, type Surfaces } from './surfaces'

export interface Stage {
  readonly targets: Readonly<PlacedTargets>
  readonly surfaces: Surfaces
}

/** What the stage is worked out from. */
export const STAGE_KINDS = [...TARGET_KINDS, ...SURFACE_KINDS] as const
export type StageKind = (typeof STAGE_KINDS)[number]

/** The stage of the venue in play. */
export const stageOf = derived(STAGE_KINDS, (show): Stage => ({ targets: targetsOf(show), surfaces: surfacesOf(show) }))
