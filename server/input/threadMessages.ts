/** What the server and its listening thread say to each other. */
import type { SourceTold } from '#core/output/sources'
import type { Protocol } from '#core/show/entities'

/** Begins or ends listening on an interface; `universes` are joined by multicast. */
export type ToInputThread =
  | { readonly kind: 'listen'; readonly from: string; readonly universes: readonly number[] }
  | { readonly kind: 'leave'; readonly from: string }

/** Universes that came in otherwise than before, by protocol and number, or what was heard in the last second. */
export type FromInputThread =
  | { readonly from: string; readonly levels: readonly (readonly [Protocol, number, Uint8Array])[] }
  | {
      readonly from: string
      readonly heard: { readonly sources: SourceTold[]; readonly leftOut: number; readonly trouble: string | null }
      readonly load: number
    }
