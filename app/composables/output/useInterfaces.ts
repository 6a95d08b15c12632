/** The network interfaces of the server's machine. */
import { useEventListener } from '@vueuse/core'
import { onMounted, shallowRef } from 'vue'
import { z } from 'zod'
import { networkInterface, type NetworkInterface } from '#core/output/sendingStatus'
import { request } from '../../session/request'
import { useShow } from '../../stores/show'

const answer = z.object({ interfaces: z.array(networkInterface) })

/** Asked for once this is looked at, and again whenever the window is come back to: cables are pulled meanwhile. */
export function useInterfaces() {
  const store = useShow()
  const interfaces = shallowRef<readonly NetworkInterface[]>([])
  async function ask() {
    const show = store.view?.id
    if (!show) return
    const answered = await request(`/api/shows/${show}/interfaces`, answer)
    if (answered.ok) interfaces.value = answered.body.interfaces
  }
  onMounted(ask)
  useEventListener('focus', ask)
  return interfaces
}
