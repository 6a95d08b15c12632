/** What the server and its listening thread say to each other. */
import type { SourceTold } from '#core/output/sources'
import type { Protocol } from '#core/show/entities'
import type { TrackerPlace } from '#core/tracking/wire/psn'

/** Begins or ends listening on an interface, to levels or to trackers; `universes` are joined by multicast. */
export type ToInputThread =
  | { readonly kind: 'listen'; readonly from: string; readonly universes: readonly number[] }
  | { readonly kind: 'leave'; readonly from: string }
  | { readonly kind: 'track' | 'stop tracking'; readonly from: string }

/** What trackers say of themselves, each second. */
export interface TrackersTold {
  readonly system: string
  readonly names: readonly (readonly [tracker: number, name: string])[]
  readonly trouble: string | null
}

/**
 * Universes that came in otherwise than before, by protocol and number, what was heard in the last second,
 * where trackers are in their own frame, or what they say of themselves.
 */
export type FromInputThread =
  | { readonly from: string; readonly levels: readonly (readonly [Protocol, number, Uint8Array])[] }
  | {
      readonly from: string
      readonly heard: { readonly sources: SourceTold[]; readonly leftOut: number; readonly trouble: string | null }
      readonly load: number
    }
  | { readonly from: string; readonly trackers: readonly TrackerPlace[] }
  | { readonly from: string; readonly told: TrackersTold }
