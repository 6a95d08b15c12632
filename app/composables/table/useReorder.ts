/** Bringing things of a list into another order: by dragging one onto another, or one place at a time by key. */
import { ref, shallowRef, type Ref } from 'vue'

export interface Reorder<T> {
  /** What the dragged thing is over. */
  readonly over: Readonly<Ref<T | null>>
  readonly lift: (item: T) => void
  readonly hover: (item: T | null) => void
  /** Puts what is dragged where `target` stands. */
  readonly drop: (target: T) => void
  readonly end: () => void
  /** Moves a thing by one place. */
  readonly shift: (item: T, by: 1 | -1) => void
}

/** `items` are their names (ids) in order; `keep` is given the new order. */
export function useReorder<T extends string>(items: () => readonly T[], keep: (order: T[]) => void): Reorder<T> {
  const dragged = shallowRef<T | null>(null)
  const over: Ref<T | null> = ref(null)

  function place(moved: T, target: T) {
    const order = [...items()]
    const to = order.indexOf(target)
    if (moved === target || to < 0 || !order.includes(moved)) return
    const others = order.filter((item) => item !== moved)
    keep([...others.slice(0, to), moved, ...others.slice(to)])
  }

  function end() {
    dragged.value = null
    over.value = null
  }

  return {
    over,
    lift: (item) => (dragged.value = item),
    hover: (item) => (over.value = dragged.value === null ? null : item),
    drop(target) {
      const moved = dragged.value
      end()
      if (moved !== null) place(moved, target)
    },
    end,
    shift(item, by) {
      const target = items()[items().indexOf(item) + by]
      if (target !== undefined) place(item, target)
    },
  }
}
