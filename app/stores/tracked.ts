/** Where targets are that follow trackers, as the server tells it. */
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { TrackedPlaces } from '#core/tracking/following'

const NOWHERE: TrackedPlaces = new Map()

export const useTracked = defineStore('tracked', () => {
  const places = shallowRef(NOWHERE)
  const receive = (told: TrackedPlaces) => (places.value = told)
  const clear = () => (places.value = NOWHERE)
  return { places, receive, clear }
})
