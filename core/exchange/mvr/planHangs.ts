/** What fixtures of a rig file hang on: hangs the show has, and new ones along the lines they make. */
import { placeId } from '../../show/compositeIds'
import { nextName } from '../../show/freeNames'
import { hangId, type HangId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { showRecordOf, type Show } from '../../show/show'
import { uuidOf } from '../uuid'
import { lineBetween, lineThrough, type HangLine } from './hangFit'
import type { Notes } from '../notes'
import type { ReadFixture, RigReading } from './rigReading'

export interface PlannedHang {
  readonly id: HangId
  /** Its id in the file. */
  readonly read: string
  readonly name: string
  /** Where it is in the show, or will be; `drawn` is where the file has it. */
  readonly line: HangLine
  readonly drawn: HangLine
  /** Whether it has to be made, or given a place in the venue in play. */
  readonly isNew: boolean
}

export interface PlannedHangs {
  readonly hangs: readonly PlannedHang[]
  readonly of: (fixture: ReadFixture) => PlannedHang | null
}

/** Hangs with the fixtures they carry; what hangs on nothing hangs on one of its layer's name. */
export function planHangs(show: Show, { hangs, fixtures }: RigReading, notes: Notes): PlannedHangs {
  const carried = new Map<string, ReadFixture[]>()
  for (const fixture of fixtures) {
    const on = fixture.on ?? looseHang(fixture)
    carried.set(on, [...(carried.get(on) ?? []), fixture])
  }
  const loose = [...carried.keys()].flatMap((on) =>
    hangs.some(({ id }) => id === on)
      ? []
      : [{ id: on, name: carried.get(on)?.[0]?.layer || 'Without a hang', ends: null, yaw: 0 }],
  )
  const taken: string[] = []
  const planned = new Map<string, PlannedHang>()
  for (const hang of [...hangs, ...loose]) {
    const points = (carried.get(hang.id) ?? []).map(({ position }) => position)
    if (points.length === 0 && !hang.ends) {
      notes.lost(hang.name, 'carries nothing and is not drawn, so nobody knows where it is; it is left out')
      continue
    }
    const found = knownHang(show, hang, taken)
    const name = found ? hang.name : freeName(show, hang.name, taken)
    taken.push(normalisedName(name))
    const drawn = hang.ends ? lineBetween(...hang.ends, hang.yaw) : lineThrough(points)
    const own = found ?? { id: newHangId(show, hang.id), name, line: drawn, isNew: true }
    planned.set(hang.id, { ...own, read: hang.id, drawn })
  }
  return {
    hangs: [...planned.values()],
    of: (fixture) => planned.get(fixture.on ?? looseHang(fixture)) ?? null,
  }
}

const looseHang = ({ layer }: ReadFixture) => uuidOf(`hang of the layer ${layer}`)

function newHangId(show: Show, ofFile: string): HangId {
  const id = hangId.parse(uuidOf(ofFile))
  return show.all.hang.has(id) ? hangId.parse(uuidOf(`${id} again`)) : id
}

/** A hang of the show by its id, else by its name, as it stands in the venue in play. */
function knownHang(
  show: Show,
  { id, name }: { id: string; name: string },
  taken: readonly string[],
): Omit<PlannedHang, 'read' | 'drawn'> | null {
  const uuid = uuidOf(id).toLowerCase()
  const all = [...show.all.hang]
  const found =
    all.find(([known]) => uuidOf(known).toLowerCase() === uuid) ??
    all.find(([, hang]) => normalisedName(hang.name) === normalisedName(name) && !taken.includes(normalisedName(name)))
  if (!found) return null
  const place = show.all.hangPlace.get(placeId(showRecordOf(show).venue, hangId.parse(found[0])))
  if (!place) return null
  const { origin, yaw, rise, length } = place
  return {
    id: hangId.parse(found[0]),
    name: found[1].name,
    line: { origin, yaw, rise, length, form: found[1].form },
    isNew: false,
  }
}

function freeName(show: Show, name: string, taken: readonly string[]): string {
  const all = [...[...show.all.hang.values()].map((hang) => hang.name), ...taken]
  return all.some((one) => normalisedName(one) === normalisedName(name)) ? nextName(name, all) : name
}
