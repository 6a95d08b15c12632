/** Tells a page where targets are that follow trackers, as often as anybody can see it. */
import { followedTargets } from '#core/tracking/tracked'
import type { TrackedPlaces } from '#core/tracking/following'
import type { Outputs } from '../output/outputs'
import type { LiveShow } from '../shows/liveShow'

/** Milliseconds from one telling to the next. */
const BETWEEN = 50
const NOWHERE: TrackedPlaces = new Map()

/** Listens only while anything follows; nothing is told as empty once. Returns how to stop. */
export function feedTracked(
  live: LiveShow,
  outputs: Pick<Outputs, 'subscribe'>,
  tell: (places: TrackedPlaces) => void,
): () => void {
  let stop: (() => void) | null = null
  let newest: TrackedPlaces = NOWHERE
  let timer: ReturnType<typeof setTimeout> | undefined
  const tellNewest = () => {
    timer = undefined
    tell(newest)
  }
  const receive = (places: TrackedPlaces) => {
    newest = places
    timer ??= setTimeout(tellNewest, BETWEEN)
  }
  const end = () => {
    stop?.()
    stop = null
    clearTimeout(timer)
    timer = undefined
  }
  const look = () => {
    const isWanted = followedTargets(live.show).length > 0
    if (isWanted === (stop !== null)) return
    if (isWanted) stop = outputs.subscribe(live, { levels: () => undefined, places: receive })
    else {
      end()
      tell(NOWHERE)
    }
  }
  const unsubscribe = live.subscribe({ entry: look, reloaded: look })
  look()
  return () => {
    unsubscribe()
    end()
  }
}
