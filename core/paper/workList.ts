/** The refocus work list: the palettes of a pass with what is still to be done, and the notes on cues. */
import { openCueNotes } from '../refocus/cueNotes'
import { passOf, type PassLine } from '../refocus/pass'
import { passOrder } from '../refocus/passOrder'
import { numbersInWords } from '../selection/written'
import { counted } from '../show/counted'
import type { PaletteId } from '../show/ids'
import { entity, showRecordOf, type Show } from '../show/show'
import { ROOM, strong, TICK, words } from './cell'
import type { Block, Column, Leaf, Row } from './leaf'

const COLUMNS: readonly Column[] = [
  { title: '' },
  { title: 'palette' },
  { title: 'stands' },
  { title: 'still to look at' },
  { title: 'does not hang here' },
  { title: 'cues', align: 'right' },
  { title: 'note', width: 'rest' },
]
const NOTE_COLUMNS: readonly Column[] = [
  { title: '' },
  { title: 'cue', align: 'right' },
  { title: 'note', width: 'rest' },
  { title: 'palettes seen in it' },
]

export function* workList(show: Show): Generator<Leaf> {
  const venue = entity(show, 'venue', showRecordOf(show).venue)
  const pass = passOf(show)
  const rows = pass
    ? pass.lines.map((line) => passRow(show, line))
    : passOrder(show, 'by cue').map(({ palette, cues }) => plainRow(show, palette, cues))
  const notes = openCueNotes(show)
  const blocks: Block[] = [{ kind: 'table', columns: COLUMNS, rows }]
  if (notes.length > 0)
    blocks.push(
      { kind: 'words', words: 'Notes on cues' },
      {
        kind: 'table',
        columns: NOTE_COLUMNS,
        rows: notes.map(({ id, note, cue, palettes }) => ({
          key: `note ${id}`,
          cells: [
            TICK,
            strong(String(cue)),
            words(note.text),
            words(palettes.map((one) => nameOf(show, one)).join(', ')),
          ],
        })),
      },
    )
  yield {
    key: 'work-list',
    title: `Refocus at ${venue.name}`,
    under: pass
      ? `the pass, ${counted(rows.length, 'palette')}`
      : `no pass is under way: ${counted(rows.length, 'palette')} by first cue`,
    isLandscape: false,
    blocks,
  }
}

function nameOf(show: Show, id: PaletteId): string {
  const palette = show.all.palette.get(id)
  return palette ? `${palette.number} ${palette.name}` : ''
}

function passRow(show: Show, { palette, state, fixtures, missing, note, cues }: PassLine): Row {
  const open = fixtures.filter((one) => one.state !== 'right').map(({ fixture }) => fixture)
  return {
    key: `work ${palette}`,
    cells: [
      TICK,
      strong(nameOf(show, palette)),
      words(state),
      words(numbersInWords(show, open)),
      words(numbersInWords(show, missing)),
      words(String(cues)),
      note ? words(note) : ROOM,
    ],
  }
}

function plainRow(show: Show, palette: PaletteId, cues: number): Row {
  const cells = [
    TICK,
    strong(nameOf(show, palette)),
    words('to do'),
    words('all'),
    words(''),
    words(String(cues)),
    ROOM,
  ]
  return { key: `work ${palette}`, cells }
}
