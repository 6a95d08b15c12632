/** The network interfaces of the server's machine. */
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, shallowRef } from 'vue'
import { z } from 'zod'
import { networkInterface, type NetworkInterface } from '#core/output/sendingStatus'
import { request } from '../../session/request'
import { useShow } from '../../stores/show'

const answer = z.object({ interfaces: z.array(networkInterface) })

/** Asked for once this is looked at, and again whenever the window is come back to: cables are pulled meanwhile. */
export function useInterfaces(chosen: () => string) {
  const store = useShow()
  const interfaces = shallowRef<readonly NetworkInterface[] | null>(null)
  async function ask() {
    const show = store.view?.id
    if (!show) return
    const answered = await request(`/api/shows/${show}/interfaces`, answer)
    if (answered.ok) interfaces.value = answered.body.interfaces
  }
  onMounted(ask)
  useEventListener('focus', ask)
  /** Each by its address, and the one chosen even while it is not there. */
  return computed(() => {
    const all = interfaces.value ?? []
    const options = all.map(({ name, address, isLoopback }) => ({
      key: address,
      name: isLoopback ? `this machine only (${address})` : `${name}, ${address}`,
    }))
    if (all.some(({ address }) => address === chosen())) return options
    const missing = interfaces.value === null ? chosen() : `${chosen()}, not there now`
    return [...options, { key: chosen(), name: missing }]
  })
}
