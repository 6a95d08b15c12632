/**
 * Takes what was chosen of a rig file: things the show has by their id are changed, others are new.
 * Nothing is deleted, and places are those of the venue in play.
 */
import { z } from 'zod'
import { wholeFixtures } from '../../show/cells'
import { placeId } from '../../show/compositeIds'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import * as entities from '../../show/entities'
import {
  type FixtureModeId,
  fixtureId,
  fixtureModeId,
  fixtureTypeId,
  groupId,
  hangId,
  layerId,
  rigFileId,
  setPieceId,
  targetId,
} from '../../show/ids'
import { keptSize } from '../../show/keptFiles'
import { listInWords } from '../../show/listInWords'
import { modesOf } from '../../show/modes'
import { membersOf } from '../../show/rig'
import { normalisedName } from '../../show/names'
import { showRecordOf, type Show } from '../../show/show'
import { underlaysOf } from '../../show/underlays'
import { command, done, refuse, type Outcome } from '../command'
import { nextNumber } from '../../show/freeNumbers'
import { putGroupMembers } from '../shared/groupMembers'
import { idsByName } from '../shared/fixtureRows'
import { hangFixture } from '../shared/hangFixture'
import { gone, lockedLayer } from '../shared/refusals'
import { typeWithModes } from '../shared/typeWithModes'
import { hangRow, targetRow } from '../shared/tableRows'

const takenType = typeWithModes.extend({ type: fixtureTypeId })
const takenHang = hangRow.extend({ hang: hangId })
const takenFixture = entities.fixturePlace.omit({ venue: true, fixture: true }).extend({
  fixture: fixtureId,
  ...entities.fixture.omit({ bar: true, cell: true, mode: true }).shape,
  /** By name; null for a fixture without a type. */
  mode: z.string().max(120).nullable(),
})
const takenTarget = targetRow.omit({ on: true }).extend({ target: targetId })
const takenPiece = entities.setPiece.omit({ layer: true }).extend({
  setPiece: setPieceId,
  /** By name; a new layer where there is none of it. */
  layer: entities.layer.shape.name.nullable(),
  ...entities.setPiecePlace.pick({ position: true, yaw: true }).shape,
})
/** Which types come from the file that is kept, as `typeFile` has it. */
const takenTypeFile = entities.typeFile.pick({ type: true, entry: true, part: true })
/** The file as it is kept; `rig` where it is of a rig: where it lies, and the file of before that it stands for. */
const takenFile = entities.typeFile.pick({ name: true, digest: true, size: true, leftHanded: true }).extend({
  rig: entities.rigFile
    .pick({ mirrored: true, turn: true, shift: true })
    .extend({ replaces: rigFileId.nullable() })
    .nullable(),
})
/** A group by its name: who is not in it yet comes after who is. */
const takenGroup = z.strictObject({ name: entities.group.shape.name, fixtures: z.array(fixtureId).min(1).max(5000) })
/** What lies under the plan; what lies there by its name goes. */
const takenUnderlay = entities.underlay.omit({ venue: true, strength: true, visible: true, hidden: true })
const input = z.strictObject({
  types: z.array(takenType).max(500),
  hangs: z.array(takenHang).max(2000),
  fixtures: z.array(takenFixture).max(5000),
  targets: z.array(takenTarget).max(2000),
  pieces: z.array(takenPiece).max(2000),
  typeFiles: z.array(takenTypeFile).max(500).default([]),
  groups: z.array(takenGroup).max(1000).default([]),
  underlays: z.array(takenUnderlay).max(20).default([]),
  /** Null where the file is not kept. */
  file: takenFile.nullable().default(null),
})
export type TakenRig = z.infer<typeof input>
export type TakenFile = z.infer<typeof takenFile>

export const takeRig = command({
  input,
  undoable: true,
  run(show, taken, { newId, now }) {
    const draft = new Draft(show)
    for (const type of taken.types) putTypeAs(show, draft, type, newId)
    for (const { hang: id, name, form, ...place } of taken.hangs) {
      const { venue } = showRecordOf(show)
      draft.put('hang', id, { name, form })
      draft.put('hangPlace', placeId(venue, id), { venue, hang: id, ...place })
    }
    const refusal =
      putFixtures(show, draft, taken) ??
      putGroups(show, draft, taken.groups, newId) ??
      putTargets(show, draft, taken.targets) ??
      putPieces(show, draft, taken.pieces, newId) ??
      putUnderlays(show, draft, taken.underlays, newId) ??
      keepFile(draft, taken, now, newId) ??
      tooLarge(taken, draft) ??
      namedTwice(draft)
    return refusal ?? done(draft, inWords(taken))
  },
})

