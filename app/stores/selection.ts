/** Which fixtures this window has selected, in order. Never stored: it belongs to the window. */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { FixtureId } from '#core/show/ids'
import { useShow } from './show'

export const useSelection = defineStore('selection', () => {
  const show = useShow()
  const chosen = shallowRef<readonly FixtureId[]>([])

  /** The selection without fixtures that have gone. */
  const fixtures = computed(() => chosen.value.filter((id) => show.view?.all.fixture.has(id)))
  const order = computed(() => new Map(fixtures.value.map((id, i) => [id, i + 1])))

  function set(ids: readonly FixtureId[]) {
    chosen.value = [...new Set(ids)]
  }

  function add(ids: readonly FixtureId[]) {
    set([...chosen.value, ...ids])
  }

  /** Takes fixtures in, or lets go of them when all are in already. */
  function toggle(ids: readonly FixtureId[]) {
    if (ids.every((id) => chosen.value.includes(id))) chosen.value = chosen.value.filter((id) => !ids.includes(id))
    else add(ids)
  }

  function clear() {
    chosen.value = []
  }

  return { fixtures, order, set, add, toggle, clear }
})
