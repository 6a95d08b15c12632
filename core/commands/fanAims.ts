/** Spreads the places fixtures are aimed at: along a target, or along a line drawn on the stage. */
import { z } from 'zod'
import { pictureOf, stageLookup } from '../cues/onStage'
import { between, dot, subtract, type Vec3 } from '../geometry/vector'
import { fanPlaces, fanShape, type FanPlace } from '../hand/fan'
import { putInHand } from '../hand/put'
import { solveAim } from '../kinematics/inverse'
import { Draft } from '../show/draft'
import { targetId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import { point, type AimValue } from '../show/values'
import { command, done, refuse, type Outcome } from './command'
import { fixturesInWords } from './wording'

const over = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('target'), target: targetId }),
  z.strictObject({ kind: z.literal('line'), from: point, to: point }),
])
/** As the selection runs, or so that the beams do not cross, or so that they do. */
export const FAN_LAYS = ['in order', 'parallel', 'crossing'] as const

export const fanAims = command({
  input: fanShape.omit({ keep: true }).extend({ over, lay: z.enum(FAN_LAYS) }),
  undoable: true,
  run(show, { parts, run, curve, over: line, lay }, { person }) {
    const spread = spreadOver(show, line)
    if (!spread.ok) return spread.refusal
    const rig = rigOf(show)
    const places = laid(fanPlaces({ parts, run, curve }), rig, spread, lay)
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
      putInHand(draft, person, fixture, 'position', { ...aim, choice: { side, pan } })
    }
    const who = fixturesInWords(
      show,
      places.map(({ fixture }) => fixture),
    )
    return done(draft.changes(), `spread ${who} along ${spread.name}`)
  },
})

interface Spread {
  readonly ok: true
  readonly name: string
  readonly from: Vec3
  readonly to: Vec3
  /** The aim at a place of the fan, 0 to 1, of so many. */
  readonly aimAt: (t: number, count: number) => AimValue
}

const AIM = { kind: 'aim', choice: null } as const
const NO_OFFSET = { x: 0, y: 0, z: 0 }

function spreadOver(show: Show, line: z.infer<typeof over>): Spread | { ok: false; refusal: Outcome } {
  if (line.kind === 'line') {
    const { from, to } = line
    const aimAt = (t: number) => ({ ...AIM, target: null, at: null, offset: between(from, to, t) })
    return { ok: true, name: 'a line on the stage', from, to, aimAt }
  }
  const placed = targetsOf(show).get(line.target)
  if (!placed)
    return { ok: false, refusal: refuse('unknown target', 'This target has no place in this venue.', 'over') }
  const { form, name } = placed.target
  if (form.kind === 'point')
    return {
      ok: false,
      refusal: refuse('a point', `${name} is a point. Choose a line or a ring, or draw a line on the stage.`, 'over'),
    }
  const at = (t: number) => ({ ...AIM, target: placed.id, at: t, offset: NO_OFFSET })
  if (form.kind === 'line')
    return { ok: true, name, from: placed.position, to: placed.end ?? placed.position, aimAt: at }
  const { x, y, z: height } = placed.position
  return {
    ok: true,
    name,
    from: { x: x + form.radius, y, z: height },
    to: { x: x - form.radius, y, z: height },
    // A ring closes on itself: its last place is one short of its first.
    aimAt: (t, count) => at((t * (count - 1)) / count),
  }
}

/** Beams lie beside each other when the fixtures' order along the line is the order of their places. */
function laid(
  places: readonly FanPlace[],
  rig: ReadonlyMap<string, RiggedFixture>,
  { from, to }: Spread,
  lay: (typeof FAN_LAYS)[number],
): FanPlace[] {
  const hung = places.filter(({ fixture }) => rig.has(fixture))
  if (lay === 'in order') return hung
  const along = subtract(to, from)
  const ahead = ({ fixture }: FanPlace) => dot(rig.get(fixture)?.mount.pivot ?? from, along)
  const sorted = [...hung].sort((a, b) => (ahead(a) - ahead(b)) * (lay === 'parallel' ? 1 : -1))
  const steps = [...hung].sort((a, b) => a.t - b.t)
  return sorted.flatMap(({ fixture }, i) => {
    const step = steps[i]
    return step ? [{ ...step, fixture }] : []
  })
}
