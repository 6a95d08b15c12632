/** Puts an aim in the hand for chosen fixtures; each keeps the way round nearest to where it is. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { pictureOf, stageLookup } from '../../cues/onStage'
import { setInHand } from '../../hand/setInHand'
import { solveAim } from '../../kinematics/inverse'
import { metresInWords, offsetInWords } from '../../geometry/lengthInWords'
import { Draft } from '../../show/draft'
import { fixtureId, targetId } from '../../show/ids'
import { rigOf } from '../../show/rig'
import { aimPoint, stationsOf, targetsOf, type PlacedTarget } from '../../show/targets'
import { point, type AimValue } from '../../show/values'
import { length } from '../../geometry/vector'
import { command, done, refuse } from '../command'
import { headsAmong, refuseToTurn } from '../shared/heads'
import { fixturesInWords } from '../shared/wording'

export const aimAtTarget = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    /** Null aims at a free place on the stage, given by the offset from its origin. */
    target: targetId.nullable(),
    offset: point,
    /**
     * Spreads the fixtures in their order between two places along the target, or over its numbered
     * stations, beginning again when there are more fixtures; null: all in its middle.
     */
    along: z
      .union([z.literal('stations'), z.strictObject({ from: z.number().min(0).max(1), to: z.number().min(0).max(1) })])
      .nullable(),
  }),
  undoable: true,
  run(show, { fixtures: asked, target, offset, along }, { person }) {
    const fixtures = headsAmong(show, asked)
    if (fixtures.length === 0) return refuseToTurn()
    const placed = target === null ? null : targetsOf(show).get(target)
    if (placed === undefined) return refuse('no place here', { kind: 'target' }, 'target')
    const lookup = stageLookup(show, person)
    const draft = new Draft(show)
    for (const [i, id] of fixtures.entries()) {
      const rigged = rigOf(show).get(id)
      if (!rigged) return refuse('hangs elsewhere', {}, 'fixtures')
      const at = placeAlong(along, placed, i, fixtures.length)
      const aim: AimValue = { kind: 'aim', target, at, offset, choice: null }
      const place = aimPoint(targetsOf(show), aim)
      if (!place) return refuse('no place here', { kind: 'target' }, 'target')
      const { pose } = pictureOf(show, rigged, lookup).position
      const { side, pan } = solveAim(rigged.mount, place, { reference: pose })
      const value: AimValue = { ...aim, choice: { side, pan } }
      setInHand(draft, person, id, LEADING.place, value)
    }
    const who = fixturesInWords(show, fixtures)
    if (!placed) return done(draft, `aim ${who} at the stage`)
    const off = length(offset) < 0.005 ? '' : `, ${offsetInWords(offset) || metresInWords(0)}`
    return done(draft, `aim ${who} at ${placed.target.name}${off}`)
  },
})

type Along = 'stations' | { readonly from: number; readonly to: number } | null

/** Where along the target the fixture of an order aims, 0 to 1; null for its middle. */
function placeAlong(along: Along, placed: PlacedTarget | null, index: number, count: number): number | null {
  if (along === null) return null
  if (along !== 'stations') return along.from + (along.to - along.from) * (count > 1 ? index / (count - 1) : 0.5)
  const stations = placed ? stationsOf(placed.target.form) : []
  return stations[index % Math.max(1, stations.length)] ?? null
}
