/** Bringing things of a list into another order: by dragging, with a mouse or a finger, or one place at a time by key. */
import { ref, watch, type Ref } from 'vue'
import { useDraggable } from 'vue-draggable-plus'

/** A finger that rests so long lifts a thing; one that moves on scrolls. Milliseconds. */
const LIFTS_AFTER = 180

/** `list` holds the things as its children; `items` are their names (ids) in order; `keep` is given the new order. */
export function useReorder<T extends string>(
  list: Readonly<Ref<HTMLElement | null>>,
  items: () => readonly T[],
  keep: (order: T[]) => void,
) {
  const order: Ref<T[]> = ref([])
  watch(items, (now) => (order.value = [...now]), { immediate: true })
  const { start } = useDraggable(list, order, {
    immediate: false,
    animation: 120,
    delay: LIFTS_AFTER,
    delayOnTouchOnly: true,
    ghostClass: 'opacity-40',
    onUpdate: () => keep([...order.value]),
  })
  watch(list, (element) => element && start(element), { flush: 'post', immediate: true })

  /** Moves a thing by one place; not beyond the ends. */
  function shift(item: T, by: 1 | -1) {
    const now = items()
    const from = now.indexOf(item)
    const other = now[from + by]
    if (from < 0 || other === undefined) return
    keep(now.map((one, i) => (i === from ? other : i === from + by ? item : one)))
  }

  return { shift }
}
