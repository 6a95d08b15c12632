/** Steps of undo in the database: whose is next, and what one is planned by. */
import { group } from 'd3-array'
import type { Knex } from 'knex'
import { z } from 'zod'
import type { JournalEntry } from '#core/journal/entry'
import type { ChangeGroup, History, RegisterWrite } from '#core/journal/history'
import type { UndoState } from '#core/journal/undoState'
import { EXISTENCE, registerParts, registerOf } from '#core/show/changes'
import { json } from '#core/show/json'
import { fieldsOf } from '#core/show/kinds'
import { changeGroupId, personId, type ChangeGroupId, type PersonId, type ShowId } from '#core/show/ids'

/** The statement that writes what an entry of a kind does to its step, by the names of `appendEntry`. */
export function stepStatement(kind: JournalEntry['kind']): string {
  const toggle = (what: string) =>
    `update change_group set ${what}, toggled_seq = :seq where show_id = :show and id = :group`
  switch (kind) {
    case 'do':
      return `insert into change_group (show_id, id, person, label, undoable, first_seq, last_seq, live, waived, toggled_seq, settled)
        values (:show, :group, :person, :label, :undoable, :seq, :seq, true, false, 0, false)
        on conflict (show_id, id) do update set label = excluded.label, last_seq = excluded.last_seq`
    case 'undo':
      return toggle('live = false')
    case 'redo':
      return toggle('live = true')
    case 'waive':
      return toggle('waived = true')
  }
}

const nextSteps = z.object({
  undo: changeGroupId.nullable(),
  undo_label: z.string().nullable(),
  redo: changeGroupId.nullable(),
  redo_label: z.string().nullable(),
})

/** The last live step of a person, and the last undone one where nothing new was done since. */
const NEXT_STEPS = `select u.id as undo, u.label as undo_label, r.id as redo, r.label as redo_label from (select) one
  left join lateral (select id, label from change_group where show_id = :show and person = :person
    and undoable and live and not waived and not settled order by last_seq desc limit 1) u on true
  left join lateral (select last_seq from change_group where show_id = :show and person = :person
    and undoable order by last_seq desc limit 1) d on true
  left join lateral (select id, label, toggled_seq from change_group where show_id = :show and person = :person
    and undoable and not live and not waived and not settled order by toggled_seq desc limit 1) r on r.toggled_seq > d.last_seq`

export async function undoStateOf(knex: Knex, show: ShowId, person: PersonId): Promise<UndoState> {
  const { rows } = await knex.raw<{ rows: unknown[] }>(NEXT_STEPS, { show, person })
  const next = nextSteps.parse(rows[0])
  const named = (group: ChangeGroupId | null, label: string | null) => group && { group, label: label ?? '' }
  return { undo: named(next.undo, next.undo_label), redo: named(next.redo, next.redo_label) }
}

const storedGroup = z
  .object({
    id: changeGroupId,
    person: personId,
    label: z.string(),
    first_seq: z.number(),
    live: z.boolean(),
    waived: z.boolean(),
  })
  .transform(({ first_seq, ...rest }) => ({ ...rest, firstSeq: first_seq, registers: new Set<string>() }))

/** A value in the journal as text: absent is SQL null, which a JSON null is not. */
const value = z
  .string()
  .nullable()
  .transform((text) => (text === null ? undefined : json.parse(JSON.parse(text))))

const storedWrite = z.object({
  register: z.string(),
  seq: z.number(),
  group: changeGroupId,
  person: personId,
  before: value,
  after: value,
})
type StoredWrite = z.infer<typeof storedWrite>

const WRITE = `w.register, w.seq, e.group_id as "group", e.person, cast(w.before as text) as before, cast(w.after as text) as after`
const WRITES = `journal_write w join journal_entry e on e.show_id = w.show_id and e.seq = w.seq and e.kind = 'do'`

const OWN_WRITES = `select ${WRITE} from journal_entry e join journal_write w on w.show_id = e.show_id and w.seq = e.seq
  where e.show_id = :show and e.group_id = :group and e.kind = 'do' order by w.seq, w.place`

const LIVE_OF_OTHERS = `select ${WRITE} from ${WRITES} join change_group g on g.show_id = e.show_id and g.id = e.group_id
  where w.show_id = :show and w.register = asked.register and g.live and g.id <> :group`

/** The writes of others that count beside a step's own: `History` says which. */
const WRITES_OF_OTHERS = `select known.* from unnest(cast(:registers as text[])) as asked (register) cross join lateral (
    (${LIVE_OF_OTHERS} order by w.seq desc limit 1)
    union (${LIVE_OF_OTHERS} and w.seq < :first order by w.seq desc limit 1)
    union (select ${WRITE} from ${WRITES} where w.show_id = :show and w.register = asked.register order by w.seq limit 1)
  ) as known order by known.seq`

/** What one step is planned by; null where there is no such step, or it is too old to be undone. */
export async function historyOf(knex: Knex, show: ShowId, id: ChangeGroupId): Promise<History | null> {
  const [known] = await groupsOf(knex, show, [id]).andWhere({ settled: false })
  if (!known) return null
  const step = storedGroup.parse(known)
  const own = await writesOf(knex, OWN_WRITES, { show, group: id })
  for (const { register } of own) step.registers.add(register)
  const registers = registersOfThings(own)
  const others = await writesOf(knex, WRITES_OF_OTHERS, { show, group: id, first: step.firstSeq, registers })
  const writes = byRegister([...own, ...others.filter(({ group }) => group !== id)])
  const makers = [...new Set(others.map(({ group }) => group).filter((group) => group !== id))]
  const groups = new Map<ChangeGroupId, ChangeGroup>([[id, step]])
  for (const group of z.array(storedGroup).parse(await groupsOf(knex, show, makers))) groups.set(group.id, group)
  return { groups, writes }
}

function groupsOf(knex: Knex, show: ShowId, ids: readonly ChangeGroupId[]) {
  return knex('change_group').where({ show_id: show }).whereIn('id', ids)
}

async function writesOf(knex: Knex, statement: string, values: Record<string, Knex.Value>): Promise<StoredWrite[]> {
  const { rows } = await knex.raw<{ rows: unknown[] }>(statement, values)
  return z.array(storedWrite).parse(rows)
}

/** Every register of the things some registers belong to. */
function registersOfThings(writes: readonly StoredWrite[]): string[] {
  const things = new Map(
    writes.map(({ register }) => {
      const { kind, id } = registerParts(register)
      return [`${kind}/${id}`, { kind, id }]
    }),
  )
  return [...things.values()].flatMap(({ kind, id }) =>
    [EXISTENCE, ...fieldsOf(kind)].map((field) => registerOf(kind, id, field)),
  )
}

function byRegister(writes: readonly StoredWrite[]): Map<string, RegisterWrite[]> {
  return group(
    [...writes].sort((a, b) => a.seq - b.seq),
    ({ register }) => register,
  )
}