function inWords({ types, hangs, fixtures, groups, targets, pieces, underlays, file }: TakenRig): string {
  const parts = [
    [types.length, 'type'],
    [hangs.length, 'hang'],
    [fixtures.length, 'fixture'],
    [groups.length, 'group'],
    [targets.length, 'target'],
    [pieces.length, 'set piece'],
    [underlays.length, 'underlay'],
  ] as const
  const things = listInWords(parts.flatMap(([count, word]) => (count > 0 ? [counted(count, word)] : [])))
  return things === '' && file ? `keep the file ${file.name}` : `take ${things || 'nothing'} from a file`
}

/** Modes are known by their names; one the file does not have stays, since fixtures may use it. */
function putTypeAs(show: Show, draft: Draft, taken: z.infer<typeof takenType>, newId: () => string): void {
  const { type: id, modes, ...type } = taken
  const known = show.all.fixtureType.has(id) ? modesOf(show, id) : []
  const ids = new Map(known.map((mode) => [normalisedName(mode.mode.name), mode.id]))
  const kept = known.filter(({ mode }) => !modes.some(({ name }) => normalisedName(name) === normalisedName(mode.name)))
  draft.put('fixtureType', id, type)
  for (const [i, { name, channels }] of modes.entries())
    draft.put('fixtureMode', ids.get(normalisedName(name)) ?? fixtureModeId.parse(newId()), {
      type: id,
      order: i + 1,
      name,
      channels,
    })
  for (const [i, { id: mode, mode: stays }] of kept.entries())
    draft.put('fixtureMode', mode, { ...stays, order: modes.length + i + 1 })
}

function putFixtures(show: Show, draft: Draft, { fixtures }: TakenRig): Outcome | null {
  const { venue } = showRecordOf(show)
  const after = draft.result()
  const taken = numbersBeside(show, fixtures)
  for (const one of fixtures) {
    const { fixture: id, number, name, type, mode, universe, address, note, ...place } = one
    const trouble = taken.has(number) ? refuse('number taken in the rig', { number }, 'fixtures') : lacking(after, one)
    if (trouble) return trouble
    taken.add(number)
    const { bar, cell } = show.all.fixture.get(id) ?? { bar: null, cell: null }
    draft.put('fixture', id, {
      number,
      name,
      type,
      mode: modeCalled(after, type, mode),
      universe,
      address,
      note,
      bar,
      cell,
    })
    hangFixture(draft, { venue, fixture: id, ...place })
  }
  return null
}

/** The numbers of fixtures that are not among those taken. */
function numbersBeside(show: Show, fixtures: TakenRig['fixtures']): Set<number> {
  const taken = new Set<string>(fixtures.map(({ fixture }) => fixture))
  return new Set(wholeFixtures(show).flatMap(([id, { number }]) => (taken.has(id) ? [] : [number])))
}

function modeCalled(show: Show, type: string | null, mode: string | null): FixtureModeId | null {
  if (type === null || mode === null) return null
  return modesOf(show, type).find((one) => normalisedName(one.mode.name) === normalisedName(mode))?.id ?? null
}

/** Refuses a fixture whose type, mode or hang would not be there. */
function lacking(after: Show, { number, type, mode, hang: on }: TakenRig['fixtures'][number]): Outcome | null {
  const known = after.all.fixtureType.get(type ?? '')
  if (type !== null && !known) return gone('fixtureType', 'fixtures')
  if (mode !== null && modeCalled(after, type, mode) === null)
    return refuse(
      'unknown mode in a row',
      { fixture: number, type: known?.name ?? 'what it is', name: mode },
      'fixtures',
    )
  const hang = after.all.hang.get(on)
  if (!hang) return gone('hang', 'fixtures')
  const isHere = after.all.hangPlace.has(placeId(showRecordOf(after).venue, on))
  return isHere ? null : refuse('hang absent', { name: hang.name }, 'fixtures')
}

function putGroups(show: Show, draft: Draft, groups: TakenRig['groups'], newId: () => string): Outcome | null {
  const there = draft.result().all.fixture
  const ids = idsByName(show.all.group)
  let next = nextNumber(show.all.group.values())
  for (const { name, fixtures } of groups) {
    if (fixtures.some((fixture) => !there.has(fixture))) return gone('fixture', 'groups')
    const known = ids.get(normalisedName(name))
    const id = groupId.parse(known ?? newId())
    if (known === undefined) draft.put('group', id, { number: next++, name, colour: 'brass', pattern: null })
    ids.set(normalisedName(name), id)
    putGroupMembers(show, draft, id, [...(membersOf(draft.result()).get(id) ?? []), ...fixtures])
  }
  return null
}

