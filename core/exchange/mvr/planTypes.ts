/** The types a rig file brings along, beside those a show has. */
import type { TypeWithModes } from '../../commands/shared/typeWithModes'
import { fixtureTypeId, type FixtureTypeId } from '../../show/ids'
import { modesOf } from '../../show/modes'
import { normalisedName } from '../../show/names'
import type { Show } from '../../show/show'
import { fitsUniverse, modeVariant, type ModeUse } from '../gdtf/modeVariant'
import type { ModeBreak } from '../gdtf/readModes'
import type { Notes } from '../notes'
import { writeType } from '../gdtf/writeType'
import { uuidOf } from '../uuid'
import type { ReadFixture, ReadTypeFile } from './rigReading'

export interface PlannedType {
  readonly id: FixtureTypeId
  /** The file it is in, within the rig file, and which of that one's types it is. */
  readonly entry: string
  readonly part: number
  /** As it would be with what the file has of it. */
  readonly type: TypeWithModes
  readonly isNew: boolean
  /** Modes the show's own lacks that fixtures of the file listen in. */
  readonly lacking: TypeWithModes['modes']
  /** The show's own, with those; null for a new one. */
  readonly extended: TypeWithModes | null
  /** Whether the file has it otherwise than the show. */
  readonly differs: boolean
}

/** What a fixture of the file is: its type and mode; null where the file does not have its type. */
export interface TypeInUse {
  readonly type: FixtureTypeId
  readonly mode: string
  readonly channels: TypeWithModes['modes'][number]['channels']
  /** The mode of the file it is made of, and the addresses that takes. */
  readonly base: TypeWithModes['modes'][number]
  readonly breaks: readonly ModeBreak[]
}

export interface PlannedTypes {
  readonly types: readonly PlannedType[]
  readonly of: (fixture: ReadFixture) => TypeInUse | null
}

/** A type of the file before its fixtures have been looked at. */
interface Held extends Pick<PlannedType, 'id' | 'entry' | 'part'> {
  readonly spec: string
  readonly type: TypeWithModes
  readonly breaks: Readonly<Record<string, readonly ModeBreak[]>>
  /** The modes fixtures listen in, by name. */
  readonly used: Map<string, TypeWithModes['modes'][number]>
}

export function planTypes(
  show: Show,
  files: readonly ReadTypeFile[],
  fixtures: readonly ReadFixture[],
  notes: Notes,
): PlannedTypes {
  const held = files.flatMap(({ spec, entry, id, types }): Held[] =>
    types.map(({ type, breaks }, i) => {
      const ofFile = i === 0 ? id : `${id} ${i + 1}`
      return { spec: specName(spec), entry, part: i, id: idIn(show, ofFile, type), type, breaks, used: new Map() }
    }),
  )
  const uses = new Map(fixtures.map((fixture) => [fixture.id, useOf(fixture, held, notes)]))
  return { types: held.map((one) => planned(show, one)), of: ({ id }) => uses.get(id) ?? null }
}

/** Files name a type with or without the ending of its file. */
const specName = (spec: string) => normalisedName(spec.replace(/\.gdtf$/i, ''))

function idIn(show: Show, ofFile: string, { maker, name }: TypeWithModes): FixtureTypeId {
  const uuid = uuidOf(ofFile)
  for (const [id, type] of show.all.fixtureType)
    if (uuidOf(id).toLowerCase() === uuid.toLowerCase() || isCalled(type, maker, name)) return fixtureTypeId.parse(id)
  return fixtureTypeId.parse(uuid)
}

function isCalled(type: { readonly maker: string; readonly name: string }, maker: string, name: string): boolean {
  return normalisedName(type.maker) === normalisedName(maker) && normalisedName(type.name) === normalisedName(name)
}

function useOf(fixture: ReadFixture, held: readonly Held[], notes: Notes): TypeInUse | null {
  const about = fixture.name || fixture.id
  const ofSpec = held.filter(({ spec }) => spec === specName(fixture.spec))
  if (ofSpec.length === 0) {
    if (fixture.spec !== '') notes.look(about, `its type, ${fixture.spec}, is not in the file; it hangs without one`)
    return null
  }
  const named = (mode: { readonly name: string }) => normalisedName(mode.name) === normalisedName(fixture.mode)
  const found = ofSpec.find(({ type }) => type.modes.some(named)) ?? ofSpec[0]
  const mode = found?.type.modes.find(named) ?? found?.type.modes[0]
  if (!found || !mode) return null
  if (!named(mode)) notes.look(about, `${found.type.name} has no mode called “${fixture.mode}”; ${mode.name} is taken`)
  const breaks = found.breaks[mode.name] ?? []
  const variant = modeVariant(mode, breaks, modeUse(fixture, breaks, notes))
  found.used.set(normalisedName(variant.name), variant)
  return { type: found.id, mode: variant.name, channels: variant.channels, base: mode, breaks }
}

/** A fixture has one address here: others have to lie in its universe, after it. */
function modeUse(fixture: ReadFixture, breaks: readonly ModeBreak[], notes: Notes): ModeUse {
  const at = (number: number | undefined) => fixture.addresses.find((one) => one.number === number)
  const first = at(breaks[0]?.number)
  const starts = new Map<number, number | null>()
  for (const { number, channels } of breaks.slice(1)) {
    const own = at(number)
    if (!own || !first) continue
    const start = own.address - first.address + 1
    const fits =
      own.universe === first.universe &&
      start > (breaks[0]?.channels ?? 0) &&
      fitsUniverse(first.address, start, channels)
    starts.set(number, fits ? start : null)
    if (!fits)
      notes.lost(
        fixture.name || fixture.id,
        `its address ${number}, ${own.universe}.${own.address}, does not come after its first in the same universe; those ${channels} channels stay unpatched`,
      )
  }
  return { inverted: fixture.inverted, starts }
}

function planned(show: Show, { id, entry, part, type, used }: Held): PlannedType {
  const from = { id, entry, part }
  const variants = [...used.values()].filter(
    (mode) => !type.modes.some(({ name }) => normalisedName(name) === normalisedName(mode.name)),
  )
  const whole = { ...type, modes: [...type.modes, ...variants] }
  const known = typeIn(show, id)
  if (!known) return { ...from, type: whole, isNew: true, lacking: [], extended: null, differs: false }
  const has = new Set(known.modes.map(({ name }) => normalisedName(name)))
  const lacking = [...used.values()].filter(({ name }) => !has.has(normalisedName(name)))
  const inFile = new Set(whole.modes.map(({ name }) => normalisedName(name)))
  const alike = { ...known, modes: known.modes.filter(({ name }) => inFile.has(normalisedName(name))) }
  const differs =
    writeType(alike, id) !==
    writeType({ ...whole, modes: whole.modes.filter(({ name }) => has.has(normalisedName(name))) }, id)
  return {
    ...from,
    type: whole,
    isNew: false,
    lacking,
    extended: { ...known, modes: [...known.modes, ...lacking] },
    differs,
  }
}

/** A type of a show with its modes; null where it is not there. */
export function typeIn(show: Show, id: string): TypeWithModes | null {
  const type = show.all.fixtureType.get(id)
  return type ? { ...type, modes: modesOf(show, id).map(({ mode: { name, channels } }) => ({ name, channels })) } : null
}
