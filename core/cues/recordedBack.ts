/** What the lists put on stage as it was recorded: without what moves in the dark ahead of its cue. */
import type { Show } from '../show/show'
import { playedBack, type ValueMap } from './playback'

const NO_RULES: Show['all']['darkRule'] = new Map()

/** The show with everything live. */
export function withoutDarkMoves(show: Show): Show {
  return show.all.darkRule.size === 0 ? show : { ...show, all: { ...show.all, darkRule: NO_RULES } }
}

/** Values by fixture and attribute, once everything has arrived. */
export function recordedBack(show: Show): ValueMap {
  return playedBack(withoutDarkMoves(show))
}
