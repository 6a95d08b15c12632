/** What the server says of who is in and of the links that let people in, checked at the border. */
import { z } from 'zod'
import { ROLES } from '#core/access/roles'
import { personId, showId } from '#core/show/ids'
import { undoState } from '#core/journal/undoState'

/** What is told to who joins a show. */
export const joined = z.object({
  person: personId,
  role: z.enum(ROLES),
  /** Whether a link let this browser in, and not that it is on the server's own machine. */
  isByLink: z.boolean(),
  undo: undoState,
  /** What the server's clock says, milliseconds since 1970. */
  now: z.number(),
})
export type Joined = z.infer<typeof joined>

export const letIn = z.object({ role: z.enum(ROLES), show: showId.nullable() })

const presence = z.object({
  person: personId,
  seenAt: z.iso.datetime().nullable(),
  isIn: z.boolean(),
  role: z.enum(ROLES).nullable(),
  hasWork: z.boolean(),
})
export type Presence = z.infer<typeof presence>
export const peopleList = z.object({ people: z.array(presence) })

const link = z.object({
  id: z.string(),
  role: z.enum(ROLES),
  show: showId.nullable(),
  label: z.string(),
  endsAt: z.iso.datetime().nullable(),
  guests: z.number(),
})
export type ListedLink = z.infer<typeof link>
export const linkList = z.object({ links: z.array(link), addresses: z.array(z.string()) })
export const madeLink = z.object({ id: z.string(), key: z.string() })

/** Answers to which nobody who has no link, or whose link has ended, need wait for another. */
export const SHUT_OUT: ReadonlySet<string> = new Set(['no link', 'not found'])
