/** Fixtures of kept scenes whose elements say by themselves which mode they listen in, and the types that go out beside them. */
import equal from 'fast-deep-equal'
import type { FixtureId, FixtureTypeId } from '../../show/ids'
import { modesOf } from '../../show/modes'
import type { Show } from '../../show/show'
import type { KeptType } from '../gdtf/keptType'
import { modeVariant } from '../gdtf/modeVariant'
import type { ModeBreak } from '../gdtf/readModes'
import { readType } from '../gdtf/readType'
import type { KeptScene, Of } from './keptScene'
import { typesOut, type TypesOut } from './typesOut'

export interface ToldModes {
  readonly told: ReadonlySet<FixtureId>
  readonly types: TypesOut
}

/**
 * An element goes on saying how a fixture listens for as long as the show has it so, and the file of its type
 * goes out with the addresses it speaks of.
 */
export function toldModes(
  show: Show,
  scenes: readonly KeptScene[],
  kept: ReadonlyMap<FixtureTypeId, KeptType>,
  used: ReadonlySet<FixtureTypeId>,
): ToldModes {
  let found = scenes
    .flatMap(({ matches }) => [...matches.values()])
    .flatMap(({ match }) => (match.kind === 'fixture' && isModeTold(show, match) ? [match] : []))
  // Who is told no longer may have to be given a mode, which is one more of its type.
  for (;;) {
    const told = new Set(found.map(({ id }) => id))
    const types = typesOut(show, kept, used, told)
    const breaksOf = breaksIn(types)
    const still = found.filter(({ use }) => use === null || isSameBreaks(breaksOf(use.type, use.base.name), use.breaks))
    if (still.length === found.length) return { told, types }
    found = still
  }
}

function isModeTold(show: Show, { id, read, use }: Of<'fixture'>): boolean {
  const now = show.all.fixture.get(id)
  if (!now || !use) return now?.type === null && use === null
  // Without addresses an element says nothing of where further ones are.
  const unpatched = modeVariant(use.base, use.breaks, { inverted: read.inverted, starts: new Map() })
  if (now.address === null && unpatched.name !== use.mode) return false
  const mode = now.mode === null ? undefined : show.all.fixtureMode.get(now.mode)
  if (now.type !== use.type || mode?.name !== use.mode) return false
  const base = modesOf(show, use.type).find((one) => one.mode.name === use.base.name)?.mode
  return equal(base?.channels, use.base.channels) && equal(mode.channels, use.channels)
}

/** The addresses of a mode of a type as its file goes out; null where that is the one it came in. */
function breaksIn({ files, fileOf }: TypesOut) {
  const read = new Map<string, ReadonlyMap<string, readonly ModeBreak[]>>()
  return (type: FixtureTypeId, mode: string): readonly ModeBreak[] | null => {
    const file = fileOf(type) ?? ''
    const description = files.get(file)?.description ?? null
    if (description === null) return null
    const known = read.get(file) ?? new Map(readType(description).types.flatMap(({ breaks }) => [...breaks]))
    read.set(file, known)
    return known.get(mode) ?? []
  }
}

/** Of a single address it does not matter how many channels it has. */
function isSameBreaks(now: readonly ModeBreak[] | null, before: readonly ModeBreak[]): boolean {
  const numbers = (breaks: readonly ModeBreak[]) => breaks.map(({ number }) => number)
  if (now === null || (now.length <= 1 && before.length <= 1))
    return now === null || equal(numbers(now), numbers(before))
  return equal(now, before)
}
