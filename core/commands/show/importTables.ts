/**
 * Adds what tables made elsewhere hold to the venue in play and to a cue list: hangs, fixtures, set pieces
 * and targets, then groups, palettes and cues, which may speak of all that comes before them. Rows are
 * checked against the show as well as against each other; a row that does not fit is refused by its own name.
 */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { cueListId, fixtureId, hangId, setPieceId, targetId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { showRecordOf, type Show } from '../../show/show'
import { command, done, refuse, type Environment, type Outcome } from '../command'
import { fixtureRow, idsByName, putFixtureRow, type FixtureRow } from '../shared/fixtureRows'
import {
  cueRow,
  groupRow,
  hangRow,
  paletteRow,
  setPieceRow,
  targetRow,
  type HangRow,
  type SetPieceRow,
  type TargetRow,
} from '../shared/tableRows'
import { putCueRows } from './putCueRows'
import { putGroupRows } from './putGroupRows'
import { putPaletteRows } from './putPaletteRows'

type NewId = Environment['newId']

export const importTables = command({
  input: z.strictObject({
    hangs: z.array(hangRow).max(2000),
    fixtures: z.array(fixtureRow).max(5000),
    targets: z.array(targetRow).max(2000),
    setPieces: z.array(setPieceRow).max(2000).optional(),
    groups: z.array(groupRow).max(2000).optional(),
    palettes: z.array(paletteRow).max(5000).optional(),
    cues: z.array(cueRow).max(20_000).optional(),
    /** Where cues go; null or left out for the first list, or a new one where there is none. */
    list: cueListId.nullable().optional(),
  }),
  undoable: true,
  run(
    show,
    { hangs, fixtures, targets, setPieces = [], groups = [], palettes = [], cues = [], list = null },
    { newId },
  ) {
    const draft = new Draft(show)
    const refusal =
      putHangs(draft, hangs, newId) ??
      putFixtures(draft, fixtures, newId) ??
      putSetPieces(draft, setPieces, newId) ??
      putTargets(draft, targets, newId) ??
      putGroupRows(draft, groups, newId) ??
      putPaletteRows(draft, palettes, newId) ??
      putCueRows(draft, cues, list, newId)
    if (refusal) return refusal
    const came = [
      [hangs, 'hang'],
      [fixtures, 'fixture'],
      [targets, 'target'],
      [setPieces, 'set piece'],
      [groups, 'group'],
      [palettes, 'palette'],
      [[...new Set(cues.map((row) => row.number))], 'cue'],
    ] as const
    const words = came.filter(([rows]) => rows.length > 0).map(([rows, what]) => counted(rows.length, what))
    return done(draft, `import ${words.join(', ') || 'nothing'}`)
  },
})

/** Ids by name of a kind, with what the draft adds; refuses a name twice. */
class Names {
  readonly #ids: Map<string, string>
  readonly #what: 'hangs' | 'targets' | 'set pieces'

  constructor(known: ReadonlyMap<string, { readonly name: string }>, what: 'hangs' | 'targets' | 'set pieces') {
    this.#ids = idsByName(known)
    this.#what = what
  }

  add(name: string, id: string): Outcome | null {
    if (this.#ids.has(normalisedName(name))) return refuse('name twice', { what: this.#what, name })
    this.#ids.set(normalisedName(name), id)
    return null
  }
}

function putHangs(draft: Draft, rows: readonly HangRow[], newId: NewId): Outcome | null {
  const names = new Names(draft.before.all.hang, 'hangs')
  const { venue } = showRecordOf(draft.before)
  for (const { name, form, ...place } of rows) {
    const id = hangId.parse(newId())
    const refusal = names.add(name, id)
    if (refusal) return refusal
    draft.put('hang', id, { name, form })
    draft.put('hangPlace', placeId(venue, id), { venue, hang: id, ...place })
  }
  return null
}

function putFixtures(draft: Draft, rows: readonly FixtureRow[], newId: NewId): Outcome | null {
  if (rows.length === 0) return null
  const show: Show = draft.before
  const names = { hangs: idsByName(draft.result().all.hang), types: idsByName(show.all.fixtureType) }
  const numbers = new Set([...show.all.fixture.values()].map((f) => f.number))
  for (const row of rows) {
    if (numbers.has(row.number)) return refuse('number taken in the rig', { number: row.number }, 'fixtures')
    numbers.add(row.number)
    const refusal = putFixtureRow(show, draft, fixtureId.parse(newId()), row, names)
    if (refusal) return refusal
  }
  return null
}

function putSetPieces(draft: Draft, rows: readonly SetPieceRow[], newId: NewId): Outcome | null {
  const names = new Names(draft.before.all.setPiece, 'set pieces')
  const { venue } = showRecordOf(draft.before)
  for (const { name, width, depth, height, ...place } of rows) {
    const id = setPieceId.parse(newId())
    const refusal = names.add(name, id)
    if (refusal) return refusal
    const box = { kind: 'box', at: { x: 0, y: 0 }, turn: 0, base: 0, width, depth, height } as const
    draft.put('setPiece', id, { name, solids: [box], layer: null })
    draft.put('setPiecePlace', placeId(venue, id), { venue, setPiece: id, ...place })
  }
  return null
}

function putTargets(draft: Draft, rows: readonly TargetRow[], newId: NewId): Outcome | null {
  if (rows.length === 0) return null
  const names = new Names(draft.before.all.target, 'targets')
  const pieces = idsByName(draft.result().all.setPiece)
  const { venue } = showRecordOf(draft.before)
  const form = { kind: 'point' } as const
  for (const { name, position, on = null } of rows) {
    const id = targetId.parse(newId())
    const refusal = names.add(name, id)
    if (refusal) return refusal
    const piece = on === null ? null : pieces.get(normalisedName(on))
    if (piece === undefined) return refuse('unknown in a line', { line: name, kind: 'setPiece', name: on ?? '' })
    const setPiece = piece === null ? null : setPieceId.parse(piece)
    draft.put('target', id, { name, form, setPiece, local: setPiece === null ? null : position })
    if (setPiece === null) draft.put('targetPlace', placeId(venue, id), { venue, target: id, position })
  }
  return null
}
