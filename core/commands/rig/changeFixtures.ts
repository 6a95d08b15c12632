/** Changes what fixtures are and how they hang: one field of many, or many fields of many, at once. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { fixtureNumber, numberOfFixture, wholeFixtures } from '../../show/cells'
import { Draft } from '../../show/draft'
import { fixture as fixtureSchema, fixturePlace } from '../../show/entities'
import { fixtureId, type FixtureId, type VenueId } from '../../show/ids'
import { firstMode } from '../../show/modes'
import { showRecordOf, type Show } from '../../show/show'
import { command, done, refuse, type Outcome } from '../command'
import { hangFixture } from '../shared/hangFixture'
import { gone } from '../shared/refusals'
import { fixturesInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'

const placing = fixturePlace.omit({ venue: true, fixture: true }).partial()
const fixtureChange = z.strictObject({
  fixture: fixtureId,
  ...fixtureSchema.omit({ bar: true, cell: true }).partial().shape,
  ...placing.shape,
})
export type FixtureChange = z.infer<typeof fixtureChange>

const PLACE_FIELDS = ['hang', 'along', 'out', 'drop', 'yaw', 'pitch', 'roll'] as const
const FIXTURE_FIELDS = ['number', 'name', 'type', 'mode', 'universe', 'address', 'note'] as const

export const changeFixtures = command({
  input: z.strictObject({ changes: z.array(fixtureChange).min(1).max(5000) }),
  undoable: true,
  run(show, { changes }) {
    const { venue } = showRecordOf(show)
    const draft = new Draft(show)
    for (const change of changes) {
      const refusal = writeFixture(show, draft, change) ?? writePlace(show, draft, venue, change)
      if (refusal) return refusal
    }
    const twice = numberTwice(show, changes)
    if (twice !== null) return refuse('number twice', { number: twice, where: 'among these' }, 'number')
    const fields = [...FIXTURE_FIELDS, ...PLACE_FIELDS].filter((field) => changes.some((c) => c[field] !== undefined))
    const who = fixturesInWords(
      show,
      changes.map((c) => c.fixture),
    )
    return done(draft, `change ${listInWords(fields)} of ${who}`)
  },
})

/** A change of type brings the new type's first mode with it. */
function writeFixture(show: Show, draft: Draft, change: FixtureChange): Outcome | null {
  const { fixture, type } = change
  const known = show.all.fixture.get(fixture)
  if (!known) return gone('fixture', 'fixture')
  if (type && !show.all.fixtureType.has(type)) return gone('fixtureType', 'type')
  const nextType = type === undefined ? known.type : type
  const ownMode = type !== undefined && type !== known.type ? type && firstMode(show, type) : known.mode
  const mode = change.mode === undefined ? ownMode : change.mode
  if (mode !== null && show.all.fixtureMode.get(mode)?.type !== nextType)
    return refuse('other type’s mode', { fixture: known.number }, 'mode')
  if (known.bar !== null)
    return refuse('cell', { cell: fixtureNumber(known), fixture: numberOfFixture(show, known.bar) }, 'fixture')
  draft.put('fixture', fixture, {
    ...known,
    number: change.number ?? known.number,
    name: change.name ?? known.name,
    type: nextType,
    mode,
    universe: change.universe === undefined ? known.universe : change.universe,
    address: change.address === undefined ? known.address : change.address,
    note: change.note ?? known.note,
  })
  return null
}

function writePlace(show: Show, draft: Draft, venue: VenueId, change: FixtureChange): Outcome | null {
  if (PLACE_FIELDS.every((field) => change[field] === undefined)) return null
  const id = placeId(venue, change.fixture)
  const now = show.all.fixturePlace.get(id)
  const hang = change.hang ?? now?.hang
  if (hang === undefined) return refuse('not hung here', notHung(show, venue, change.fixture), 'fixture')
  if (!show.all.hangPlace.has(placeId(venue, hang))) return refuse('no place here', { kind: 'hang' }, 'hang')
  const { along, out, drop, yaw, pitch, roll } = { ...STRAIGHT, ...now, ...placeNumbersOf(change) }
  hangFixture(draft, { venue, fixture: change.fixture, hang, along, out, drop, yaw, pitch, roll })
  return null
}

function notHung({ all }: Show, venue: VenueId, fixture: FixtureId) {
  const numberOf = (id: string | undefined) => all.fixture.get(id ?? '')?.number ?? null
  return { fixture: numberOf(fixture) ?? 0, by: numberOf(all.substitute.get(placeId(venue, fixture))?.by) }
}

const STRAIGHT = { along: 0, out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0 }
type Turns = { -readonly [F in keyof typeof STRAIGHT]?: number }

/** The numbers of a place that a change gives. */
function placeNumbersOf(change: FixtureChange): Turns {
  const numbers: Turns = {}
  for (const field of ['along', 'out', 'drop', 'yaw', 'pitch', 'roll'] as const) {
    const number = change[field]
    if (number !== undefined) numbers[field] = number
  }
  return numbers
}

function numberTwice(show: Show, changes: readonly FixtureChange[]): number | null {
  const numbers = new Map(wholeFixtures(show).map(([id, { number }]) => [id, number]))
  for (const { fixture, number } of changes) if (number !== undefined) numbers.set(fixture, number)
  const seen = new Set<number>()
  for (const number of numbers.values()) {
    if (seen.has(number)) return number
    seen.add(number)
  }
  return null
}
