/** The cues of a list as levels: each as it stands on stage alone, once everything has arrived. */
import { listsInOrder, type ListInOrder } from '../../cues/tracking'
import { channelLevels, type Universes } from '../../output/channelLevels'
import { UNIVERSE_SIZE } from '../../patch/span'
import type { CueId, CueListId } from '../../show/ids'
import type { Show } from '../../show/show'
import type { TextCue } from './cueText'

/** What eight-bit levels do not say. */
export const LOST_IN_TEXT: readonly string[] = [
  'links to palettes and places: heads are as they are turned now, and nothing follows',
  'times of single fixtures and families, delays, what follows what, and how light travels',
  'moves in the dark: every cue is as it stands once all has arrived',
] as const

/** One cue after the other, so that whoever waits sees how far it is; nothing for a list that is gone. */
export function* cuesAsText(show: Show, list: CueListId): Generator<TextCue> {
  const found = listsInOrder(show).find(({ id }) => id === list)
  for (const { id, cue } of found?.cues ?? [])
    yield {
      number: cue.number,
      name: cue.name,
      rise: cue.rise,
      fall: cue.fall,
      levels: levelsByChannel(channelLevels(onStageAlone(show, found, id), 0)),
    }
}

/** A show in which nothing but a cue is on stage: no other list, nobody's hand. */
export function onStageAlone(show: Show, list: ListInOrder | undefined, cue: CueId): Show {
  const lists = [...show.all.cueList].map(
    ([id, one]) => [id, { ...one, pausedAt: null, level: 1, onStage: id === list?.id ? cue : null }] as const,
  )
  const none = new Map<string, never>()
  return {
    id: show.id,
    all: { ...show.all, cueList: new Map(lists), cueRun: none, handValue: none, highlighted: none, person: none },
  }
}

/** Channels count through all universes; those at 0 are left out, as the text takes them to be. */
function levelsByChannel(universes: Universes): Map<number, number> {
  const found = new Map<number, number>()
  for (const [universe, levels] of [...universes].sort(([a], [b]) => a - b))
    levels.forEach((level, i) => level > 0 && found.set((universe - 1) * UNIVERSE_SIZE + i + 1, level))
  return found
}
