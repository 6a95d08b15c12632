/** What differs between two states of a show, record by record. */
import equal from 'fast-deep-equal'
import { declarationOf, isWholeKind, KINDS, type Kind } from '../show/kinds'
import type { Show } from '../show/show'

export type How = 'new' | 'gone' | 'changed'

/** Where lists stand, which is no part of the work. */
export const PASSING = ['onStage', 'pausedAt', 'level']

/** Ids of both sides with how they fare, in the order of the later show. */
export function fates(
  earlier: Show,
  later: Show,
  kind: Kind,
): { readonly id: string; readonly how: 'new' | 'gone' | 'both' }[] {
  const there = [...later.all[kind].keys()].map(
    (id) => ({ id, how: earlier.all[kind].has(id) ? 'both' : 'new' }) as const,
  )
  const gone = [...earlier.all[kind].keys()].filter((id) => !later.all[kind].has(id))
  return [...there, ...gone.map((id) => ({ id, how: 'gone' }) as const)]
}

/** Fields that differ, as "name: Bow → Stern"; fields that a reader cannot make sense of are only named. */
export function changedFields(kind: Kind, was: object, is: object, skip: readonly string[] = []): string[] {
  const { references } = declarationOf(kind)
  return Object.entries(is).flatMap(([field, value]) => {
    const before: unknown = Reflect.get(was, field)
    if (skip.includes(field) || equal(before, value)) return []
    const isPlain =
      !(field in references) && [before, value].every((one) => typeof one === 'string' || typeof one === 'number')
    return [isPlain ? `${field}: ${String(before)} → ${String(value)}` : `${field} changed`]
  })
}

/** Lines by the thing whose parts differ, `kind/id`. */
export type PartLines = ReadonlyMap<string, readonly string[]>

/** Parts whose difference is told by what they come to. */
const TOLD_BY_VALUE: ReadonlySet<Kind> = new Set<Kind>(['paletteValue', 'cueValue'])

/** What differs in the parts of things: places, members, modes, times, spreads. */
export function partLines(earlier: Show, later: Show): PartLines {
  const lines = new Map<string, string[]>()
  for (const kind of KINDS) {
    const { concerns, partOf, references } = declarationOf(kind)
    const whole = partOf === undefined ? undefined : references[partOf]?.to
    if (partOf === undefined || whole === undefined || concerns || TOLD_BY_VALUE.has(kind)) continue
    const byWhole = partDifferences(earlier, later, kind, partOf)
    for (const [id, differences] of byWhole)
      lines.set(`${whole}/${id}`, [...(lines.get(`${whole}/${id}`) ?? []), ...linesOf(kind, differences)])
  }
  return lines
}

interface PartDifferences {
  readonly count: Record<How, number>
  readonly fields: string[]
}

/** The parts of one kind that differ, by whose they are; `partOf` is the field that says so. */
function partDifferences(earlier: Show, later: Show, kind: Kind, partOf: string): Map<string, PartDifferences> {
  const byWhole = new Map<string, PartDifferences>()
  for (const { id, how } of fates(earlier, later, kind)) {
    const was = earlier.all[kind].get(id)
    const is = later.all[kind].get(id)
    const fields = was && is ? changedFields(kind, was, is) : []
    if (how === 'both' && fields.length === 0) continue
    const whole = String(Reflect.get(is ?? was ?? {}, partOf))
    const known = byWhole.get(whole) ?? { count: { new: 0, gone: 0, changed: 0 }, fields: [] }
    byWhole.set(whole, known)
    if (how === 'both' && !isWholeKind(kind)) known.fields.push(...fields)
    else known.count[how === 'both' ? 'changed' : how] += 1
  }
  return byWhole
}

function linesOf(kind: Kind, { count, fields }: PartDifferences): string[] {
  const [one, many] = declarationOf(kind).words
  const counts = (['new', 'gone', 'changed'] as const).filter((how) => count[how] > 0)
  return [
    ...fields,
    ...counts.map((how) => (count[how] === 1 ? `a ${one} is ${how}` : `${count[how]} ${many} are ${how}`)),
  ]
}
