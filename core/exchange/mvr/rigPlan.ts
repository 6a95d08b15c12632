/**
 * What a rig file would bring into a show, item by item: what is new, and where it differs from what
 * is there already. Each can be taken or left; what was programmed stays with its fixtures.
 */
import type { TakenRig } from '../../commands/rig/takeRig'
import { normalisedName } from '../../show/names'
import type { Show } from '../../show/show'
import { underlayItems } from '../drawing/planUnderlay'
import { Notes, type Note } from '../notes'
import { planFixtures, type PlannedFixture } from './planFixtures'
import { planGroups } from './planGroups'
import { planHangs, type PlannedHang } from './planHangs'
import { planTypes, type PlannedType } from './planTypes'
import { planPlaces } from './planPlaces'
import { keyOf, SAME, type RigAspect, type RigItem } from './rigItem'
import type { RigReading } from './rigReading'

export interface RigPlan {
  readonly items: readonly RigItem[]
  /** Fixtures of the show that are not in the file, by number: they stay as they are. */
  readonly missing: readonly number[]
  /** How many fixtures are in the show just as the file has them. */
  readonly same: number
  readonly notes: readonly Note[]
  /** The command that takes what is chosen, without files: those are kept first. */
  readonly taking: (isTaken: (key: string) => boolean) => TakenRig
}

/** Works out what a rig, as it stands on the stage, would bring into the venue in play. */
export function rigPlan(show: Show, reading: RigReading): RigPlan {
  const notes = new Notes()
  const types = planTypes(show, reading.types, reading.fixtures, notes)
  const hangs = planHangs(show, reading, notes)
  const { fixtures, missing } = planFixtures(show, reading.fixtures, hangs, types, notes)
  const groups = planGroups(show, reading.fixtures, fixtures)
  const places = planPlaces(show, reading, notes)
  const ofFixtures = fixtures.map((one) => ({ one, items: fixtureItems(one) }))
  return {
    items: [
      ...types.types.flatMap(typeItems),
      ...hangs.hangs.flatMap(hangItems),
      ...ofFixtures.flatMap(({ items }) => items),
      ...groups.items,
      ...places.items,
      ...(reading.underlay ? underlayItems(show, reading.underlay) : []),
    ],
    missing: missing.map(({ number }) => number).sort((a, b) => a - b),
    same: ofFixtures.filter(({ one, items }) => one.show !== null && items.length === 0).length,
    notes: [...reading.notes, ...reading.types.flatMap(typeNotes), ...notes.all],
    taking: (isTaken) => {
      const chosen = ofFixtures.flatMap(({ one, items }) => takenFixture(one, items, isTaken))
      const coming = new Set<string>(chosen.map(({ fixture }) => fixture))
      const onHangs = new Set(chosen.map(({ hang }) => hang))
      const ofTypes = new Set(chosen.map(({ type }) => type))
      const isNeeded = ({ id }: PlannedType) => ofTypes.has(id)
      return {
        types: types.types.flatMap((type) => takenType(type, isTaken, isNeeded(type))),
        typeFiles: types.types.flatMap((type) => typeFileOf(type, isTaken, isNeeded(type))),
        file: null,
        hangs: hangs.hangs.flatMap((hang) => takenHang(hang, isTaken(keyOf('hang', hang.id)) || onHangs.has(hang.id))),
        fixtures: chosen,
        groups: groups.taking(isTaken, (fixture) => coming.has(fixture) || show.all.fixture.has(fixture)),
        ...places.taking(isTaken),
        underlays: [],
      }
    },
  }
}

function typeNotes({ notes, types }: RigReading['types'][number]): Note[] {
  const name = types[0]?.type.name ?? ''
  return notes.map((note) => ({ ...note, about: `${name}: ${note.about}` }))
}

function typeItems({ id, type, isNew, lacking, differs }: PlannedType): RigItem[] {
  const name = `${type.maker} ${type.name}`
  const item = (what: RigAspect, after: string, suggested: boolean, before = ''): RigItem => ({
    key: keyOf('type', id, what),
    kind: 'type',
    name,
    what,
    before,
    after,
    suggested,
  })
  if (isNew) return [item('new', type.modes.map((mode) => mode.name).join(', '), true)]
  return [
    ...(lacking.length > 0 ? [item('modes', lacking.map((mode) => mode.name).join(', '), true)] : []),
    ...(differs ? [item('type', 'as the file has it', false, 'as it is in the show')] : []),
  ]
}

