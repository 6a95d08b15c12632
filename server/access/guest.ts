/**
 * Who asks, and what they may do. A browser is known by a random token in a cookie of its own. One
 * on this very machine needs nothing more; any other came in by a link.
 */
import { deleteCookie, getCookie, setCookie, type H3Event } from 'h3'
import { nanoid } from 'nanoid'
import { notAllowed, isAtLeast, type Role } from '#core/access/roles'
import type { Refusal } from '#core/commands/command'
import { personId, type PersonId, type ShowId } from '#core/show/ids'
import {
  addSession,
  changeSession,
  isKnownPerson,
  linkOf,
  sessionOf,
  type Grant,
  type Session,
} from '../database/accessRepository'
import { isFromThisMachine } from '../http/origin'
import { useShowRegistry } from '../shows/useShowRegistry'
import { hashOf, newSecret, secret } from './secrets'
import { Tries } from './tries'

export interface Guest {
  /** Null for a browser on this machine that has done nothing yet. */
  readonly session: Session | null
  readonly role: Role
  /** The one show they may open; null for all. */
  readonly show: ShowId | null
}

/** Thrown for who may not do something, with its HTTP status. */
export class AccessError extends Error {
  constructor(
    readonly status: 401 | 403 | 429,
    readonly refusal: Refusal,
  ) {
    super(refusal.message)
  }
}

const NO_LINK: Refusal = {
  code: 'no link',
  message: 'You need a link to come in here. Ask who runs this show for one; the one you had may have ended.',
}
const UNKNOWN_KEY: Refusal = {
  code: 'unknown key',
  message: 'This link opens nothing here: it has ended, or was not copied whole. Ask for a new one.',
}

const A_YEAR = 365 * 24 * 3600
/** The cookie of earlier releases, which held the person's id itself. */
const EARLIER_COOKIE = 'rhopander-person'

const tries = new Tries()
const asked = new WeakMap<H3Event, Promise<Guest>>()

/** Who sent a request; throws AccessError for who was not let in. */
export function guestOf(event: H3Event): Promise<Guest> {
  const known = asked.get(event)
  if (known) return known
  const found = findGuest(event)
  asked.set(event, found)
  return found
}

/** Who may do at least that, wherever it is; throws AccessError for others. */
export async function mustBe(event: H3Event, least: Role): Promise<Guest> {
  const guest = await guestOf(event)
  if (!isAtLeast(guest.role, least)) throw new AccessError(403, notAllowed(guest.role))
  return guest
}

/** Who may do everything in every show; throws AccessError for others. */
export async function mustOwnAll(event: H3Event): Promise<void> {
  const { show } = await mustBe(event, 'owns')
  if (show !== null)
    throw new AccessError(403, {
      code: 'not allowed',
      message:
        'Your link is for one show alone. Shows are made on the machine Rhopander runs on, or by its link for the evening.',
    })
}

/** The person who asks; a browser on this machine becomes one when it first does something. */
export async function personOf(event: H3Event): Promise<PersonId> {
  const { session } = await guestOf(event)
  if (session) return session.person
  const begun = await beginSession(event, null, null)
  asked.set(event, Promise.resolve({ session: begun, role: 'owns', show: null }))
  return begun.person
}

/** Lets a browser in by the key of a link; throws AccessError for one that opens nothing. */
export async function comeIn(event: H3Event, key: string, name: string | null): Promise<Grant> {
  const { knex } = await useShowRegistry()
  const address = addressOf(event)
  mayTry(address)
  const link = secret.safeParse(key).success ? await linkOf(knex, hashOf(key)) : null
  if (!link) {
    tries.failed(address)
    throw new AccessError(401, UNKNOWN_KEY)
  }
  tries.succeeded(address)
  const before = await presented(event)
  if (before) await renewSession(event, before, name ?? before.name, link)
  else await beginSession(event, name, link)
  return link
}

/** Ends what a link let this browser do. It stays the same person, should it come in again. */
export async function leave(event: H3Event): Promise<void> {
  const { session } = await guestOf(event)
  if (session) await renewSession(event, session, session.name, null)
}

async function findGuest(event: H3Event): Promise<Guest> {
  const session = await presented(event)
  if (session?.link) return { session, role: session.link.role, show: session.link.show }
  if (isHere(event)) return { session, role: 'owns', show: null }
  throw new AccessError(401, NO_LINK)
}

/** The session whose token a browser sends. */
async function presented(event: H3Event): Promise<Session | null> {
  const { knex, installation } = await useShowRegistry()
  const token = secret.safeParse(getCookie(event, cookieName(installation)))
  return token.success ? sessionOf(knex, hashOf(token.data)) : null
}

async function beginSession(event: H3Event, name: string | null, link: Grant | null): Promise<Session> {
  const { knex } = await useShowRegistry()
  const session = { id: nanoid(), person: (await earlierPerson(event)) ?? personId.parse(nanoid()), name, link }
  const token = newSecret()
  await addSession(knex, { ...session, tokenHash: hashOf(token), link: link?.id ?? null })
  await sendToken(event, token)
  return session
}

async function renewSession(event: H3Event, { id }: Session, name: string | null, link: Grant | null): Promise<void> {
  const { knex } = await useShowRegistry()
  const token = newSecret()
  await changeSession(knex, id, { tokenHash: hashOf(token), name, link: link?.id ?? null })
  await sendToken(event, token)
}

/** Who worked on this machine with an earlier release goes on as the same person, once. */
async function earlierPerson(event: H3Event): Promise<PersonId | null> {
  const earlier = personId.safeParse(getCookie(event, EARLIER_COOKIE))
  if (!earlier.success || !isHere(event)) return null
  deleteCookie(event, EARLIER_COOKIE, { path: '/' })
  const { knex } = await useShowRegistry()
  return (await isKnownPerson(knex, earlier.data)) ? null : earlier.data
}

async function sendToken(event: H3Event, token: string): Promise<void> {
  const { installation } = await useShowRegistry()
  const secure = 'encrypted' in event.node.req.socket
  setCookie(event, cookieName(installation), token, {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: A_YEAR,
    secure,
  })
}

const cookieName = (installation: string) => `rhopander-${installation}`

const isHere = (event: H3Event) => isFromThisMachine(event.node.req.socket.remoteAddress, event.node.req.headers)

const addressOf = (event: H3Event) => event.node.req.socket.remoteAddress ?? ''

function mayTry(address: string): void {
  const seconds = Math.ceil(tries.wait(address) / 1000)
  if (seconds === 0) return
  throw new AccessError(429, {
    code: 'wait',
    message: `Too many links that open nothing were tried from there. Wait ${seconds} s and try again.`,
  })
}
