/** Links by which people are let in, and the browsers that came in by one or on this machine. */
import type { Knex } from 'knex'
import { z } from 'zod'
import { ROLES } from '#core/access/roles'
import { personId, showId, type PersonId, type ShowId } from '#core/show/ids'

/** What a link lets do, and in which show; null in all of them. */
const grant = z.object({ id: z.string(), role: z.enum(ROLES), show: showId.nullable() })
export type Grant = z.infer<typeof grant>

const time = z.date().transform((at) => at.toISOString())
const listedLink = grant.extend({
  label: z.string(),
  madeAt: time,
  endsAt: time.nullable(),
  /** How many browsers came in by it. */
  guests: z.number(),
})
export type ListedLink = z.infer<typeof listedLink>

const session = z.object({
  id: z.string(),
  person: personId,
  name: z.string().nullable(),
  /** Null for a browser on this machine, which needs none, and for one whose link has ended. */
  link: grant.nullable(),
})
export type Session = z.infer<typeof session>

/** What tells this database from others whose cookies a browser may have. */
export async function installationName(knex: Knex): Promise<string> {
  const [{ name }] = z.tuple([z.object({ name: z.string() })]).parse(await knex('installation').select('name'))
  return name
}

/** Makes a link; one with an end ends after so many hours. Those that have ended are put away. */
export async function addLink(
  knex: Knex,
  { id, role, show, label, keyHash, hours }: Grant & { label: string; keyHash: string; hours: number | null },
): Promise<void> {
  await knex('access_link').where('ends_at', '<=', knex.fn.now()).delete()
  const ends_at = hours === null ? null : knex.raw('now() + make_interval(hours => ?)', [hours])
  await knex('access_link').insert({ id, show_id: show, role, label, key_hash: keyHash, ends_at })
}

/** The link a key opens; null where there is none, or it has ended. */
export async function linkOf(knex: Knex, keyHash: string): Promise<Grant | null> {
  const row: unknown = await standing(knex)
    .where({ key_hash: keyHash })
    .first({ id: 'id', role: 'role', show: 'show_id' })
  return row === undefined ? null : grant.parse(row)
}

const standing = (knex: Knex) =>
  knex('access_link').where((either) => either.whereNull('ends_at').orWhere('ends_at', '>', knex.fn.now()))

/** The links of a show that have not ended, newest first; with those into all shows where they are asked for too. */
export async function listLinks(knex: Knex, show: ShowId, also: 'those into all' | 'no others'): Promise<ListedLink[]> {
  const rows: unknown = await standing(knex)
    .where((either) => {
      void either.where({ show_id: show })
      if (also === 'those into all') void either.orWhereNull('show_id')
    })
    .orderBy('made_at', 'desc')
    .select({ id: 'id', role: 'role', show: 'show_id', label: 'label', madeAt: 'made_at', endsAt: 'ends_at' })
    .select({
      guests: knex('access_session').whereRaw('link_id = access_link.id').select(knex.raw('count(*)::integer')),
    })
  return z.array(listedLink).parse(rows)
}

/** Ends a link of a show, or one into all shows; resolves to the sessions that end with it, null where there is none. */
export async function endLink(knex: Knex, id: string, shows: readonly (ShowId | null)[]): Promise<string[] | null> {
  return knex.transaction(async (transaction) => {
    const link: { show_id: unknown } | undefined = await transaction('access_link')
      .where({ id })
      .forUpdate()
      .first('show_id')
    if (!link || !shows.some((show) => show === link.show_id)) return null
    const ended: unknown = await transaction('access_session').where({ link_id: id }).select('id')
    await transaction('access_link').where({ id }).delete()
    return sessionIds.parse(ended)
  })
}

const sessionIds = z.array(z.object({ id: z.string() })).transform((rows) => rows.map(({ id }) => id))

const SESSION = `select s.id, s.person, s.name,
    case when l.id is not null then jsonb_build_object('id', l.id, 'role', l.role, 'show', l.show_id) end as link
  from access_session s left join access_link l on l.id = s.link_id and (l.ends_at is null or l.ends_at > now())
  where s.token_hash = ?`

/** The session of a browser by the hash of its token; null where there is none. */
export async function sessionOf(knex: Knex, tokenHash: string): Promise<Session | null> {
  const { rows } = await knex.raw<{ rows: unknown[] }>(SESSION, [tokenHash])
  return rows.length === 0 ? null : session.parse(rows[0])
}

/** Browsers that have not been here for a year are forgotten. */
const FORGOTTEN = `delete from access_session where seen_at < now() - interval '1 year'`

export async function addSession(
  knex: Knex,
  row: { id: string; tokenHash: string; person: PersonId; name: string | null; link: string | null },
): Promise<void> {
  await knex.raw(FORGOTTEN)
  const { id, tokenHash, person, name, link } = row
  await knex('access_session').insert({
    id,
    token_hash: tokenHash,
    person,
    name,
    link_id: link,
    by_link: link !== null,
  })
}

/** The same browser and person under another link, or under none, with a new token. */
export async function changeSession(
  knex: Knex,
  id: string,
  { tokenHash, name, link }: { tokenHash: string; name: string | null; link: string | null },
): Promise<void> {
  await knex('access_session')
    .where({ id })
    .update({ token_hash: tokenHash, name, link_id: link, by_link: link !== null })
}

/** Notes that a browser is here; false where the link it came in by is no longer its own, or has ended. */
export async function noteSeen(knex: Knex, { id, link }: Session): Promise<boolean> {
  const { rowCount } = await knex.raw<{ rowCount: number }>(
    `update access_session s set seen_at = now(), by_link = link_id is not null where s.id = ? and s.link_id is not distinct from ?
      and not exists (select from access_link l where l.id = s.link_id and l.ends_at <= now())`,
    [id, link?.id ?? null],
  )
  return rowCount > 0
}

/** Whether anybody was ever known by a person's id. */
export async function isKnownPerson(knex: Knex, person: PersonId): Promise<boolean> {
  return (await knex('access_session').where({ person }).first('id')) !== undefined
}

const presence = z.object({
  person: personId,
  seenAt: time.nullable(),
  isIn: z.boolean(),
  role: z.enum(ROLES).nullable(),
  hasWork: z.boolean(),
})
export type Presence = z.infer<typeof presence>

/** A page that is open says so more often than that, seconds. */
const STILL_IN = 45

const PEOPLE = `select p.id as person, s.seen_at as "seenAt", coalesce(s."isIn", false) as "isIn",
    coalesce(l.role, case when not s.by_link then 'owns' end) as role,
    exists (select from change_group g where g.show_id = p.show_id and g.person = p.id and g.undoable)
      or exists (select from hand_value h where h.show_id = p.show_id and h.person = p.id)
      or exists (select from version v where v.show_id = p.show_id and v.person = p.id and not v.automatic)
      or p.editing is not null as "hasWork"
  from person p
  left join lateral (select seen_at, link_id, by_link,
      seen_at > now() - make_interval(secs => :stillIn) and (link_id is not null or not by_link) as "isIn"
    from access_session s where s.person = p.id order by seen_at desc limit 1) s on true
  left join access_link l on l.id = s.link_id
  where p.show_id = :show`

/** Who has been in a show, whether they are in now, what they may do, and whether they have work in it. */
export async function peopleOf(knex: Knex, show: ShowId): Promise<Presence[]> {
  const { rows } = await knex.raw<{ rows: unknown[] }>(PEOPLE, { show, stillIn: STILL_IN })
  return z.array(presence).parse(rows)
}
