/** A line on which the server tells how something is, whenever that changes, while it is looked at. */
import { onScopeDispose, shallowRef, watch } from 'vue'
import type { z } from 'zod'

/** Null while nothing was told; `path` may be null where nothing is asked for. */
export function useStatusLine<T>(path: () => string | null, read: z.ZodType<T>) {
  const status = shallowRef<T | null>(null)
  let source: EventSource | null = null

  function stop() {
    source?.close()
    source = null
    status.value = null
  }
  watch(
    path,
    (wanted) => {
      stop()
      if (wanted === null) return
      source = new EventSource(wanted)
      source.addEventListener('status', (event: MessageEvent<string>) => {
        status.value = read.parse(JSON.parse(event.data))
      })
    },
    { immediate: true },
  )
  onScopeDispose(stop)
  return status
}
