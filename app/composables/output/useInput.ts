/** What comes in over the network, as the server hears it while this is looked at. */
import { onScopeDispose, shallowRef, watch } from 'vue'
import { heardLevels, heardStatus, type HeardStatus } from '#core/output/heard'
import type { Protocol } from '#core/show/entities'
import type { ShowId } from '#core/show/ids'

export interface Listening {
  readonly show: ShowId
  /** The address of the interface, and the number universe 1 of the show comes in by. */
  readonly from: string
  readonly first: number
}

/** Levels by protocol and the number they come by, counting from 1; null while nothing is listened to. */
export function useInput(asked: () => Listening | null) {
  const levels = shallowRef<ReadonlyMap<Protocol, ReadonlyMap<number, Uint8Array>> | null>(null)
  const heard = shallowRef<HeardStatus | null>(null)
  let source: EventSource | null = null

  function stop() {
    source?.close()
    source = null
    levels.value = null
    heard.value = null
  }

  function listen({ show, from, first }: Listening) {
    source = new EventSource(`/api/shows/${show}/input?from=${from}&first=${first}`)
    source.addEventListener('levels', (event: MessageEvent<string>) => {
      const next = new Map(levels.value)
      for (const [protocol, universe, text] of heardLevels.parse(JSON.parse(event.data))) {
        const bytes = Uint8Array.from(atob(text), (byte) => byte.charCodeAt(0))
        next.set(protocol, new Map(next.get(protocol)).set(universe, bytes))
      }
      levels.value = next
    })
    source.addEventListener('heard', (event: MessageEvent<string>) => {
      heard.value = heardStatus.parse(JSON.parse(event.data))
    })
  }

  watch(
    () => JSON.stringify(asked()),
    () => {
      stop()
      const listening = asked()
      if (listening) listen(listening)
    },
    { immediate: true },
  )
  onScopeDispose(stop)
  return { levels, heard }
}
