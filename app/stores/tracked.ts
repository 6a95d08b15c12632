/** Where targets are that follow trackers, as the server tells it. */
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import type { stagePictureAt } from '#core/cues/stageAt'
import type { FixtureId, PersonId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { followedPicture, Followers } from '#core/tracking/followers'
import type { TrackedPlaces } from '#core/tracking/following'

const NOWHERE: TrackedPlaces = new Map()

export const useTracked = defineStore('tracked', () => {
  const places = shallowRef(NOWHERE)
  const receive = (told: TrackedPlaces) => (places.value = told)
  const clear = () => (places.value = NOWHERE)
  return { places, receive, clear }
})

type Picture = ReadonlyMap<FixtureId, StageFixture>

/** A way to see pictures of a show at an instant that turns what follows, each head on from how it was turned last. */
export function useFollowedPicture(pictureAt: typeof stagePictureAt) {
  const tracked = useTracked()
  const followers = new Followers()
  return (show: Show, person: PersonId, settled: Picture, now: number): Picture => {
    if (tracked.places.size === 0) return pictureAt(show, person, settled, now)
    const follow = followers.at(show, tracked.places)
    return pictureAt(show, person, followedPicture(show, settled, follow), now, follow)
  }
}
