/** Who this window is, the same over a reload; a window made as a copy of another is one of its own. */
import { windowId, type WindowId } from '#core/show/ids'
import { newId } from './newId'

const KEY = 'rhopander-window'

function known(): WindowId | null {
  const read = windowId.safeParse(sessionStorage.getItem(KEY))
  return read.success ? read.data : null
}

function fresh(): WindowId {
  const id = windowId.parse(newId())
  sessionStorage.setItem(KEY, id)
  return id
}

/** The page that is reloaded may still be leaving. */
const LEAVING = 500

/** Holds a window's id for as long as this page is there; false where another page has it. */
function hold(id: WindowId): Promise<boolean> {
  // A page that is not served securely has no locks.
  if (!('locks' in navigator)) return holdByAsking(id)
  return new Promise((resolve) => {
    const held = navigator.locks.request(`${KEY}-${id}`, { signal: AbortSignal.timeout(LEAVING) }, () => {
      resolve(true)
      return new Promise(() => undefined)
    })
    held.catch(() => resolve(false))
  })
}

/** Asks the other pages whether one of them has it; from then on answers them. */
function holdByAsking(id: WindowId): Promise<boolean> {
  const channel = new BroadcastChannel(`${KEY}-${id}`)
  return new Promise((resolve) => {
    channel.onmessage = () => {
      channel.close()
      resolve(false)
    }
    channel.postMessage('whose is it')
    setTimeout(() => {
      channel.onmessage = () => channel.postMessage('mine')
      resolve(true)
    }, LEAVING / 2)
  })
}

/** The id of this window. */
export async function claimWindow(): Promise<WindowId> {
  const before = known()
  if (before && (await hold(before))) return before
  const id = fresh()
  await hold(id)
  return id
}
