/** Palettes made at once: from targets, for any fixture or for groups; and from what a type has. */
import { z } from 'zod'
import { putSpread } from '../groups/paletteSpreads'
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { palettesOfType, TYPE_PARTS } from '../palettes/fromType'
import { chosenInWords } from '../palettes/meanings'
import { putReaching, type ReachingValue } from '../palettes/reach'
import { Draft } from '../show/draft'
import { entryNumber, PALETTE_COLOURS } from '../show/entities'
import { fixtureTypeId, groupId, paletteId, targetId, type GroupId, type PaletteId, type TargetId } from '../show/ids'
import { shelfMaskOf } from '../show/masks'
import { membersOf, rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import { poolValue, type AimValue } from '../show/values'
import type { Shelf } from '../show/families'
import { command, done, refuse } from './command'
import { freeNumbers } from './paletteNumbers'
import { gone } from './refusals'

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
    const numbers = freeNumbers(show, numberFrom, wanted.length)
    const draft = new Draft(show)
    const zoom: ReachingValue[] =
      pool === null || shelf === 'position'
        ? []
        : [{ whom: 'any', attribute: 'zoom', value: { kind: 'pool', diameter: pool } }]
    for (const [i, { target, group }] of wanted.entries()) {
      const id = paletteId.parse(newId())
      const groupName = group === null ? '' : `, ${show.all.group.get(group)?.name ?? ''}`
      const name = `${show.all.target.get(target)?.name ?? ''}${groupName}`.slice(0, 120)
      const colour = group === null ? PALETTE_COLOURS[i % PALETTE_COLOURS.length] : show.all.group.get(group)?.colour
      putNew(show, draft, id, { number: numbers[i] ?? numberFrom, name, colour: colour ?? 'brass', shelf })
      if (group === null) putReaching(show, draft, id, [anyAt(target), ...zoom], { merge: [] })
      else putForGroup(show, draft, id, target, group, zoom)
    }
    return done(draft, `make ${wanted.length} ${wanted.length === 1 ? 'palette' : 'palettes'} from targets`)
  },
})

function putNew(
  show: Show,
  draft: Draft,
  id: PaletteId,
  fields: { number: number; name: string; colour: (typeof PALETTE_COLOURS)[number]; shelf: Shelf },
) {
  const { take, heldBack } = shelfMaskOf(show, fields.shelf)
  draft.put('palette', id, { ...fields, symbol: null, take: [...take], heldBack: [...heldBack], note: '', time: null })
}

const NO_OFFSET = { x: 0, y: 0, z: 0 }
const aimAt = (target: TargetId): AimValue => ({ kind: 'aim', target, at: null, offset: NO_OFFSET, choice: null })
const anyAt = (target: TargetId): ReachingValue => ({ whom: 'any', attribute: 'position', value: aimAt(target) })

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
    const pools = rigged.type.has.includes('zoom') ? zoom.map((value) => ({ ...value, whom })) : []
    if (show.all.target.get(target)?.form.kind !== 'point' || !place) return pools
    const { side, pan } = solveAim(rigged.mount, place, { reference: HOME })
    return [{ whom, attribute: 'position', value: { ...aimAt(target), choice: { side, pan } } }, ...pools]
  })
  putReaching(show, draft, palette, own, { merge: [] })
}

export const makePalettesFromType = command({
  input: z.strictObject({
    type: fixtureTypeId,
    part: z.enum(TYPE_PARTS),
    numberFrom: entryNumber,
    /** Which of them, counted from 0; null for all. */
    only: z.array(z.number().int().min(0)).nullable(),
  }),
  undoable: true,
  run(show, { type, part, numberFrom, only }, { newId }) {
    const known = show.all.fixtureType.get(type)
    if (!known) return gone('type', 'type')
    const offered = palettesOfType(show, type, part).filter((_, i) => only === null || only.includes(i))
    if (offered.length === 0)
      return refuse(
        'nothing there',
        `${known.name} has nothing to make such palettes from. Look at its wheels.`,
        'part',
      )
    const numbers = freeNumbers(show, numberFrom, offered.length)
    const draft = new Draft(show)
    for (const [i, { name, shelf, colour, values }] of offered.entries()) {
      const id = paletteId.parse(newId())
      putNew(show, draft, id, { number: numbers[i] ?? numberFrom, name, colour, shelf })
      putReaching(show, draft, id, values, { merge: [] })
    }
    const chosen = offered.flatMap((palette) => palette.chosen)
    const told = chosen.length ? ` (${chosenInWords(show, chosen)})` : ''
    return done(draft, `make ${offered.length} palettes from ${known.name}${told}`)
  },
})
