/** What another venue does to 500 palettes of 300 heads, and a pass through them. */
import { sum } from 'd3-array'
import { runCommand, type CommandInput, type CommandName } from '#core/commands/registry'
import { cuePicture } from '#core/cues/comparedCue'
import { resolveValue } from '#core/palettes/resolve'
import { solvePosition } from '#core/palettes/solve'
import { HOME } from '#core/kinematics/head'
import { cueDifferencesOf } from '#core/refocus/cueDifference'
import { differencesOf, inVenue } from '#core/refocus/difference'
import { passOf } from '#core/refocus/pass'
import { applyChanges } from '#core/show/changes'
import { asCueId, asPaletteId, asVenueId, commandId, type VenueId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { harbourHall } from '#demo/stage'
import { stageOf } from '#core/venue/stage'
import { generateShow, PERSON, withCues } from './generate'
import { best, line } from './measure'

function after<N extends CommandName>(show: Show, name: N, input: CommandInput<N>): Show {
  const outcome = runCommand(show, name, input, commandId.parse(name), { person: PERSON, now: 0 })
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  return applyChanges(show, outcome.changes)
}

/** The pass of the large show, worked out for the first time and after one nudge. */
function benchPass(show: Show): void {
  const begun = after(show, 'beginPass', { order: 'by cue', level: 1, others: 'out', corrections: 'for here' })
  const first = best(() => passOf(begun)?.lines.length ?? 0, 1)
  const [line0] = passOf(begun)?.lines ?? []
  const [head] = line0?.fixtures ?? []
  if (!line0 || !head) throw new Error('the pass has no palettes')
  const by = { metres: { x: 0.1, y: 0, z: 0 } }
  const nudged = after(begun, 'touchUp', { palette: line0.palette, fixtures: [head.fixture], by })
  const again = best(() => passOf(nudged)?.lines.length ?? 0, 1)
  line(
    'pass of 500 palettes for 300 heads each: at first, after a nudge (wanted < 100 ms)',
    `${first.milliseconds.toFixed(0)} ms, ${again.milliseconds.toFixed(0)} ms`,
  )
}

export function benchRefocus(): void {
  const show = after(generateShow(300, 500), 'addVenue', { ...harbourHall, name: 'Second' })
  const here = showRecordOf(show).venue
  const there = [...show.all.venue.keys()].map(asVenueId).find((id) => id !== here)
  if (!there) throw new Error('there is one venue only')
  const bare = best(() => {
    let sum = 0
    for (const at of [inVenue(show, here), inVenue(show, there)])
      for (const id of at.all.palette.keys())
        for (const rigged of rigOf(at).values()) {
          const link = { kind: 'link', palette: asPaletteId(id) } as const
          sum += solvePosition(rigged.mount, stageOf(at), resolveValue(at, rigged, 'position', link).value, HOME).pose
            .pan
        }
    return sum
  }, 3)
  const whole = best(() => [...differencesOf(show, here, there)].length, 1)
  const ratio = (whole.milliseconds / bare.milliseconds).toFixed(1)
  line(
    'difference of two venues, 300 heads in 500 palettes (wanted < 1.5 s)',
    `${(whole.milliseconds / 1000).toFixed(2)} s, ${ratio} of solving all in both`,
  )
  benchCues(withCues(show, 1000, 30), here, there)
  benchPass(show)
}

/** Every cue in both venues, with both checks of its moves. */
function benchCues(show: Show, here: VenueId, there: VenueId): void {
  const pictures = best(() => {
    const played = [inVenue(show, here), inVenue(show, there)]
    return sum(played, (at) => sum(at.all.cue.keys(), (id) => cuePicture(at, asCueId(id)).size))
  }, 1)
  const whole = best(() => [...cueDifferencesOf(show, here, there)].length, 1)
  line(
    'difference of two venues through 1,000 cues',
    `${(whole.milliseconds / 1000).toFixed(2)} s, ${(whole.milliseconds / pictures.milliseconds).toFixed(1)} of all pictures in both`,
  )
}
