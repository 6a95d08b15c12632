/** Fixtures that a change leaves without a place in the venue in play, and what speaks of them. */
import { LEADING } from '../attributes/catalogue'
import { placeOfCue, stateAtPlace } from '../cues/tracking'
import type { CueId, FixtureId, PaletteId } from '../show/ids'
import { wholeOf } from '../show/cells'
import { playedBy, rigOf, typedFixtures, type TypedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { counted } from '../show/counted'

export interface AbsentEffect {
  readonly fixture: FixtureId
  /** Palettes with a value of its own, and cues that set it: they play without it. */
  readonly palettes: readonly PaletteId[]
  readonly cues: readonly CueId[]
}

/** Fixtures that hang before a change and are still there after it, but hang nowhere, by number; substitutes hang. */
export function absentAfter(before: Show, after: Show): AbsentEffect[] {
  if (rigOf(before) === rigOf(after)) return []
  const playing = playedBy(after, showRecordOf(after).venue)
  const absent = [...rigOf(before).values()].flatMap(({ id, bar }) =>
    bar === null && !rigOf(after).has(id) && !playing.has(id) && after.all.fixture.has(id) ? [id] : [],
  )
  if (absent.length === 0) return []
  const palettes = new Map<FixtureId, Set<PaletteId>>(absent.map((id) => [id, new Set()]))
  const cues = new Map<FixtureId, Set<CueId>>(absent.map((id) => [id, new Set()]))
  for (const { fixture, palette } of after.all.paletteValue.values())
    if (fixture !== null) palettes.get(wholeOf(after, fixture))?.add(palette)
  for (const { fixture, cue } of after.all.cueValue.values()) cues.get(wholeOf(after, fixture))?.add(cue)
  return absent.map((fixture) => ({
    fixture,
    palettes: [...(palettes.get(fixture) ?? [])],
    cues: [...(cues.get(fixture) ?? [])],
  }))
}

/** Fixtures a cue lights that do not hang in the venue in play and are played by no other, by number. */
export function missingInCue(show: Show, cue: CueId): FixtureId[] {
  const place = placeOfCue(show, cue)
  if (!place) return []
  const state = stateAtPlace(show, place.list.id, place.at)
  const isLit = ({ id }: TypedFixture) => {
    const value = state.get(`${id} ${LEADING.light}`)?.value
    return value !== undefined && value.kind !== 'rest' && !(value.kind === 'number' && value.number === 0)
  }
  return [...typedFixtures(show).values()].filter((one) => !rigOf(show).has(one.id) && isLit(one)).map(({ id }) => id)
}

/** "14 (2 palettes, 5 cues), 61": fixtures that hang nowhere, with what plays without them. */
export function absentInWords(show: Show, absent: readonly AbsentEffect[]): string {
  return absent
    .map(({ fixture, palettes, cues }) => {
      const parts = [
        ...(palettes.length > 0 ? [counted(palettes.length, 'palette')] : []),
        ...(cues.length > 0 ? [counted(cues.length, 'cue')] : []),
      ]
      const number = show.all.fixture.get(fixture)?.number ?? '?'
      return parts.length > 0 ? `${number} (${parts.join(', ')})` : String(number)
    })
    .join(', ')
}
