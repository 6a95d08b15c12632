/** The stores of one window with a show open in them, as if a server had sent it; nothing is sent anywhere. */
import { createPinia, setActivePinia } from 'pinia'
import type { PersonId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useShow } from '../../app/stores/show'

export function openStores({ show, person }: { readonly show: Show; readonly person: PersonId }): void {
  setActivePinia(createPinia())
  const store = useShow()
  store.confirmed = show
  store.person = person
}
