/** What changed since a paper was printed last: lines are known by what they tell of, and by what they said. */
import type { Paper } from './compose'
import type { Leaf, PaperCell } from './leaf'

/** What every line of a paper said when it was printed, by what it told of: both as digests. */
export type Digests = Readonly<Record<string, string>>

/** A print of a paper. */
export interface Printed {
  readonly version: number
  /** Milliseconds since 1970. */
  readonly at: number
  readonly rows: Digests
}

export type Mark = 'new' | 'changed'

/** What changed on a leaf. */
export interface LeafChanges {
  /** Of its lines, by key; what stayed as it was has none. */
  readonly marks: ReadonlyMap<string, Mark>
  /** Lines that are no more. */
  readonly gone: number
}

interface Line {
  readonly key: string
  readonly said: string
}

/** Half of a digest tells the leaf, half the line: so it is known of which leaf a line is gone. */
const HALF = 6

function linesOf({ key, title, under, blocks }: Leaf): Line[] {
  const head = blocks.flatMap((block) => (block.kind === 'facts' ? block.facts : []))
  const rows = blocks.flatMap((block) => (block.kind === 'table' ? block.rows : []))
  const cards = blocks.flatMap((block) => (block.kind === 'cards' ? block.cards : []))
  return [
    { key, said: JSON.stringify([title, under, head]) },
    ...rows.map((row) => ({ key: row.key, said: row.cells.map(cellSaid).join('\u0000') })),
    ...cards.map((card) => ({ key: card.key, said: [card.title, card.words, card.colour].join('\u0000') })),
  ]
}

function cellSaid(cell: PaperCell): string {
  if (cell.kind === 'words') return cell.words
  return cell.kind === 'drawing' ? cell.drawing.svg : ''
}

const idOf = (leaf: string, line: string) => digest(leaf).slice(0, HALF) + digest(line).slice(0, HALF)

/** What all the lines of a paper say now. */
export function digestsOf({ leaves }: Paper): Digests {
  return Object.fromEntries(
    leaves.flatMap((leaf) => linesOf(leaf).map(({ key, said }) => [idOf(leaf.key, key), digest(said)])),
  )
}

/** What changed on a leaf since it was printed. */
export function changesSince(leaf: Leaf, { rows }: Pick<Printed, 'rows'>): LeafChanges {
  const marks = new Map<string, Mark>()
  const here = new Set<string>()
  for (const { key, said } of linesOf(leaf)) {
    const id = idOf(leaf.key, key)
    here.add(id)
    const then = rows[id]
    if (then === undefined) marks.set(key, 'new')
    else if (then !== digest(said)) marks.set(key, 'changed')
  }
  const prefix = digest(leaf.key).slice(0, HALF)
  const gone = Object.keys(rows).filter((id) => id.startsWith(prefix) && !here.has(id)).length
  return { marks, gone }
}

/** What is known of a paper after it was printed again: lines of leaves that were not printed stay as they were. */
export function digestsAfter(before: Digests, paper: Paper): Digests {
  const printed = new Set(paper.leaves.map(({ key }) => digest(key).slice(0, HALF)))
  const kept = Object.entries(before).filter(([id]) => !printed.has(id.slice(0, HALF)))
  return { ...Object.fromEntries(kept), ...digestsOf(paper) }
}

/** FNV-1a with 32 bits, as eight hexadecimal digits (Fowler, Noll and Vo). */
function digest(text: string): string {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) {
    hash ^= text.charCodeAt(i)
    hash = Math.imul(hash, 0x01000193)
  }
  return (hash >>> 0).toString(16).padStart(8, '0')
}
