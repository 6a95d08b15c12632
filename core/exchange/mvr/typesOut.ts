/** The types a rig goes out with: which file each is in, and what that file says. */
import type { TypeWithModes } from '../../commands/shared/typeWithModes'
import { wholeFixtures } from '../../show/cells'
import type { FixtureId, FixtureTypeId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import type { Show } from '../../show/show'
import { modeNamesIn, typeCountIn, writeKeptType, type KeptType } from '../gdtf/keptType'
import { writeType } from '../gdtf/writeType'
import { uuidOf } from '../uuid'
import { typeIn } from './planTypes'

export interface WrittenType {
  readonly type: FixtureTypeId
  /** Its description; null where the file it came from goes out as it is. */
  readonly description: string | null
}

export interface TypesOut {
  /** By the name of their file. */
  readonly files: ReadonlyMap<string, WrittenType>
  readonly fileOf: (type: FixtureTypeId) => string | null
}

/** `told` are the fixtures whose elements say how they listen beyond what the type's file says. */
export function typesOut(
  show: Show,
  kept: ReadonlyMap<FixtureTypeId, KeptType>,
  used: ReadonlySet<FixtureTypeId>,
  told: ReadonlySet<FixtureId>,
): TypesOut {
  const files = new Map<string, WrittenType & { readonly from: string }>()
  const names = new Map<FixtureTypeId, string>()
  for (const type of used) {
    const whole = typeIn(show, type)
    if (!whole) continue
    const own = kept.get(type)
    const needed = own ? withoutTold(show, type, whole, own, told) : whole
    const description = own ? writeKeptType(own, needed, uuidOf(type)) : writeType(whole, uuidOf(type))
    const file = show.all.typeFile.get(type)
    const isWhole = description === null || (own !== undefined && typeCountIn(own) === 1)
    const wanted = (isWhole && file?.entry) || plainFileOf(whole)
    const from = description === null && file ? `${file.digest} ${file.entry}` : type
    const name = freeName(wanted, (one) => (files.get(one)?.from ?? from) === from)
    files.set(name, { type, description, from })
    names.set(type, name)
  }
  return { files, fileOf: (type) => names.get(type) ?? null }
}

/** What may stand in a file name everywhere. */
const plainFileOf = ({ maker, name }: TypeWithModes) =>
  `${[maker, name].map((one) => one.replaceAll(/[^\p{L}\p{N} ._-]/gu, '_')).join('@')}.gdtf`

function freeName(wanted: string, isFree: (name: string) => boolean): string {
  if (isFree(wanted)) return wanted
  const stem = wanted.replace(/\.gdtf$/i, '')
  for (let n = 2; ; n += 1) if (isFree(`${stem} (${n}).gdtf`)) return `${stem} (${n}).gdtf`
}

/** A type without the modes that only fixtures listen in whose elements say so by themselves. */
function withoutTold(
  show: Show,
  type: FixtureTypeId,
  whole: TypeWithModes,
  kept: KeptType,
  told: ReadonlySet<FixtureId>,
): TypeWithModes {
  const inFile = new Set(modeNamesIn(kept).map(normalisedName))
  const users = wholeFixtures(show).filter(([, fixture]) => fixture.type === type)
  const isTold = (name: string) => {
    const own = users.filter(([, { mode }]) => show.all.fixtureMode.get(mode ?? '')?.name === name)
    return own.length > 0 && own.every(([id]) => told.has(id))
  }
  return { ...whole, modes: whole.modes.filter(({ name }) => inFile.has(normalisedName(name)) || !isTold(name)) }
}
