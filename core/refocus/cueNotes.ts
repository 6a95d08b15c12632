/** Notes on cues as a work list: what is to be put right at a venue, and in which palettes. */
import { DARK } from '../cues/darkness'
import { cuePicture } from '../cues/comparedCue'
import { asCueNoteId, type CueNoteId, type PaletteId } from '../show/ids'
import type { EntityOf } from '../show/kinds'
import { isAlike } from '../show/isAlike'
import { showRecordOf, type Show } from '../show/show'
import { CHECKED_KINDS } from '../travel/check'

export interface CueNoteToDo {
  readonly id: CueNoteId
  readonly note: EntityOf['cueNote']
  /** The number of its cue. */
  readonly cue: number
  /** The palettes whose light is seen in the cue, by number. */
  readonly palettes: readonly PaletteId[]
}

/** The notes of the venue in play that are not done, by cue and then as they were said. */
export function openCueNotes(show: Show): CueNoteToDo[] {
  const { venue } = showRecordOf(show)
  const open = [...show.all.cueNote].filter(([, note]) => note.venue === venue && !note.isDone)
  return open
    .map(([id, note]) => ({
      id: asCueNoteId(id),
      note,
      cue: show.all.cue.get(note.cue)?.number ?? 0,
      palettes: palettesSeenIn(show, note),
    }))
    .sort((a, b) => a.cue - b.cue || a.note.at - b.note.at)
}

interface Seen {
  /** What they were found from. */
  readonly from: readonly unknown[]
  readonly palettes: readonly PaletteId[]
}
const known = new WeakMap<EntityOf['cueNote'], Seen>()

/** They are looked for again only where something is another that what is seen in a cue goes by. */
function palettesSeenIn(show: Show, note: EntityOf['cueNote']): readonly PaletteId[] {
  const from = CHECKED_KINDS.map((kind) => show.all[kind])
  const before = known.get(note)
  if (before && isAlike(before.from, from)) return before.palettes
  const palettes = palettesLitIn(show, note)
  known.set(note, { from, palettes })
  return palettes
}

function palettesLitIn(show: Show, { cue }: EntityOf['cueNote']): PaletteId[] {
  const lit = [...cuePicture(show, cue).values()].filter(({ intensity }) => intensity > DARK)
  const numberOf = (id: PaletteId) => show.all.palette.get(id)?.number ?? 0
  return [...new Set(lit.flatMap(({ palette }) => palette ?? []))].sort((a, b) => numberOf(a) - numberOf(b))
}
