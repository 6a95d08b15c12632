/**
 * Typed selections, in plain words: `12-17, 21`, `12.1-4`, `11-18 every 2`, `Bar 1, -14`, `group 3`,
 * `lit`. A number means a fixture with all its cells, one with a cell behind a point that cell alone.
 * Clauses stand between commas. A leading `+` or `-` adds to or takes from the present selection;
 * without one the first clause begins anew. Names are those of groups, hangs and types.
 */
import type { FixtureId } from '../show/ids'
import { normalisedName } from '../show/names'

/** A named set of fixtures one can speak of, in its own order. */
export interface NamedSet {
  readonly kind: 'group' | 'hang' | 'type'
  readonly name: string
  /** A group's number; null for others. */
  readonly number: number | null
  readonly members: readonly FixtureId[]
}

/** A fixture under its number; `cell` where it is one of another's. */
export interface NumberedFixture {
  readonly id: FixtureId
  readonly number: number
  readonly cell: number | null
}

/** What an entry can speak of. */
export interface EntryWorld {
  /** Every fixture that may be selected, cells after their bar, in order of number. */
  readonly numbered: readonly NumberedFixture[]
  readonly named: readonly NamedSet[]
  readonly lit: ReadonlySet<FixtureId>
  readonly selected: readonly FixtureId[]
}

export type EntryResult =
  | { readonly ok: true; readonly fixtures: readonly FixtureId[] }
  /** `part` is the piece of the entry that is not understood. */
  | { readonly ok: false; readonly message: string; readonly part: string }

/** One clause: whether it adds, what it speaks of, and what narrows that down. */
interface Clause {
  readonly takesOut: boolean
  readonly subject: string
  readonly every: { readonly nth: number; readonly from: number } | null
  readonly light: 'lit' | 'dark' | null
}

type Found = { readonly ok: true; readonly fixtures: readonly FixtureId[] } | { readonly ok: false; message: string }

const SIGN = /^\s*(\+|-|–|−|and\s|also\s|not\s|without\s)\s*/i
const EVERY = /\s+every\s+(\d{1,3})(?:\s+from\s+(\d{1,3}))?\s*$/i
const LIGHT = /\s+(lit|dark)\s*$/i
const TO = /\s*(?:-|–|to)\s*/.source
/** `12`, `12-17`, `12.3`, `12.1-4`, `12-17.1-4`: the cells 1 to 4 of each. */
const SPAN = new RegExp(`^(\\d{1,5})(?:${TO}(\\d{1,5}))?(?:\\.(\\d{1,3})(?:${TO}(\\d{1,3}))?)?$`, 'i')
/** `12.5-14.2`: every cell from one to another. */
const CELLS = new RegExp(`^(\\d{1,5})\\.(\\d{1,3})${TO}(\\d{1,5})\\.(\\d{1,3})$`, 'i')
/** How many possible names are told. */
const TOLD = 4

/** The fixtures an entry names, in the order it names them, each once. */
export function parseEntry(text: string, world: EntryWorld): EntryResult {
  const parts = clausesOf(text)
  const chosen = new Set<FixtureId>(SIGN.test(parts[0] ?? '') ? world.selected : [])
  for (const part of parts) {
    if (part.trim() === '') continue
    const clause = readClause(part, world)
    const found = fixturesOf(clause, world)
    if (!found.ok) return { ok: false, message: found.message, part: part.trim() }
    for (const fixture of found.fixtures) {
      if (clause.takesOut) chosen.delete(fixture)
      else chosen.add(fixture)
    }
  }
  return { ok: true, fixtures: [...chosen] }
}

/** Splits at commas; a name in double quotes keeps its own. */
function clausesOf(text: string): string[] {
  return text.match(/(?:"[^"]*"|[^,"]|")+/g) ?? []
}

function readClause(part: string, world: EntryWorld): Clause {
  const sign = SIGN.exec(part)?.[1]?.trim().toLowerCase() ?? ''
  const takesOut = sign !== '' && !['+', 'and', 'also'].includes(sign)
  let rest = part.replace(SIGN, '').trim()
  let every: Clause['every'] = null
  let light: Clause['light'] = null
  while (!isName(rest, world)) {
    const nth = EVERY.exec(rest)
    const seen = LIGHT.exec(rest)
    if (nth) every = { nth: Number(nth[1]), from: Number(nth[2] ?? 1) }
    else if (seen) light = seen[1]?.toLowerCase() === 'lit' ? 'lit' : 'dark'
    else break
    rest = rest.slice(0, (nth ?? seen)?.index).trim()
  }
  return { takesOut, subject: rest.replaceAll('"', '').trim(), every, light }
}

