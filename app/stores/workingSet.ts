/** The working set that is on in this window: only its fixtures may be touched. */
import { useSessionStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { workingSetId, type FixtureId, type WorkingSetId } from '#core/show/ids'
import { workingSetMembersOf } from '#core/show/workingSets'
import { useShow } from './show'

export const useWorkingSet = defineStore('workingSet', () => {
  const show = useShow()
  const kept = useSessionStorage<string>('rhopander-working-set', '')
  /** Null when none is on, or when it has been taken out of the show. */
  const current = computed<WorkingSetId | null>(() => {
    const id = workingSetId.safeParse(kept.value)
    return id.success && show.view?.all.workingSet.has(id.data) ? id.data : null
  })
  const name = computed(() => (current.value && show.view?.all.workingSet.get(current.value)?.name) ?? '')
  const members = computed<ReadonlySet<FixtureId> | null>(
    () => (current.value && show.view && workingSetMembersOf(show.view).get(current.value)) ?? null,
  )

  function isIn(fixture: FixtureId): boolean {
    return members.value === null || members.value.has(fixture)
  }

  function turnOn(id: WorkingSetId) {
    kept.value = id
  }

  function turnOff() {
    kept.value = ''
  }

  return { current, name, members, isIn, turnOn, turnOff }
})
