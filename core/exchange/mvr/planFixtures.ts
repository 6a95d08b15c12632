/** Fixtures of a rig file beside those of a show: which are there already, and what of them differs. */
import { fixtureFrame } from '../../geometry/frame'
import { turnBetween, rotation } from '../../geometry/rotation'
import { distance } from '../../geometry/vector'
import { turned } from '../../rig/mirror'
import { wholeFixtures } from '../../show/cells'
import { placeId } from '../../show/compositeIds'
import type { Fixture } from '../../show/entities'
import { fixtureId, type FixtureId, type FixtureTypeId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { showRecordOf, type Show } from '../../show/show'
import type { TakenRig } from '../../commands/rig/takeRig'
import type { Notes } from '../notes'
import { uuidOf } from '../uuid'
import { placeOnHang } from './hangFit'
import type { PlannedHangs } from './planHangs'
import type { PlannedTypes } from './planTypes'
import type { ReadFixture } from './rigReading'

type TakenFixture = TakenRig['fixtures'][number]

export interface PlannedFixture {
  readonly id: FixtureId
  /** Its id in the file. */
  readonly read: string
  /** As the file has it; its place as the show would keep it. */
  readonly file: TakenFixture
  /** As the show has it; null for a new one. */
  readonly show: TakenFixture | null
  /** Whether it surely is that fixture: known by its id, or of the same type. */
  readonly isSure: boolean
  /** How far it hangs and turns from where the show has it, metres and degrees; null where it does not hang in this venue. */
  readonly off: { readonly metres: number; readonly degrees: number } | null
}

export interface PlannedFixtures {
  readonly fixtures: readonly PlannedFixture[]
  readonly missing: readonly Fixture[]
}

export function planFixtures(
  show: Show,
  fixtures: readonly ReadFixture[],
  hangs: PlannedHangs,
  types: PlannedTypes,
  notes: Notes,
): PlannedFixtures {
  const matches = new FixtureMatches(show, fixtures)
  const numbers = new Set(wholeFixtures(show).map(([, { number }]) => number))
  for (const { number } of fixtures) if (number !== null) numbers.add(number)
  const taken = new Map<number, string>()
  const planned = fixtures.flatMap((read): PlannedFixture[] => {
    const hang = hangs.of(read)
    const place = hang && placeOnHang(hang.line, read.position)
    if (!hang || !place) {
      notes.lost(
        read.name || read.id,
        'hangs beside an upright hang where this program has no place for it; it is left out',
      )
      return []
    }
    const found = matches.of(read)
    const known = found ? show.all.fixture.get(found) : undefined
    const number = freeNumber(read, known ?? null, numbers, taken, notes)
    taken.set(number, read.id)
    const use = types.of(read)
    const first = read.addresses.toSorted((a, b) => a.number - b.number)[0]
    const id = found ?? fixtureId.parse(uuidOf(read.id))
    const file: TakenFixture = {
      fixture: id,
      number,
      name: read.name.slice(0, 120),
      type: use?.type ?? null,
      mode: use?.mode ?? null,
      universe: first?.universe ?? null,
      address: first?.address ?? null,
      note: known?.note ?? '',
      hang: hang.id,
      ...place,
      yaw: neat(turned(read.yaw - hang.line.yaw)),
      pitch: neat(read.pitch),
      roll: neat(read.roll),
    }
    const isSure = isSurely(show, id, read, file.type)
    return [{ id, read: read.id, file, isSure, ...ofShow(show, id, read) }]
  })
  return { fixtures: planned, missing: matches.missing() }
}

/** Whether a fixture of a file is that one: known by its id, or of the same type. */
export function isSurely(show: Show, id: FixtureId, read: ReadFixture, type: FixtureTypeId | null): boolean {
  return uuidOf(id).toLowerCase() === uuidOf(read.id).toLowerCase() || show.all.fixture.get(id)?.type === type
}

const neat = (degrees: number) => Math.round(degrees * 1e6) / 1e6 + 0

/** The number of the file, unless another fixture has it: then the first free one. */
function freeNumber(
  read: ReadFixture,
  known: Fixture | null,
  numbers: ReadonlySet<number>,
  taken: ReadonlyMap<number, string>,
  notes: Notes,
): number {
  if (read.number !== null && !taken.has(read.number)) return read.number
  if (known && !taken.has(known.number)) return known.number
  let free = 1
  while (numbers.has(free) || taken.has(free)) free += 1
  if (read.number !== null)
    notes.look(read.name || read.id, `has the number ${read.number}, as another of the file; it becomes ${free}`)
  return free
}

/** Which fixture of a show each of a file is: by its id, else by its number, else by a name that only one has. */
export class FixtureMatches {
  readonly #found = new Map<string, FixtureId>()
  readonly #missing: readonly Fixture[]

  constructor(show: Show, fixtures: readonly ReadFixture[]) {
    const whole = wholeFixtures(show)
    const free = new Map(whole)
    const byUuid = new Map(whole.map(([id]) => [uuidOf(id).toLowerCase(), id]))
    const match = (read: ReadFixture, id: FixtureId | undefined) => {
      if (id === undefined || this.#found.has(read.id) || !free.delete(id)) return
      this.#found.set(read.id, id)
    }
    for (const read of fixtures) match(read, byUuid.get(uuidOf(read.id).toLowerCase()))
    const left = () => fixtures.filter(({ id }) => !this.#found.has(id))
    const byNumber = new Map([...free].map(([id, { number }]) => [number, id]))
    for (const read of left()) match(read, read.number === null ? undefined : byNumber.get(read.number))
    for (const read of left()) {
      const named = [...free].filter(
        ([, { name }]) => name !== '' && normalisedName(name) === normalisedName(read.name),
      )
      if (named.length === 1) match(read, named[0]?.[0])
    }
    const { venue } = showRecordOf(show)
    const isHere = (id: FixtureId) => free.has(id) && show.all.fixturePlace.has(placeId(venue, id))
    this.#missing = whole.flatMap(([id, fixture]) => (isHere(id) ? [fixture] : []))
  }

  of(read: ReadFixture): FixtureId | null {
    return this.#found.get(read.id) ?? null
  }

  missing(): readonly Fixture[] {
    return this.#missing
  }
}

function ofShow(show: Show, id: FixtureId, read: ReadFixture): Pick<PlannedFixture, 'show' | 'off'> {
  const known = show.all.fixture.get(id)
  const { venue } = showRecordOf(show)
  const place = known && show.all.fixturePlace.get(placeId(venue, id))
  const hang = place && show.all.hangPlace.get(placeId(venue, place.hang))
  if (!known || !place || !hang) return { show: null, off: null }
  const { number, name, type, mode, universe, address, note } = known
  const { along, out, drop, yaw, pitch, roll } = place
  const own = { number, name, type, universe, address, note }
  const at = { hang: place.hang, along, out, drop, yaw, pitch, roll }
  const frame = fixtureFrame(hang, place)
  const degrees = turnBetween(frame.rotation, rotation(read.yaw, read.pitch, read.roll))
  return {
    show: { fixture: id, ...own, ...at, mode: mode === null ? null : (show.all.fixtureMode.get(mode)?.name ?? null) },
    off: { metres: distance(frame.origin, read.position), degrees },
  }
}
