/** The pictures the wheels of a type have in the file it came from. */
import { ref, watch } from 'vue'
import { z } from 'zod'
import type { FixtureTypeId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { request } from '../../session/request'

const answer = z.object({ pictures: z.array(z.object({ wheel: z.string(), slot: z.number(), png: z.base64() })) })

/** By the name of the wheel, and the slot from 0, as what an image shows; none while they are fetched or where there are none. */
export function useWheelPictures(show: () => Show, type: () => FixtureTypeId | null) {
  const pictures = ref<ReadonlyMap<string, ReadonlyMap<number, string>>>(new Map())
  const digest = () => show().all.typeFile.get(type() ?? '')?.digest ?? null

  watch(
    [type, digest],
    async ([of, kept]) => {
      pictures.value = new Map()
      if (of === null || kept === null) return
      const answered = await request(`/api/shows/${show().id}/types/${of}/pictures`, answer)
      if (!answered.ok || of !== type()) return
      const found = new Map<string, Map<number, string>>()
      for (const { wheel, slot, png } of answered.body.pictures)
        found.set(wheel, new Map([...(found.get(wheel) ?? []), [slot, `data:image/png;base64,${png}`]]))
      pictures.value = found
    },
    { immediate: true },
  )
  return pictures
}
