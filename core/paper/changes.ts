/** What changed since a paper was printed last: lines are known by what they tell of, and by what they said. */
import type { Print } from '../show/entities'
import type { Leaf, PaperCell } from './leaf'

export type Mark = 'new' | 'changed'

/** What changed on a leaf. */
export interface LeafChanges {
  /** Of its lines, by key; what stayed as it was has none. */
  readonly marks: ReadonlyMap<string, Mark>
  /** Whether its heading or a drawing is other than it was. */
  readonly isHeadOther: boolean
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
  const facts = blocks.flatMap((block) => (block.kind === 'facts' ? block.facts : []))
  const drawn = blocks.flatMap((block) =>
    block.kind === 'drawings' ? block.drawings.map(({ drawing }) => drawing.svg) : [],
  )
  const rows = blocks.flatMap((block) => (block.kind === 'table' ? block.rows : []))
  const cards = blocks.flatMap((block) => (block.kind === 'cards' ? block.cards : []))
  return [
    { key, said: JSON.stringify([title, under, facts, drawn]) },
    ...rows.map((row) => ({ key: row.key, said: row.cells.map(cellSaid).join('\u0000') })),
    ...cards.map((card) => ({ key: card.key, said: [card.title, card.words, card.colour].join('\u0000') })),
  ]
}

function cellSaid(cell: PaperCell): string {
  if (cell.kind === 'words') return cell.words
  return cell.kind === 'drawing' ? cell.drawing.svg : ''
}

const idOf = (leaf: string, line: string) => digest(leaf).slice(0, HALF) + digest(line).slice(0, HALF)

/** What every line said, by what it told of: both as digests. */
type Digests = ReadonlyMap<string, string>

/** A line in a print: which it is, and what it said. */
const LINE = /(.{12})(.{8})/g

function digestsOf(leaves: readonly Leaf[]): Map<string, string> {
  return new Map(
    leaves.flatMap((leaf) => linesOf(leaf).map(({ key, said }) => [idOf(leaf.key, key), digest(said)] as const)),
  )
}

function digestsIn({ lines }: Pick<Print, 'lines'>): Digests {
  return new Map([...lines.matchAll(LINE)].map(([, id = '', said = '']) => [id, said]))
}

/** What changed on a leaf since its paper was printed. */
export function changesSince(leaf: Leaf, before: Pick<Print, 'lines'>): LeafChanges {
  const then = digestsIn(before)
  const now = digestsOf([leaf])
  const marks = new Map<string, Mark>()
  const head = idOf(leaf.key, leaf.key)
  for (const { key } of linesOf(leaf)) {
    const id = idOf(leaf.key, key)
    if (id === head && then.has(id)) continue
    if (!then.has(id)) marks.set(key, 'new')
    else if (then.get(id) !== now.get(id)) marks.set(key, 'changed')
  }
  const ofLeaf = digest(leaf.key).slice(0, HALF)
  const gone = [...then.keys()].filter((id) => id.startsWith(ofLeaf) && !now.has(id)).length
  return { marks, isHeadOther: then.has(head) && then.get(head) !== now.get(head), gone }
}

/** The lines of a print as they are kept; those of leaves that were not printed this time stay as they were. */
export function linesAfter(before: Pick<Print, 'lines'> | null, leaves: readonly Leaf[]): string {
  const printed = new Set(leaves.map(({ key }) => digest(key).slice(0, HALF)))
  const kept = before ? [...digestsIn(before)].filter(([id]) => !printed.has(id.slice(0, HALF))) : []
  return [...kept, ...digestsOf(leaves)].map(([id, said]) => id + said).join('')
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
