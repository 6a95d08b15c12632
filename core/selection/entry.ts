/**
 * Typed selections, in plain words: `12-17, 21`, `11-18 every 2`, `Bar 1, -14`, `group 3`, `lit`.
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

/** What an entry can speak of. */
export interface EntryWorld {
  /** Every fixture that may be selected, by number. */
  readonly byNumber: ReadonlyMap<number, FixtureId>
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
const SPAN = /^(\d{1,5})(?:\s*(?:-|–|to)\s*(\d{1,5}))?$/i
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
  const fixtures = every ? seen.filter((_, i) => i % every.nth === every.from - 1) : seen
  if (fixtures.length > 0) return { ok: true, fixtures }
  return { ok: false, message: `Nothing of ${clause.subject} is ${light ?? 'left'}.` }
}

function subjectOf(subject: string, world: EntryWorld): Found {
  const wanted = normalisedName(subject)
  const exact = world.named.find(({ name }) => normalisedName(name) === wanted)
  if (exact) return some(exact)
  if (wanted === 'all') return { ok: true, fixtures: inOrder(world) }
  if (wanted === 'lit' || wanted === 'dark') return litOrDark(world, wanted)
  if (wanted === 'selected' || wanted === '') return { ok: true, fixtures: world.selected }
  const span = SPAN.exec(subject)
  if (span?.[1]) return inSpan(Number(span[1]), Number(span[2] ?? span[1]), world)
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
  return [...world.byNumber].sort(([a], [b]) => a - b).map(([, id]) => id)
}

function litOrDark(world: EntryWorld, which: 'lit' | 'dark'): Found {
  const fixtures = inOrder(world).filter((id) => world.lit.has(id) === (which === 'lit'))
  return fixtures.length > 0 ? { ok: true, fixtures } : { ok: false, message: `Nothing is ${which}.` }
}

/** Backwards keeps the backward order; numbers inside a range without a fixture are passed over. */
function inSpan(from: number, to: number, { byNumber }: EntryWorld): Found {
  const numbers = [...byNumber.keys()].filter((n) => n >= Math.min(from, to) && n <= Math.max(from, to))
  numbers.sort((a, b) => (from <= to ? a - b : b - a))
  if (numbers.length > 0) return { ok: true, fixtures: numbers.flatMap((n) => byNumber.get(n) ?? []) }
  return { ok: false, message: from === to ? `There is no fixture ${from}.` : `No fixture from ${from} to ${to}.` }
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
