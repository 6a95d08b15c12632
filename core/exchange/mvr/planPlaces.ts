/** Focus points and set pieces of a rig file beside the targets and set pieces of a show: by their ids, else by their names. */
import type { TakenRig } from '../../commands/rig/takeRig'
import { fineMetres } from '../../geometry/fineMetres'
import { distance, type Vec3 } from '../../geometry/vector'
import { turned } from '../../rig/mirror'
import { nextName } from '../../show/freeNames'
import { setPieceId, targetId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { setPiecesOf } from '../../show/setPieces'
import type { Show } from '../../show/show'
import { targetsOf } from '../../show/targets'
import type { Notes } from '../notes'
import { uuidOf } from '../uuid'
import { keyOf, SAME, type RigItem } from './rigItem'
import type { ReadPiece, ReadPrism, RigReading } from './rigReading'

export interface PlannedPlaces {
  readonly items: readonly RigItem[]
  readonly taking: (isTaken: (key: string) => boolean) => Pick<TakenRig, 'targets' | 'pieces'>
}

interface Planned<T> {
  /** Null where the show has it just so. */
  readonly item: RigItem | null
  readonly taken: T
}

export function planPlaces(show: Show, reading: RigReading, notes: Notes): PlannedPlaces {
  const targets = named(show.all.target, reading.targets).flatMap((one) => targetPlanned(show, one, notes))
  const pieces = named(show.all.setPiece, reading.pieces).map((one) => piecePlanned(show, one))
  const chosen = <T>(planned: readonly Planned<T>[], isTaken: (key: string) => boolean) =>
    planned.flatMap(({ item, taken }) => (item && isTaken(item.key) ? [taken] : []))
  return {
    items: [...targets, ...pieces].flatMap(({ item }) => (item ? [item] : [])),
    taking: (isTaken) => ({ targets: chosen(targets, isTaken), pieces: chosen(pieces, isTaken) }),
  }
}

export interface Named<T> {
  readonly read: T
  /** The id in the show, and the name it has or gets. */
  readonly id: string
  readonly name: string
  readonly isKnown: boolean
}

/** What is in a show already, by id or name; what is new has a name of its own. */
export function named<T extends { readonly id: string; readonly name: string }>(
  known: ReadonlyMap<string, { readonly name: string }>,
  all: readonly T[],
): Named<T>[] {
  const byUuid = new Map([...known.keys()].map((id) => [uuidOf(id).toLowerCase(), id]))
  const byName = new Map([...known].map(([id, { name }]) => [normalisedName(name), id]))
  const used = new Set<string>()
  const names = [...known.values()].map(({ name }) => name)
  return all.map((read) => {
    const found = [byUuid.get(uuidOf(read.id).toLowerCase()), byName.get(normalisedName(read.name))].find(
      (id) => id !== undefined && !used.has(id),
    )
    if (found !== undefined) {
      used.add(found)
      return { read, id: found, name: known.get(found)?.name ?? read.name, isKnown: true }
    }
    const isFree = !names.some((name) => normalisedName(name) === normalisedName(read.name))
    const name = isFree ? read.name : nextName(read.name, names)
    names.push(name)
    return { read, id: uuidOf(read.id), name, isKnown: false }
  })
}

const metresText = ({ x, y, z }: Vec3) => `${[x, y, z].map((n) => n.toFixed(2)).join(', ')} m`

function targetPlanned(
  show: Show,
  { read, id, name, isKnown }: Named<RigReading['targets'][number]>,
  notes: Notes,
): Planned<TakenRig['targets'][number]>[] {
  const taken = { target: targetId.parse(id), name, position: read.position }
  const key = keyOf('target', id, isKnown ? 'place' : 'new')
  const after = metresText(read.position)
  if (!isKnown) return [{ taken, item: { key, kind: 'target', name, what: 'new', before: '', after, suggested: true } }]
  const placed = targetsOf(show).get(targetId.parse(id))
  const before = placed ? metresText(placed.position) : 'not in this venue'
  if (placed && distance(placed.position, read.position) <= SAME.metres) return [{ taken, item: null }]
  if (placed?.target.setPiece != null) {
    notes.lost(name, 'is tied to a set piece here, and moves with that; the place in the file is left out')
    return []
  }
  return [{ taken, item: { key, kind: 'target', name, what: 'place', before, after, suggested: true } }]
}

function piecePlanned(show: Show, { read, id, name, isKnown }: Named<ReadPiece>): Planned<TakenRig['pieces'][number]> {
  const { position, yaw } = read
  const before = setPiecesOf(show).find((one) => one.id === id)
  const known = show.all.setPiece.get(id)
  const solids = known ? known.solids : read.prisms.map(solidOf)
  const layer = known ? (show.all.layer.get(known.layer ?? '')?.name ?? null) : read.layer || null
  const taken = { setPiece: setPieceId.parse(id), name, solids, layer, position, yaw }
  const item = (what: 'new' | 'place', from: string): RigItem => ({
    key: keyOf('set piece', id, what),
    kind: 'set piece',
    name,
    what,
    layer: layer ?? '',
    before: from,
    after: metresText(position),
    suggested: true,
  })
  if (!isKnown) return { taken, item: item('new', '') }
  if (!before) return { taken, item: item('place', 'not in this venue') }
  const isSame =
    distance(before.place.position, position) <= SAME.metres && Math.abs(turned(before.place.yaw - yaw)) <= SAME.degrees
  return { taken, item: isSame ? null : item('place', metresText(before.place.position)) }
}

export function solidOf({ outline, bottom, top }: ReadPrism): TakenRig['pieces'][number]['solids'][number] {
  return {
    kind: 'prism',
    at: { x: 0, y: 0 },
    turn: 0,
    base: bottom,
    outline: [...outline],
    height: fineMetres(top - bottom),
  }
}
