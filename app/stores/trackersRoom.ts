/** What is looked at of trackers in the Output room. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { asTargetId, type TargetId } from '#core/show/ids'
import { useShow } from './show'
import { useTracked } from './tracked'

export const useTrackersRoom = defineStore('trackersRoom', () => {
  const store = useShow()
  const tracked = useTracked()
  const asked = ref<TargetId | null>(null)

  /** The targets that follow, by name, with how and where they are. */
  const followed = computed(() =>
    [...(store.view?.all.trackedTarget ?? [])]
      .map(([key, how]) => {
        const id = asTargetId(key)
        return { id, how, name: store.view?.all.target.get(id)?.name ?? '', now: tracked.places.get(id) ?? null }
      })
      .sort((a, b) => a.name.localeCompare(b.name)),
  )
  /** The one looked at: the one asked for, else the first. */
  const chosen = computed(() => followed.value.find(({ id }) => id === asked.value) ?? followed.value[0] ?? null)

  return { asked, followed, chosen }
})
