/** What the server and its output thread say to each other. */
import type { Universes } from '#core/output/channelLevels'
import type { ChangeSet } from '#core/show/changes'
import type { ShowId } from '#core/show/ids'
import type { Collections } from '#core/show/show'

/** A show begins to be sent, changes, or is no longer listened to. */
export type ToThread =
  | { readonly kind: 'open'; readonly show: ShowId; readonly all: Collections }
  | { readonly kind: 'changes'; readonly show: ShowId; readonly changes: ChangeSet }
  | { readonly kind: 'close'; readonly show: ShowId }

/** The universes of a show that are different now. */
export interface FromThread {
  readonly show: ShowId
  readonly changed: Universes
}