function putTargets(show: Show, draft: Draft, targets: TakenRig['targets']): Outcome | null {
  const { venue } = showRecordOf(show)
  for (const { target: id, name, position } of targets) {
    const known = show.all.target.get(id)
    if (known?.setPiece != null) return refuse('tied to a set piece', { name: known.name }, 'targets')
    draft.put('target', id, { form: { kind: 'point' }, setPiece: null, local: null, ...known, name })
    draft.put('targetPlace', placeId(venue, id), { venue, target: id, position })
  }
  return null
}

function putPieces(show: Show, draft: Draft, pieces: TakenRig['pieces'], newId: () => string): Outcome | null {
  const { venue } = showRecordOf(show)
  const layers = idsByName(show.all.layer)
  for (const { setPiece: id, name, solids, layer, position, yaw } of pieces) {
    const known = show.all.setPiece.get(id)
    const locked = lockedLayer(show, known?.layer ?? null, known?.name ?? name)
    if (locked) return locked
    const found = layer === null ? null : layers.get(normalisedName(layer))
    const into = found === undefined ? newId() : found
    if (layer !== null && into !== null && found === undefined) {
      draft.put('layer', into, { name: layer, visible: true, locked: false })
      layers.set(normalisedName(layer), into)
    }
    draft.put('setPiece', id, { name, solids, layer: into === null ? null : layerId.parse(into) })
    draft.put('setPiecePlace', placeId(venue, id), { venue, setPiece: id, position, yaw })
  }
  return null
}

/** Keeps the file itself, so that what has no place here can go out with the rest. */
function keepFile(draft: Draft, { file, typeFiles }: TakenRig, at: number, newId: () => string): Outcome | null {
  if (file === null) return null
  const { rig, ...kept } = file
  const types = draft.result().all.fixtureType
  for (const { type, entry, part } of typeFiles) {
    if (!types.has(type)) return gone('fixtureType', 'typeFiles')
    draft.put('typeFile', type, { type, ...kept, entry, part })
  }
  if (rig) {
    const { replaces, ...placement } = rig
    const { venue } = showRecordOf(draft.result())
    if (replaces !== null) draft.remove('rigFile', replaces)
    draft.put('rigFile', newId(), { venue, ...kept, at, ...placement })
  }
  return null
}

/** Refuses files that are too large together; what is there already may stay. */
function tooLarge({ file, underlays }: TakenRig, draft: Draft): Outcome | null {
  if (file === null && underlays.length === 0) return null
  const size = keptSize(draft.result())
  return size <= entities.MOST_KEPT ? null : refuse('files too large', { size, most: entities.MOST_KEPT }, 'file')
}

/** How strongly an underlay is seen at first. */
const STRENGTH = 0.5

/** Lays them under the plan; what lies there by the name of one is seen as before. */
function putUnderlays(show: Show, draft: Draft, underlays: TakenRig['underlays'], newId: () => string): Outcome | null {
  const names = new Set<string>()
  for (const taken of underlays) {
    if (names.has(normalisedName(taken.name)))
      return refuse('name twice', { what: 'underlays', name: taken.name }, 'underlays')
    names.add(normalisedName(taken.name))
    const [id, before] =
      underlaysOf(show).find(([, { name }]) => normalisedName(name) === normalisedName(taken.name)) ?? []
    const { strength = STRENGTH, visible = true, hidden = [] } = before ?? {}
    const { venue } = showRecordOf(show)
    draft.put('underlay', id ?? newId(), { venue, ...taken, strength, visible, hidden })
  }
  return null
}

const NAMED = [
  ['hang', 'hangs'],
  ['target', 'targets'],
  ['setPiece', 'set pieces'],
] as const

/** Names have to be told apart, whatever the file calls things. */
function namedTwice(draft: Draft): Outcome | null {
  const after = draft.result()
  for (const [kind, what] of NAMED) {
    const names = new Set<string>()
    for (const { name } of after.all[kind].values()) {
      if (names.has(normalisedName(name))) return refuse('name twice', { what, name }, what)
      names.add(normalisedName(name))
    }
  }
  return null
}
