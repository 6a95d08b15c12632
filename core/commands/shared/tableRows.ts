/** Rows of tables made elsewhere: whatever they speak of, they call by name or number. */
import { z } from 'zod'
import { SHELVES } from '../../attributes/families'
import { entryWorldOf } from '../../groups/entryWorld'
import { parseEntry, type EntryResult } from '../../selection/entry'
import * as entities from '../../show/entities'
import { normalisedName } from '../../show/names'
import { asPaletteId, type PaletteId } from '../../show/ids'
import type { Show } from '../../show/show'
import { metres, poolValue } from '../../show/values'

const { name } = entities.hang.shape

export const hangRow = entities.hangPlace.omit({ venue: true, hang: true }).extend(entities.hang.shape)
export type HangRow = z.infer<typeof hangRow>

/** A box: where the middle of its foot stands, turned by degrees, and its sizes in metres. */
export const setPieceRow = entities.setPiecePlace
  .omit({ venue: true, setPiece: true })
  .extend({ name, width: metres.positive(), depth: metres.positive(), height: metres.positive() })
export type SetPieceRow = z.infer<typeof setPieceRow>

/** A point in metres: of the stage, or of the set piece `on` which it is. */
export const targetRow = z.strictObject({
  name,
  position: entities.targetPlace.shape.position,
  on: z.string().nullable().optional(),
})
export type TargetRow = z.infer<typeof targetRow>

/** Rows without a number get the next one that is free. */
const number = entities.group.shape.number.nullable()

export const groupRow = z.strictObject({ number, name, fixtures: z.string().min(1, 'say which fixtures') })
export type GroupRow = z.infer<typeof groupRow>

/** `level` from 0 to 1, `zoom` the whole angle in degrees, `pool` its diameter in metres. */
export const paletteRow = z
  .strictObject({
    number,
    name,
    shelf: z.enum(SHELVES).nullable(),
    target: z.string().nullable(),
    level: z.number().min(0).max(1).nullable(),
    zoom: z.number().positive().max(180).nullable(),
    pool: poolValue.shape.diameter.nullable(),
    /** Whom it serves; null for every fixture there is. */
    fixtures: z.string().nullable(),
    note: entities.palette.shape.note,
  })
  .refine((row) => row.zoom === null || row.pool === null, { path: ['pool'], message: 'a zoom or a pool, not both' })
  .refine((row) => [row.target, row.level, row.zoom, row.pool].some((held) => held !== null), {
    path: ['target'],
    message: 'a palette holds a target, a level, a zoom or a pool',
  })
export type PaletteRow = z.infer<typeof paletteRow>

/** Rows with the same number are one cue; its name, time and note come from the first that says one. */
export const cueRow = z.strictObject({
  number: entities.cue.shape.number,
  name: entities.cue.shape.name,
  /** Seconds; null for at once. */
  time: entities.cue.shape.rise.nullable(),
  note: entities.cue.shape.note,
  /** Who is set; null for all that its palettes serve. */
  fixtures: z.string().nullable(),
  /** Palettes that are recalled, by name or number. */
  palettes: z.array(z.string()).max(100),
  /** The intensity, 0 to 1. */
  level: z.number().min(0).max(1).nullable(),
})
export type CueRow = z.infer<typeof cueRow>

/** The fixtures a cell of a table speaks of: a typed selection, with nothing selected and nothing lit. */
export function fixturesCalled(show: Show, text: string): EntryResult {
  return parseEntry(
    text,
    entryWorldOf(show, [], new Set(), () => true),
  )
}

/** The palette of a name or number; the number counts first. */
export function paletteCalled(show: Show, text: string): PaletteId | null {
  const all = [...show.all.palette]
  const found =
    all.find(([, { number: known }]) => String(known) === text.trim()) ??
    all.find(([, palette]) => normalisedName(palette.name) === normalisedName(text))
  return found ? asPaletteId(found[0]) : null
}
