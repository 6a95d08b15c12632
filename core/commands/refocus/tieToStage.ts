/** Ties raw angles to the stage: they become aims at where their light lands, or at targets nearby. */
import { z } from 'zod'
import { LEADING } from '../../attributes/catalogue'
import { putReaching } from '../../palettes/reach'
import { removeTouchUp, putTouchUp, touchUpsOf } from '../../palettes/touchUps'
import { updating } from '../../palettes/update'
import { NEARBY, rawAngles, type RawAngles } from '../../refocus/rawAngles'
import { tiedTouchUp, type Tie } from '../../refocus/tie'
import { cueValueId } from '../../show/compositeIds'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { cueId, fixtureId, paletteId, type PaletteId } from '../../show/ids'
import type { Show } from '../../show/show'
import { command, done, refuse } from '../command'

const ofWhat = z.union([
  z.strictObject({ palette: paletteId, fixture: fixtureId }),
  z.strictObject({ cue: cueId, fixture: fixtureId }),
])

export const tieToStage = command({
  input: z.strictObject({
    /** Which raw angles; null for all. */
    values: z.array(ofWhat).min(1).max(100_000).nullable(),
    /** How near a target must be to be aimed at, metres. */
    within: z.number().min(0).max(20).optional(),
  }),
  undoable: true,
  run(show, { values, within = NEARBY }) {
    const wanted = values && new Set(values.map((one) => keyOf('palette' in one ? one.palette : one.cue, one.fixture)))
    const all = rawAngles(show, within)
    const meant = wanted ? all.filter((one) => wanted.has(keyOf(one.palette ?? one.cue ?? '', one.fixture))) : all
    const ties = meant.flatMap((one) => (typeof one.tie === 'string' ? [] : [{ ...one, tie: one.tie }]))
    if (ties.length === 0) return refuse('ties nothing', {}, 'values')
    const draft = new Draft(show)
    for (const palette of new Set(ties.flatMap((one) => one.palette ?? []))) tiePalette(show, draft, palette, ties)
    for (const { cue, fixture, tie } of ties) {
      const id = cueValueId(cue ?? '', fixture, LEADING.place)
      const stored = show.all.cueValue.get(id)
      if (cue !== null && stored) draft.put('cueValue', id, { ...stored, value: tie.aim })
    }
    const left = meant.length - ties.length
    const words = left === 0 ? '' : `; ${counted(left, 'stays as it is', 'stay as they are')}`
    return done(draft, `tie ${counted(ties.length, 'raw angle')} to the stage${words}`)
  },
})

const keyOf = (where: string, fixture: string) => `${where} ${fixture}`

type Tied = RawAngles & { readonly tie: Tie }

function tiePalette(show: Show, draft: Draft, palette: PaletteId, ties: readonly Tied[]): void {
  const own = ties.filter((one) => one.palette === palette)
  const values = own.map(({ fixture, tie }) => ({ fixture, attribute: LEADING.place, value: tie.aim }))
  putReaching(show, draft, palette, updating(show, palette, values), { merge: [] })
  for (const { fixture, value, tie } of own)
    for (const touchUp of touchUpsOf(show, palette, fixture)) {
      const tied = tiedTouchUp(show, touchUp, value, tie.aim)
      if (tied) putTouchUp(draft, tied)
      else removeTouchUp(draft, touchUp)
    }
}
