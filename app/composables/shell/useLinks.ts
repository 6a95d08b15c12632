/** The links that let people into a show, and making and ending them. */
import { ref } from 'vue'
import type { Role } from '#core/access/roles'
import type { ShowId } from '#core/show/ids'
import { linkList, madeLink, type ListedLink } from '../../session/access'
import { request, requestRemoval } from '../../session/request'
import { nothing } from '../../session/versions'

export interface NewLink {
  readonly role: Role
  readonly label: string
  readonly hours: number | null
}

/** One that was just made: its key is known now and never again. */
export interface FreshLink {
  readonly id: string
  readonly role: Role
  /** The whole of it, for every address of the server; empty where it can be reached from this machine alone. */
  readonly addresses: readonly string[]
}

export function useLinks(show: () => ShowId) {
  const links = ref<readonly ListedLink[]>([])
  const addresses = ref<readonly string[]>([])
  const fresh = ref<FreshLink | null>(null)
  const trouble = ref('')
  const path = () => `/api/shows/${show()}/links`

  async function load() {
    const answered = await request(path(), linkList)
    trouble.value = answered.ok ? '' : answered.refusal.message
    if (!answered.ok) return
    links.value = answered.body.links
    addresses.value = answered.body.addresses
  }

  async function make(link: NewLink) {
    const answered = await request(path(), madeLink, link)
    trouble.value = answered.ok ? '' : answered.refusal.message
    if (!answered.ok) return
    const { id, key } = answered.body
    await load()
    const own = addresses.value.length > 0 ? addresses.value : [window.location.origin]
    fresh.value = { id, role: link.role, addresses: own.map((address) => `${address}/in#${key}`) }
  }

  async function end(id: string) {
    const answered = await requestRemoval(`${path()}/${id}`, nothing)
    if (answered.ok && fresh.value?.id === id) fresh.value = null
    await load()
    if (!answered.ok) trouble.value = answered.refusal.message
  }

  return { links, addresses, fresh, trouble, load, make, end }
}
