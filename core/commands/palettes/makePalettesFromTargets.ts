/** Palettes made from targets at once, for any fixture or for groups. */
import { LEADING } from '../../attributes/catalogue'
import { z } from 'zod'
import { putSpread } from '../../groups/paletteSpreads'
import { HOME } from '../../kinematics/head'
import { solveAim } from '../../kinematics/inverse'
import { putReaching, type ReachingValue } from '../../palettes/reach'
import { Draft } from '../../show/draft'
import { entryNumber, PALETTE_COLOURS } from '../../show/entities'
import { groupId, paletteId, targetId, type GroupId, type PaletteId, type TargetId } from '../../show/ids'
import { membersOf, rigOf } from '../../show/rig'
import type { Show } from '../../show/show'
import { aimPoint, targetsOf } from '../../show/targets'
import { poolValue, type AimValue } from '../../show/values'
import { command, done } from '../command'
import { freeNumbers } from '../../show/freeNumbers'
import { gone } from '../shared/refusals'
import { putNewPalette } from '../shared/newPalette'
import { counted } from '../../show/counted'

export const makePalettesFromTargets = command({
  input: z.strictObject({
    targets: z.array(targetId).min(1, 'choose a target'),
    /** One palette a target for any fixture that can reach it; or, with groups, one a target and group. */
    groups: z.array(groupId),
    shelf: z.enum(['position', 'focus']),
    /** The pool's diameter in metres, kept from every fixture; null leaves the zoom alone. */
    pool: poolValue.shape.diameter.nullable(),
    numberFrom: entryNumber,
  }),
  undoable: true,
  run(show, { targets, groups, shelf, pool, numberFrom }, { newId }) {
    const missing = targets.find((id) => !show.all.target.has(id)) ?? groups.find((id) => !show.all.group.has(id))
    if (missing) return gone(show.all.target.has(missing) ? 'group' : 'target', 'targets')
    const whom: readonly (GroupId | null)[] = groups.length ? groups : [null]
    const wanted = targets.flatMap((target) => whom.map((group) => ({ target, group })))
    const numbers = freeNumbers(show.all.palette.values(), numberFrom, wanted.length)
    const draft = new Draft(show)
    const zoom: ReachingValue[] =
      pool === null || shelf === 'position'
        ? []
        : [{ whom: 'any', attribute: LEADING.width, value: { kind: 'pool', diameter: pool } }]
    for (const [i, { target, group }] of wanted.entries()) {
      const id = paletteId.parse(newId())
      const groupName = group === null ? '' : `, ${show.all.group.get(group)?.name ?? ''}`
      const name = `${show.all.target.get(target)?.name ?? ''}${groupName}`.slice(0, 120)
      const colour = group === null ? PALETTE_COLOURS[i % PALETTE_COLOURS.length] : show.all.group.get(group)?.colour
      putNewPalette(show, draft, id, { number: numbers[i] ?? numberFrom, name, colour: colour ?? 'brass', shelf })
      if (group === null) putReaching(show, draft, id, [anyAt(target), ...zoom], { merge: [] })
      else putForGroup(show, draft, id, target, group, zoom)
    }
    return done(draft, `make ${counted(wanted.length, 'palette')} from targets`)
  },
})

const NO_OFFSET = { x: 0, y: 0, z: 0 }

const aimAt = (target: TargetId): AimValue => ({ kind: 'aim', target, at: null, offset: NO_OFFSET, choice: null })

const anyAt = (target: TargetId): ReachingValue => ({ whom: 'any', attribute: LEADING.place, value: aimAt(target) })

/** A group is spread along a line or ring, by rule; at a point each member has its aim. */
function putForGroup(
  show: Show,
  draft: Draft,
  palette: PaletteId,
  target: TargetId,
  group: GroupId,
  zoom: readonly ReachingValue[],
) {
  const members = membersOf(show).get(group) ?? []
  const place = aimPoint(targetsOf(show), aimAt(target))
  if (show.all.target.get(target)?.form.kind !== 'point') {
    const rule = { palette, group, target, lay: 'in order' } as const
    draft.put('paletteSpread', palette, rule)
    putSpread(show, draft, rule, members)
  }
  const own = members.flatMap((fixture): ReachingValue[] => {
    const rigged = rigOf(show).get(fixture)
    if (!rigged) return []
    const whom = { own: fixture }
    const pools = rigged.type.has.includes(LEADING.width) ? zoom.map((value) => ({ ...value, whom })) : []
    if (show.all.target.get(target)?.form.kind !== 'point' || !place) return pools
    const { side, pan } = solveAim(rigged.mount, place, { reference: HOME })
    return [{ whom, attribute: LEADING.place, value: { ...aimAt(target), choice: { side, pan } } }, ...pools]
  })
  putReaching(show, draft, palette, own, { merge: [] })
}
