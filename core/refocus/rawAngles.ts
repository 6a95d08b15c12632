/** Every place that is stored as raw angles, in palettes and cues, with what it would be tied to. */
import { LEADING } from '../attributes/catalogue'
import { listsInOrder, valuesByCue } from '../cues/tracking'
import { palettesInOrder, servedByValue } from '../palettes/resolve'
import type { CueId, FixtureId, PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import type { AnglesValue } from '../show/values'
import { tieOf, type Tie, type Untied } from './tie'

export interface RawAngles {
  readonly palette: PaletteId | null
  readonly cue: CueId | null
  readonly fixture: FixtureId
  readonly value: AnglesValue
  readonly tie: Tie | Untied
}

/** A target counts as near within this, metres, where nothing else is said. */
export const NEARBY = 0.5

/** All of them: palette by palette, then cue by cue, each by fixture. */
export function rawAngles(show: Show, within = NEARBY): RawAngles[] {
  return [...inPalettes(show), ...inCues(show)].map((one) => ({
    ...one,
    tie: tieOf(show, one.fixture, one.value, within),
  }))
}

type Found = Omit<RawAngles, 'tie'>

function inPalettes(show: Show): Found[] {
  const byPalette = new Map<string, Found[]>()
  for (const stored of show.all.paletteValue.values()) {
    const { palette, attribute, value } = stored
    if (attribute !== LEADING.place || value.kind !== 'angles') continue
    const found = servedByValue(show, stored).map(({ id }) => ({ palette, cue: null, fixture: id, value }))
    byPalette.set(palette, [...(byPalette.get(palette) ?? []), ...found])
  }
  return palettesInOrder(show).flatMap(({ id }) => byPalette.get(id) ?? [])
}

/** Those that are held stay as they were kept. */
function inCues(show: Show): Found[] {
  return listsInOrder(show).flatMap(({ cues }) =>
    cues.flatMap(({ id }) =>
      (valuesByCue(show).get(id) ?? []).flatMap(({ fixture, attribute, value, mark }) =>
        attribute === LEADING.place && value.kind === 'angles' && mark !== 'held'
          ? [{ palette: null, cue: id, fixture, value }]
          : [],
      ),
    ),
  )
}
