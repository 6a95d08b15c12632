/** Finds things of a show by the name or number a person would say. */
import { listsInOrder } from '#core/cues/tracking'
import { parseEntry } from '#core/selection/entry'
import { entryWorldOf } from '#core/groups/entryWorld'
import {
  asHangId,
  asPaletteId,
  asSetPieceId,
  asTargetId,
  type CueId,
  type CueListId,
  type FixtureId,
  type HangId,
  type PaletteId,
  type SetPieceId,
  type TargetId,
} from '#core/show/ids'
import type { Show } from '#core/show/show'

export interface Choices {
  fixtures(entry: string): FixtureId[]
  target(name: string): TargetId
  setPiece(name: string): SetPieceId
  hang(name: string): HangId
  palette(number: number): PaletteId
  list(number: number): CueListId
  cue(list: number, number: number): CueId
}

/** Look-ups in a show; each throws RangeError for what is not there. */
export function choose(show: Show): Choices {
  const ordered = (number: number) =>
    found(
      listsInOrder(show).find((l) => l.list.number === number),
      `list ${number}`,
    )
  return {
    fixtures(entry) {
      const result = parseEntry(
        entry,
        entryWorldOf(show, [], new Set(), () => true),
      )
      if (!result.ok) throw new RangeError(result.message)
      return [...result.fixtures]
    },
    target: (name) => asTargetId(keyOf(show.all.target, (t) => t.name === name, name)),
    setPiece: (name) => asSetPieceId(keyOf(show.all.setPiece, (p) => p.name === name, name)),
    hang: (name) => asHangId(keyOf(show.all.hang, (h) => h.name === name, name)),
    palette: (number) => asPaletteId(keyOf(show.all.palette, (p) => p.number === number, `palette ${number}`)),
    list: (number) => ordered(number).id,
    cue: (list, number) =>
      found(
        ordered(list).cues.find((c) => c.cue.number === number),
        `cue ${number}`,
      ).id,
  }
}

function keyOf<T>(collection: ReadonlyMap<string, T>, matches: (entity: T) => boolean, what: string): string {
  for (const [key, entity] of collection) if (matches(entity)) return key
  throw new RangeError(`there is no ${what}`)
}

function found<T>(thing: T | undefined, what: string): T {
  if (thing === undefined) throw new RangeError(`there is no ${what}`)
  return thing
}
