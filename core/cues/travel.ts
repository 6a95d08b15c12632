/** How light travels in a cue, and which of those who may say so does: the narrowest. */
import { LEADING } from '../attributes/catalogue'
import { familyOf } from '../attributes/attribute'
import type { TRAVELS } from '../show/entities'
import { showRecordOf, type ShowPart } from '../show/show'
import { timesOf } from './times'

export type Travel = (typeof TRAVELS)[number]
export interface Travelling {
  readonly travel: Travel
  /** Who says so. */
  readonly said: 'fixture' | 'cue' | 'list' | 'show'
}

/** The family in which a fixture's own times say how it travels. */
const FAMILY = familyOf(LEADING.place)

/** For a fixture in a cue; for the cue as such without one. A cue that is not there goes as the show does. */
export function travelOf(
  show: ShowPart<'cueTime' | 'cue' | 'cueList' | 'show'>,
  id: string,
  fixture: string | null = null,
): Travelling {
  const cue = show.all.cue.get(id)
  const own = fixture === null ? [] : timesOf(show, id).filter((time) => time.fixture === fixture && time.travel)
  const ofFixture = (own.find(({ family }) => family === FAMILY) ?? own[0])?.travel
  if (ofFixture) return { travel: ofFixture, said: 'fixture' }
  if (cue?.travel) return { travel: cue.travel, said: 'cue' }
  return travelOfList(show, cue?.list ?? null)
}

/** For the cues of a list that say nothing themselves. */
export function travelOfList(show: ShowPart<'cueList' | 'show'>, list: string | null): Travelling {
  const said = show.all.cueList.get(list ?? '')?.travel
  return said ? { travel: said, said: 'list' } : { travel: showRecordOf(show).travel, said: 'show' }
}

/** How light travels, in words. */
export const travelInWords = (travel: Travel): string => (travel === 'straight' ? 'straight' : 'by angle')