/** What fixtures that are taken need of a type comes along. */
function takenType(planned: PlannedType, isTaken: (key: string) => boolean, isNeeded: boolean): TakenRig['types'] {
  const { id, type, isNew, lacking, extended } = planned
  if (isNew) return isNeeded || isTaken(keyOf('type', id)) ? [{ ...type, type: id }] : []
  if (isTaken(keyOf('type', id, 'type'))) return [{ ...type, type: id }]
  const isExtended = lacking.length > 0 && (isNeeded || isTaken(keyOf('type', id, 'modes')))
  return extended && isExtended ? [{ ...extended, type: id }] : []
}

/** A type that is as the file has it, or becomes so, is from then on said to come from it. */
function typeFileOf(
  { id: type, entry, part, isNew, differs }: PlannedType,
  isTaken: (key: string) => boolean,
  isNeeded: boolean,
): TakenRig['typeFiles'] {
  const comesIn = isNew ? isNeeded || isTaken(keyOf('type', type)) : !differs || isTaken(keyOf('type', type, 'type'))
  return comesIn ? [{ type, entry, part }] : []
}

function hangItems({ id, name, line, isNew }: PlannedHang): RigItem[] {
  if (!isNew) return []
  const { x, y, z } = line.origin
  const after = `${line.form} of ${line.length.toFixed(2)} m at ${[x, y, z].map((n) => n.toFixed(2)).join(', ')} m`
  return [{ key: keyOf('hang', id), kind: 'hang', name, what: 'new', before: '', after, suggested: true }]
}

function takenHang({ id, name, line, isNew }: PlannedHang, isTaken: boolean): TakenRig['hangs'] {
  return isNew && isTaken ? [{ hang: id, name, ...line }] : []
}

/** A fixture of another type that only has the same number or name may be another one: nothing of it is suggested. */
function fixtureItems({ id, file, show, off, isSure }: PlannedFixture): RigItem[] {
  const items: RigItem[] = []
  const add = (what: RigAspect, before: string, after: string) =>
    items.push({
      key: keyOf('fixture', id, what),
      kind: 'fixture',
      name: String(file.number),
      what,
      before,
      after,
      suggested: show === null || isSure,
    })
  if (!show) {
    add('new', '', [file.name, addressText(file)].filter((text) => text !== '').join(', '))
    return items
  }
  if (off && (off.metres > SAME.metres || off.degrees > SAME.degrees)) add('place', 'where it hangs', awayText(off))
  if (show.number !== file.number) add('number', String(show.number), String(file.number))
  if (file.name !== '' && show.name !== file.name) add('name', show.name, file.name)
  if (file.address !== null && addressText(show) !== addressText(file))
    add('address', addressText(show), addressText(file))
  if (
    file.type !== null &&
    (show.type !== file.type || normalisedName(show.mode ?? '') !== normalisedName(file.mode ?? ''))
  )
    add('type', show.mode ?? 'no mode', file.mode ?? 'no mode')
  return items
}

function addressText({
  universe,
  address,
}: {
  readonly universe: number | null
  readonly address: number | null
}): string {
  return universe === null || address === null ? 'not patched' : `${universe}.${address}`
}

function awayText({ metres, degrees }: { metres: number; degrees: number }): string {
  const parts = [
    metres > SAME.metres ? `${metres.toFixed(3)} m away` : '',
    degrees > SAME.degrees ? `turned by ${degrees.toFixed(1)}°` : '',
  ]
  return parts.filter((part) => part !== '').join(', ')
}

/** The fixture as the show has it, with what was chosen of the file. */
function takenFixture(
  { file, show }: PlannedFixture,
  items: readonly RigItem[],
  isTaken: (key: string) => boolean,
): TakenRig['fixtures'] {
  const chosen = new Set(items.filter(({ key }) => isTaken(key)).map(({ what }) => what))
  if (chosen.size === 0) return []
  if (!show) return [file]
  const { hang, along, out, drop, yaw, pitch, roll } = file
  return [
    {
      ...show,
      ...(chosen.has('place') ? { hang, along, out, drop, yaw, pitch, roll } : {}),
      ...(chosen.has('number') ? { number: file.number } : {}),
      ...(chosen.has('name') ? { name: file.name } : {}),
      ...(chosen.has('address') ? { universe: file.universe, address: file.address } : {}),
      ...(chosen.has('type') ? { type: file.type, mode: file.mode } : {}),
    },
  ]
}
