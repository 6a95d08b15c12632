/** What another venue does to 500 palettes of 300 heads. */
import { runCommand } from '#core/commands/registry'
import { resolveValue } from '#core/palettes/resolve'
import { solvePosition } from '#core/palettes/solve'
import { HOME } from '#core/kinematics/head'
import { differencesOf, inVenue } from '#core/refocus/difference'
import { applyChanges } from '#core/show/changes'
import { asPaletteId, asVenueId, commandId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { harbourHall } from '#demo/stage'
import { stageOf } from '#core/venue/stage'
import { generateShow, PERSON } from './generate'
import { best, line } from './measure'

function withSecondVenue(show: Show): Show {
  const outcome = runCommand(show, 'addVenue', { ...harbourHall, name: 'Second' }, commandId.parse('second'), {
    person: PERSON,
    now: 0,
  })
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  return applyChanges(show, outcome.changes)
}

export function benchRefocus(): void {
  const show = withSecondVenue(generateShow(300, 500))
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
}
