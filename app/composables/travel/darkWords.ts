/** Moves in the dark as people say them. */
import type { StaysLive } from '#core/cues/darkPlace'
import type { Show } from '#core/show/show'
import type { DarkLine } from '#core/travel/dark'

const WHY: Readonly<Record<StaysLive, string>> = {
  'nothing said': 'lit on the way',
  'on purpose': 'live on purpose',
  'no time': 'no time',
  quiet: 'only quiet cues to move in',
  'no cue between': 'moves as it goes dark: no cue between',
  'lit elsewhere': 'another list may light it',
  'not dark then': 'not dark in that cue',
}

/** "in cue 12.2, 0.2 s after it starts", or "live". */
export function whereInWords(show: Show, { goesIn }: DarkLine): string {
  if (!goesIn) return 'live'
  const number = show.all.cue.get(goesIn.cue)?.number ?? ''
  return goesIn.delay > 0.05 ? `in ${number}, after ${goesIn.delay.toFixed(1)} s` : `in ${number}`
}

/** What becomes of a line: "in place before", "no time: 0.4 s too short". */
export function outcomeInWords({ goesIn, why, short }: DarkLine): string {
  if (goesIn || why === null) return 'in place before'
  return short === null ? WHY[why] : `${WHY[why]}: ${short.toFixed(1)} s too short`
}
