/** Spreads the places fixtures are aimed at: along a target, or along a line drawn on the stage. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { fanPlaces, fanShape } from '../../hand/fan'
import { setInHand } from '../../hand/setInHand'
import { laidOut, spreadOverLine, spreadOverTarget, type Spread } from '../../hand/spread'
import { solveAim } from '../../kinematics/inverse'
import { Draft } from '../../show/draft'
import { FAN_LAYS } from '../../show/entities'
import { targetId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { aimPoint, targetsOf } from '../../show/targets'
import { point } from '../../show/values'
import { command, done, refuse, type Outcome } from '../command'
import { headsAmong, refuseToTurn } from '../shared/heads'
import { fixturesInWords } from '../shared/wording'

const over = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('target'), target: targetId }),
  z.strictObject({ kind: z.literal('line'), from: point, to: point }),
])
export const fanAims = command({
  input: fanShape.omit({ keep: true }).extend({ over, lay: z.enum(FAN_LAYS) }),
  undoable: true,
  run(show, { parts, run, curve, over: line, lay }, { person }) {
    const found = spreadOver(show, line)
    if (!found.ok) return found.refusal
    const { spread } = found
    const rig = rigOf(show)
    const heads = parts.map((part) => headsAmong(show, part)).filter((part) => part.length > 0)
    if (heads.length === 0) return refuseToTurn()
    const places = laidOut(fanPlaces({ parts: heads, run, curve }), rig, spread, lay)
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const { fixture, t, count } of places) {
      const rigged = rig.get(fixture)
      if (!rigged) continue
      const aim = spread.aimAt(t, count)
      const place = aimPoint(targetsOf(show), aim)
      if (!place) continue
      const { pose } = pictureOf(show, rigged, lookup).position
      const { side, pan } = solveAim(rigged.mount, place, { reference: pose })
      setInHand(draft, person, fixture, LEADING.place, { ...aim, choice: { side, pan } })
    }
    const who = fixturesInWords(
      show,
      places.map(({ fixture }) => fixture),
    )
    return done(draft, `spread ${who} along ${spread.name}`)
  },
})

type Found = { readonly ok: true; readonly spread: Spread } | { readonly ok: false; readonly refusal: Outcome }

function spreadOver(show: Show, line: z.infer<typeof over>): Found {
  if (line.kind === 'line') return { ok: true, spread: spreadOverLine(line.from, line.to) }
  const placed = targetsOf(show).get(line.target)
  if (!placed) return { ok: false, refusal: refuse('no place here', { kind: 'target' }, 'over') }
  const spread = spreadOverTarget(line.target, placed)
  if (spread) return { ok: true, spread }
  const { name } = placed.target
  return {
    ok: false,
    refusal: refuse('a point to fan over', { name }, 'over'),
  }
}
