/** Branded ids: one cannot be handed over for another. Any text without a slash, 1 to 200 long. */
import { z } from 'zod'

const text = z.string().regex(/^[^/\s]{1,200}$/, 'an id is 1 to 200 characters without spaces or slashes')

export const showId = text.brand<'ShowId'>()
export const personId = text.brand<'PersonId'>()
export const windowId = text.brand<'WindowId'>()
export const commandId = text.brand<'CommandId'>()
export const changeGroupId = text.brand<'ChangeGroupId'>()
export const venueId = text.brand<'VenueId'>()
export const passId = text.brand<'PassId'>()
export const rigFileId = text.brand<'RigFileId'>()
export const underlayId = text.brand<'UnderlayId'>()
export const outputId = text.brand<'OutputId'>()
export const sightingId = text.brand<'SightingId'>()
export const controlBindingId = text.brand<'ControlBindingId'>()
export const fixtureTypeId = text.brand<'FixtureTypeId'>()
export const fixtureModeId = text.brand<'FixtureModeId'>()
export const layerId = text.brand<'LayerId'>()
export const fixtureId = text.brand<'FixtureId'>()
export const hangId = text.brand<'HangId'>()
export const setPieceId = text.brand<'SetPieceId'>()
export const targetId = text.brand<'TargetId'>()
export const groupId = text.brand<'GroupId'>()
export const workingSetId = text.brand<'WorkingSetId'>()
export const swatchId = text.brand<'SwatchId'>()
export const paletteId = text.brand<'PaletteId'>()
export const acceptedSweepId = text.brand<'AcceptedSweepId'>()
export const cueListId = text.brand<'CueListId'>()
export const cueId = text.brand<'CueId'>()
export const cueNoteId = text.brand<'CueNoteId'>()

export type ShowId = z.infer<typeof showId>
export type PersonId = z.infer<typeof personId>
export type WindowId = z.infer<typeof windowId>
export type CommandId = z.infer<typeof commandId>
export type ChangeGroupId = z.infer<typeof changeGroupId>
export type VenueId = z.infer<typeof venueId>
export type PassId = z.infer<typeof passId>
export type RigFileId = z.infer<typeof rigFileId>
export type UnderlayId = z.infer<typeof underlayId>
export type OutputId = z.infer<typeof outputId>
export type SightingId = z.infer<typeof sightingId>
export type ControlBindingId = z.infer<typeof controlBindingId>
export type FixtureTypeId = z.infer<typeof fixtureTypeId>
export type FixtureModeId = z.infer<typeof fixtureModeId>
export type LayerId = z.infer<typeof layerId>
export type FixtureId = z.infer<typeof fixtureId>
export type HangId = z.infer<typeof hangId>
export type SetPieceId = z.infer<typeof setPieceId>
export type TargetId = z.infer<typeof targetId>
export type GroupId = z.infer<typeof groupId>
export type WorkingSetId = z.infer<typeof workingSetId>
export type PaletteId = z.infer<typeof paletteId>
export type CueListId = z.infer<typeof cueListId>
export type CueId = z.infer<typeof cueId>
export type CueNoteId = z.infer<typeof cueNoteId>

/** A show has one line of controls, by this id. */
export const CONTROL_LINE = 'osc'

/** Ids read back from the keys of the show's own maps: they were checked when they were written. */
export const asPersonId = (key: string): PersonId => personId.parse(key)
export const asFixtureId = (key: string): FixtureId => fixtureId.parse(key)
export const asTargetId = (key: string): TargetId => targetId.parse(key)
export const asGroupId = (key: string): GroupId => groupId.parse(key)
export const asWorkingSetId = (key: string): WorkingSetId => workingSetId.parse(key)
export const asPaletteId = (key: string): PaletteId => paletteId.parse(key)
export const asCueId = (key: string): CueId => cueId.parse(key)
export const asCueNoteId = (key: string): CueNoteId => cueNoteId.parse(key)
export const asCueListId = (key: string): CueListId => cueListId.parse(key)
export const asHangId = (key: string): HangId => hangId.parse(key)
export const asVenueId = (key: string): VenueId => venueId.parse(key)
export const asUnderlayId = (key: string): UnderlayId => underlayId.parse(key)
export const asOutputId = (key: string): OutputId => outputId.parse(key)
export const asSightingId = (key: string): SightingId => sightingId.parse(key)
export const asControlBindingId = (key: string): ControlBindingId => controlBindingId.parse(key)
export const asPassId = (key: string): PassId => passId.parse(key)
export const asSetPieceId = (key: string): SetPieceId => setPieceId.parse(key)
export const asFixtureTypeId = (key: string): FixtureTypeId => fixtureTypeId.parse(key)
export const asFixtureModeId = (key: string): FixtureModeId => fixtureModeId.parse(key)
export const asLayerId = (key: string): LayerId => layerId.parse(key)
