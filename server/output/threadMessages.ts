/** What the server and its output thread say to each other. */
import type { Universes } from '#core/output/channelLevels'
import type { ChangeSet } from '#core/show/changes'
import type { ShowId } from '#core/show/ids'
import type { Collections } from '#core/show/show'

/**
 * A show begins to be sent, changes, or is no longer listened to. `ahead` is how far the clock that
 * cues run by is ahead of this machine's, milliseconds.
 */
export type ToThread =
  | { readonly kind: 'open'; readonly show: ShowId; readonly all: Collections; readonly ahead: number }
  | { readonly kind: 'changes'; readonly show: ShowId; readonly changes: ChangeSet }
  | { readonly kind: 'close'; readonly show: ShowId }

/** The universes of a show that are different now, or why they cannot be worked out. */
export type FromThread =
  { readonly show: ShowId; readonly changed: Universes } | { readonly show: ShowId; readonly fault: string }
