/** Whether the stand-in rig of a show runs, asked for every few seconds while it is looked at. */
import { useIntervalFn } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import type { ShowId } from '#core/show/ids'
import { USUALLY_OFF } from '#core/standIn/hiddenErrors'
import { standInStatus, type StandInStatus } from '#core/standIn/status'
import { request, requestRemoval, type Answered } from '../../session/request'

const ASK_EVERY = 3000

export function useStandInStatus(show: () => ShowId | undefined) {
  const status = shallowRef<StandInStatus | null>(null)
  const trouble = ref('')
  const isBusy = ref(false)

  const path = () => `/api/shows/${show()}/stand-in`
  function take(answered: Answered<StandInStatus>) {
    trouble.value = answered.ok ? '' : answered.refusal.message
    if (answered.ok) status.value = answered.body
  }
  async function ask() {
    if (show() && !isBusy.value) take(await request(path(), standInStatus))
  }
  async function doing(work: Promise<Answered<StandInStatus>>) {
    isBusy.value = true
    take(await work)
    isBusy.value = false
  }
  useIntervalFn(ask, ASK_EVERY, { immediateCallback: true })
  return {
    ...{ status, trouble, isBusy },
    start: () => doing(request(path(), standInStatus, USUALLY_OFF)),
    stop: () => doing(requestRemoval(path(), standInStatus)),
  }
}
