/** What is listened to in this window, and how: nobody else's business, so it is not in the show. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { HeardStatus } from '#core/output/heard'
import { receivedPictures, receivedValues } from '#core/output/received'
import { LOOPBACK, PROTOCOLS, type Protocol } from '#core/show/entities'
import { useShow } from './show'

/** The parts of the Output room. */
export const OUTPUT_VIEWS = [
  { key: 'out', name: 'As it goes out' },
  { key: 'in', name: 'As it comes in' },
  { key: 'beside', name: 'Received beside ours' },
  { key: 'trackers', name: 'Trackers' },
  { key: 'controls', name: 'Controls' },
] as const
export type OutputView = (typeof OUTPUT_VIEWS)[number]['key']

type Levels = ReadonlyMap<number, Uint8Array>

export const useInputRoom = defineStore('inputRoom', () => {
  const store = useShow()
  const view = ref<OutputView>('out')
  const from = useLocalStorage<string>('rhopander-listen-from', LOOPBACK)
  const protocol = useLocalStorage<Protocol>('rhopander-listen-protocol', PROTOCOLS[0])
  /** The number universe 1 of the show comes in by. */
  const first = useLocalStorage('rhopander-listen-first', 1)
  /** What the listening line brings. */
  const heardLevels = shallowRef<ReadonlyMap<Protocol, Levels> | null>(null)
  const heard = shallowRef<HeardStatus | null>(null)
  /** What goes out from here, by universe. */
  const ours = shallowRef<Levels | null>(null)

  const isListening = computed(() => view.value === 'in' || view.value === 'beside')
  /** What comes in, by the universes of the show. */
  const levels = computed<Levels>(() => {
    const all = heardLevels.value?.get(protocol.value) ?? new Map<number, Uint8Array>()
    return new Map([...all].map(([number, bytes]) => [number - first.value + 1, bytes]))
  })
  const values = computed(() => (store.view ? receivedValues(store.view, levels.value) : new Map()))
  const pictures = computed(() => (store.view ? receivedPictures(store.view, values.value) : []))
  /** Our own levels read the same way: both pictures are of what is on the wire. */
  const ourPictures = computed(() =>
    store.view && ours.value ? receivedPictures(store.view, receivedValues(store.view, ours.value)) : [],
  )
  /** The sources of the protocol listened to, by the number of the universe. */
  const sources = computed(() =>
    (heard.value?.sources ?? [])
      .filter((one) => one.protocol === protocol.value)
      .sort((a, b) => a.universe - b.universe || b.priority - a.priority),
  )

  return {
    ...{ view, from, protocol, first, heardLevels, heard, ours, isListening },
    ...{ levels, values, pictures, ourPictures, sources },
  }
})
