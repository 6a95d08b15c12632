/** The levels that go out, as the server sends them while this is looked at, and how sending goes. */
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import { z } from 'zod'
import { sendingStatus, type SendingStatus } from '#core/output/sendingStatus'
import type { ShowId } from '#core/show/ids'

const levelsEvent = z.array(z.tuple([z.number().int(), z.base64()]))

/** By universe, 512 levels from 0 to 255; both null while it is switched off. */
export function useOutput(show: () => ShowId | undefined, isOn: Ref<boolean>) {
  const levels = shallowRef<ReadonlyMap<number, Uint8Array> | null>(null)
  const status = shallowRef<SendingStatus | null>(null)
  let source: EventSource | null = null

  function stop() {
    source?.close()
    source = null
    levels.value = null
    status.value = null
  }

  function listen(id: ShowId) {
    source = new EventSource(`/api/shows/${id}/output`)
    source.addEventListener('levels', (event: MessageEvent<string>) => {
      const changed = levelsEvent.parse(JSON.parse(event.data))
      const next = new Map(levels.value)
      for (const [universe, text] of changed)
        next.set(
          universe,
          Uint8Array.from(atob(text), (byte) => byte.charCodeAt(0)),
        )
      levels.value = next
    })
    source.addEventListener('status', (event: MessageEvent<string>) => {
      status.value = sendingStatus.parse(JSON.parse(event.data))
    })
  }

  watch(
    () => (isOn.value ? show() : undefined),
    (id) => {
      stop()
      if (id) listen(id)
    },
    { immediate: true },
  )
  onScopeDispose(stop)
  return { levels, status }
}
