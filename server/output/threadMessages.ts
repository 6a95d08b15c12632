/** What the server and its output thread say to each other. */
import type { Universes } from '#core/output/channelLevels'
import type { SendingStatus } from '#core/output/sendingStatus'
import type { ChangeSet } from '#core/show/changes'
import type { ShowId } from '#core/show/ids'
import type { Collections } from '#core/show/show'
import type { TrackedPlaces } from '#core/tracking/following'
import type { TrackerPlace } from '#core/tracking/wire/psn'

/**
 * A show begins to be worked out, changes, or is no longer asked for. `ahead` is how far the clock that
 * cues run by is ahead of this machine's, milliseconds. It is sent over the network between `send` and
 * `hold`; `installation` is what receivers know the sender by, and `isSentOn` says that another server
 * sends it from then on, so that nobody is told goodbye.
 */
export type ToThread =
  | { readonly kind: 'open'; readonly show: ShowId; readonly all: Collections; readonly ahead: number }
  | { readonly kind: 'changes'; readonly show: ShowId; readonly changes: ChangeSet }
  | { readonly kind: 'close'; readonly show: ShowId }
  | { readonly kind: 'send'; readonly show: ShowId; readonly installation: string }
  | { readonly kind: 'hold'; readonly show: ShowId; readonly isSentOn: boolean }
  /** Where trackers are, in their own frame, as it was just heard. */
  | { readonly kind: 'trackers'; readonly show: ShowId; readonly trackers: readonly TrackerPlace[] }
  | { readonly kind: 'end' }

/** What the thread can tell of sending. */
export type ThreadStatus = Omit<SendingStatus, 'by' | 'trouble'>

/** The universes of a show that are different now, where what follows trackers is, how sending goes, why it cannot be worked out, or that all has ended. */
export type FromThread =
  | { readonly show: ShowId; readonly changed: Universes }
  | { readonly show: ShowId; readonly places: TrackedPlaces }
  | { readonly show: ShowId; readonly status: ThreadStatus }
  | { readonly show: ShowId; readonly fault: string }
  | { readonly ended: true }