function isName(text: string, world: EntryWorld): boolean {
  const wanted = normalisedName(text.replaceAll('"', ''))
  return world.named.some(({ name }) => normalisedName(name) === wanted)
}

function fixturesOf(clause: Clause, world: EntryWorld): Found {
  const found = subjectOf(clause.subject, world)
  if (!found.ok) return found
  const { every, light } = clause
  if (every && (every.nth < 1 || every.from < 1 || every.from > every.nth))
    return { ok: false, message: `Every ${every.nth} can begin from 1 to ${Math.max(1, every.nth)}.` }
  const seen = found.fixtures.filter((id) => light === null || world.lit.has(id) === (light === 'lit'))
  const fixtures = every
    ? inUnits(seen, world)
        .filter((_, i) => i % every.nth === every.from - 1)
        .flat()
    : seen
  if (fixtures.length > 0) return { ok: true, fixtures }
  return { ok: false, message: `Nothing of ${clause.subject} is ${light ?? 'left'}.` }
}

/** What counts as one: a fixture with its cells, or a cell without it. */
function inUnits(fixtures: readonly FixtureId[], { numbered }: EntryWorld): FixtureId[][] {
  const known = new Map(numbered.map((one) => [one.id, one]))
  const units: FixtureId[][] = []
  const ofNumber = new Map<number, FixtureId[]>()
  for (const id of fixtures) {
    const one = known.get(id)
    const whole = one && one.cell !== null ? ofNumber.get(one.number) : undefined
    if (whole) {
      whole.push(id)
      continue
    }
    const unit = [id]
    units.push(unit)
    if (one?.cell === null) ofNumber.set(one.number, unit)
  }
  return units
}

function subjectOf(subject: string, world: EntryWorld): Found {
  const wanted = normalisedName(subject)
  const exact = world.named.find(({ name }) => normalisedName(name) === wanted)
  if (exact) return some(exact)
  if (wanted === 'all') return { ok: true, fixtures: inOrder(world) }
  if (wanted === 'lit' || wanted === 'dark') return litOrDark(world, wanted)
  if (wanted === 'selected' || wanted === '') return { ok: true, fixtures: world.selected }
  const span = SPAN.exec(subject)
  if (span?.[1]) {
    const [, from, to = from, cellFrom, cellTo = cellFrom] = span
    const cells = cellFrom === undefined ? null : ([Number(cellFrom), Number(cellTo)] as const)
    return inSpan(Number(from), Number(to), cells, subject, world)
  }
  const cells = CELLS.exec(subject)
  if (cells) {
    const [fromNumber = 0, fromCell = 0, toNumber = 0, toCell = 0] = cells.slice(1).map(Number)
    return betweenCells([fromNumber, fromCell], [toNumber, toCell], subject, world)
  }
  const numbered = /^group\s+([\d.]+)$/i.exec(subject)
  if (numbered) {
    const group = world.named.find(({ kind, number }) => kind === 'group' && number === Number(numbered[1]))
    return group ? some(group) : { ok: false, message: `There is no group ${numbered[1] ?? ''}.` }
  }
  return byBeginning(subject.replace(/^(group|hang|type)\s+/i, ''), world)
}

function some({ name, members }: NamedSet): Found {
  return members.length > 0 ? { ok: true, fixtures: members } : { ok: false, message: `${name} has no fixtures.` }
}

function inOrder(world: EntryWorld): FixtureId[] {
  return world.numbered.map(({ id }) => id)
}

function litOrDark(world: EntryWorld, which: 'lit' | 'dark'): Found {
  const fixtures = inOrder(world).filter((id) => world.lit.has(id) === (which === 'lit'))
  return fixtures.length > 0 ? { ok: true, fixtures } : { ok: false, message: `Nothing is ${which}.` }
}

