/** Cue lists: every cue with its times, and the palettes it uses. */
import { listsInOrder, valuesByCue, type CueInOrder, type ListInOrder } from '../cues/tracking'
import { counted } from '../show/counted'
import { travelInWords } from '../cues/travel'
import type { CueId } from '../show/ids'
import type { Show } from '../show/show'
import { ROOM, strong, words } from './cell'
import type { Column, Leaf, Row } from './leaf'
import type { NumbersWanted } from './numbersWanted'

const COLUMNS: readonly Column[] = [
  { title: 'cue', align: 'right' },
  { title: 'name' },
  { title: 'rise', align: 'right' },
  { title: 'fall', align: 'right' },
  { title: 'move', align: 'right' },
  { title: 'comes' },
  { title: 'palettes' },
  { title: 'note', width: 'rest' },
]
/** Palettes named in a line; how many more there are is counted. */
const MOST_PALETTES = 6

export function* cueLists(show: Show, wanted: NumbersWanted): Generator<Leaf> {
  for (const list of listsInOrder(show)) {
    const cues = list.cues.filter(({ cue }) => wanted(cue.number))
    if (cues.length > 0) yield cueList(show, list, cues)
  }
}

function cueList(show: Show, { id, list }: ListInOrder, cues: readonly CueInOrder[]): Leaf {
  return {
    key: `cue list ${id}`,
    title: list.name,
    under: `cue list ${list.number}, ${counted(cues.length, 'cue')}`,
    isLandscape: false,
    blocks: [{ kind: 'table', columns: COLUMNS, rows: cues.map((one) => rowOf(show, one)) }],
  }
}

function rowOf(show: Show, { id, cue }: CueInOrder): Row {
  const note = cue.note ? words(cue.note) : ROOM
  return {
    key: `cue ${id}`,
    cells: [
      strong(String(cue.number)),
      words(cue.name),
      words(String(cue.rise)),
      words(String(cue.fall)),
      words(cue.move === null ? '' : String(cue.move)),
      words(comingInWords(cue)),
      words(palettesOf(show, id)),
      note,
    ],
  }
}

const COMES = { wait: '', after: 'after', with: 'with' } as const
function comingInWords({ follow, delay, travel, quiet }: CueInOrder['cue']): string {
  const late = delay > 0 ? `${COMES[follow]} ${delay} s late`.trim() : COMES[follow]
  return [late, travel === null ? '' : travelInWords(travel), quiet ? 'quiet' : ''].filter(Boolean).join(', ')
}

/** The numbers of the palettes that are set in a cue. */
function palettesOf(show: Show, cue: CueId): string {
  const linked = (valuesByCue(show).get(cue) ?? []).flatMap(({ value }) =>
    value.kind === 'link' ? (show.all.palette.get(value.palette)?.number ?? []) : [],
  )
  const numbers = [...new Set(linked)].sort((a, b) => a - b)
  const more = numbers.length - MOST_PALETTES
  const shown = numbers.slice(0, MOST_PALETTES).join(', ')
  return more > 0 ? `${shown} and ${more} more` : shown
}
