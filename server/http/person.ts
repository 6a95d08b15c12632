/** Who is asking: an id the browser keeps for us, the same for all its windows. */
import { getCookie, setCookie, type H3Event } from 'h3'
import { randomUUID } from 'node:crypto'
import { personId, type PersonId } from '#core/show/ids'

const COOKIE = 'rhopander-person'
const A_YEAR = 365 * 24 * 3600

export function personOf(event: H3Event): PersonId {
  const known = personId.safeParse(getCookie(event, COOKIE))
  if (known.success) return known.data
  const fresh = personId.parse(randomUUID())
  setCookie(event, COOKIE, fresh, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: A_YEAR })
  return fresh
}