/** Backwards keeps the backward order; numbers inside a range without a fixture are passed over. */
function inSpan(from: number, to: number, cells: CellSpan | null, subject: string, { numbered }: EntryWorld): Found {
  const inside = numbered.filter(({ number }) => number >= Math.min(from, to) && number <= Math.max(from, to))
  const [first, last] = cells ?? [0, Infinity]
  const isMeant = (cell: number | null) =>
    cells === null || (cell !== null && cell >= Math.min(first, last) && cell <= Math.max(first, last))
  const found = inside.filter(({ cell }) => isMeant(cell))
  const [byNumber, byCell] = [from <= to ? 1 : -1, first <= last ? 1 : -1]
  found.sort((a, b) => byNumber * (a.number - b.number) || byCell * ((a.cell ?? 0) - (b.cell ?? 0)))
  if (found.length > 0) return { ok: true, fixtures: found.map(({ id }) => id) }
  if (inside.length > 0) return { ok: false, message: `There is no cell ${subject}.` }
  return { ok: false, message: from === to ? `There is no fixture ${from}.` : `No fixture from ${from} to ${to}.` }
}

type CellSpan = readonly [first: number, last: number]
type CellPlace = readonly [number: number, cell: number]

/** Every cell from one to another, over the fixtures between them; backwards too. */
function betweenCells(from: CellPlace, to: CellPlace, subject: string, { numbered }: EntryWorld): Found {
  const compare = (a: CellPlace, b: CellPlace) => a[0] - b[0] || a[1] - b[1]
  const [low, high] = compare(from, to) <= 0 ? [from, to] : [to, from]
  const found = numbered.filter(
    ({ number, cell }) => cell !== null && compare(low, [number, cell]) <= 0 && compare([number, cell], high) <= 0,
  )
  const fixtures = found.map(({ id }) => id)
  if (fixtures.length === 0) return { ok: false, message: `There is no cell from ${subject.replace('-', ' to ')}.` }
  return { ok: true, fixtures: low === from ? fixtures : fixtures.reverse() }
}

/** The one name that begins so, or has a word that does. */
function byBeginning(subject: string, world: EntryWorld): Found {
  const candidates = beginningWith(subject, world.named)
  const [only, ...others] = candidates
  if (only && others.length === 0) return some(only)
  if (!only)
    return {
      ok: false,
      message: `“${subject}” is no number, range or name here. Try 12-17, a group, a hang or a type.`,
    }
  const names = candidates.slice(0, TOLD).map(({ name }) => name)
  const more = candidates.length > TOLD ? ' or another' : ''
  return { ok: false, message: `“${subject}” could be ${names.join(', ')}${more}. Write more of it.` }
}

function beginningWith(subject: string, named: readonly NamedSet[]): NamedSet[] {
  const wanted = normalisedName(subject)
  if (wanted === '') return []
  const sorted = [...named].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }))
  const starts = sorted.filter(({ name }) => normalisedName(name).startsWith(wanted))
  const inside = sorted.filter((set) => !starts.includes(set) && normalisedName(set.name).includes(` ${wanted}`))
  return [...starts, ...inside]
}

/** How an entry may go on. */
export interface Completion {
  /** The whole entry if it is taken. */
  readonly entry: string
  readonly name: string
  readonly kind: NamedSet['kind'] | 'word'
  /** How many fixtures the name stands for; null for a word. */
  readonly count: number | null
}

const WORDS = ['all', 'lit', 'dark', 'every 2', 'without', 'out', 'full'] as const

/** The names and words the last clause of an entry may become. */
export function completionsOf(text: string, world: EntryWorld, most = 8): Completion[] {
  const last = clausesOf(text).at(-1) ?? ''
  const sign = SIGN.exec(last)?.[0] ?? /^\s*/.exec(last)?.[0] ?? ''
  const begun = last.slice(sign.length).replace(/^(group|hang|type)\s+/i, '')
  if (begun.trim() === '') return []
  const before = text.slice(0, text.length - last.length) + sign
  const names = beginningWith(begun, world.named).map(({ name, kind, members }) => ({
    entry: before + (name.includes(',') ? `"${name}"` : name),
    name,
    kind,
    count: members.length,
  }))
  const [, stem = '', tail = begun] = /^(.*\s)(\S+)$/.exec(begun) ?? []
  const words = WORDS.filter((word) => word.startsWith(tail.toLowerCase()) && word !== tail).map((word) => ({
    entry: before + stem + word,
    name: word,
    kind: 'word' as const,
    count: null,
  }))
  return [...names, ...words].filter(({ entry }) => normalisedName(entry) !== normalisedName(text)).slice(0, most)
}
