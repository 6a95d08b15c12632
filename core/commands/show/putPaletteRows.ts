/** Palettes of a table: a target, a level, a zoom or a pool, for any fixture or for some. */
import { LEADING } from '../../attributes/catalogue'
import type { Shelf } from '../../attributes/families'
import { putReaching, type ReachingValue } from '../../palettes/reach'
import type { Draft } from '../../show/draft'
import { nextNumber } from '../../show/freeNumbers'
import { asTargetId, paletteId, type FixtureId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { refuse, type Environment, type Outcome } from '../command'
import { idsByName } from '../shared/fixtureRows'
import { putNewPalette } from '../shared/newPalette'
import { fixturesCalled, type PaletteRow } from '../shared/tableRows'

type Held = Pick<ReachingValue, 'attribute' | 'value'>

export function putPaletteRows(draft: Draft, rows: readonly PaletteRow[], newId: Environment['newId']): Outcome | null {
  if (rows.length === 0) return null
  const show = draft.result()
  const targets = idsByName(show.all.target)
  const known = new Map([...show.all.palette.values()].map(({ number, name }) => [number, name]))
  let next = nextNumber([...show.all.palette.values(), ...rows.map(({ number }) => ({ number: number ?? 0 }))])
  for (const row of rows) {
    const number = row.number ?? next++
    const by = known.get(number)
    if (by !== undefined) return refuse('number taken', { kind: 'palette', number, by }, 'palettes')
    known.set(number, row.name)
    const target = row.target === null ? null : targets.get(normalisedName(row.target))
    if (target === undefined)
      return refuse('unknown in a line', { line: row.name, kind: 'target', name: row.target ?? '' })
    const served = row.fixtures === null ? null : fixturesCalled(show, row.fixtures)
    if (served && !served.ok) return refuse('fixtures of a line', { line: row.name, why: served.message })
    const values = valuesOf(show, heldIn(row, target), served?.fixtures ?? null)
    if (values.length === 0) return refuse('serves none', { name: row.name }, 'palettes')
    const id = paletteId.parse(newId())
    putNewPalette(show, draft, id, { number, name: row.name, colour: 'brass', shelf: shelfOf(row) })
    draft.set('palette', id, 'note', row.note)
    putReaching(show, draft, id, values, { merge: [] })
  }
  return null
}

/** The shelf a row means: its own, else the one that takes all it holds. */
export function shelfOf({ shelf, target, level, zoom, pool }: PaletteRow): Shelf {
  if (shelf !== null) return shelf
  const isWide = zoom !== null || pool !== null
  if (level !== null) return target === null && !isWide ? 'intensity' : 'combined'
  if (!isWide) return 'position'
  return target === null ? 'beam' : 'focus'
}

function heldIn({ level, zoom, pool }: PaletteRow, target: string | null): Held[] {
  const held: Held[] = []
  const offset = { x: 0, y: 0, z: 0 }
  if (target !== null)
    held.push({
      attribute: LEADING.place,
      value: { kind: 'aim', target: asTargetId(target), at: null, offset, choice: null },
    })
  if (level !== null) held.push({ attribute: LEADING.light, value: { kind: 'number', number: level } })
  if (zoom !== null) held.push({ attribute: LEADING.width, value: { kind: 'number', number: zoom } })
  if (pool !== null) held.push({ attribute: LEADING.width, value: { kind: 'pool', diameter: pool } })
  return held
}

/** For any fixture; or for those that are named, as far as they have the attribute. */
function valuesOf(show: Show, held: readonly Held[], served: readonly FixtureId[] | null): ReachingValue[] {
  if (served === null) return held.map((one) => ({ whom: 'any', ...one }))
  return served.flatMap((fixture) =>
    held
      .filter(({ attribute }) => rigOf(show).get(fixture)?.type.has.includes(attribute))
      .map((one) => ({ whom: { own: fixture }, ...one })),
  )
}
