/** Palettes that spread a group over a line or ring by rule, and what the rule comes to. */
import { LEADING } from '../attributes/catalogue'
import { fanPlaces } from '../hand/fan'
import { laidOut, spreadOverTarget } from '../hand/spread'
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { putReaching } from '../palettes/reach'
import { keepUnserved } from '../palettes/unserved'
import type { Draft } from '../show/draft'
import type { EntityOf } from '../show/kinds'
import type { FixtureId, GroupId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import type { FixtureValue } from '../show/fixtureValue'

type PaletteSpread = EntityOf['paletteSpread']

/** The aims of a rule for fixtures in their order; empty where the target has no place here, or is a point. */
export function spreadAims(
  show: Show,
  { target, lay }: Pick<PaletteSpread, 'target' | 'lay'>,
  members: readonly FixtureId[],
): FixtureValue[] {
  const placed = targetsOf(show).get(target)
  const spread = placed && spreadOverTarget(target, placed)
  if (!spread || members.length === 0) return []
  const rig = rigOf(show)
  const places = fanPlaces({ parts: [[...members]], run: 'within', curve: 'even' })
  return laidOut(places, rig, spread, lay).flatMap(({ fixture, t, count }) => {
    const aim = spread.aimAt(t, count)
    const mount = rig.get(fixture)?.mount
    const place = aimPoint(targetsOf(show), aim)
    if (!mount || !place) return []
    const { side, pan } = solveAim(mount, place, { reference: HOME })
    return [{ fixture, attribute: LEADING.place, value: { ...aim, choice: { side, pan } } }]
  })
}

/** Writes a rule's aims into its palette; members that are gone from the group lose theirs. */
export function putSpread(
  show: Show,
  draft: Draft,
  rule: Omit<PaletteSpread, 'group'>,
  members: readonly FixtureId[],
): void {
  const values = spreadAims(show, rule, members)
  if (values.length === 0) return
  // Members that hang in another venue only keep the place they were given there.
  const elsewhere = members.filter((fixture) => !rigOf(show).has(fixture))
  const kept = new Set([...values.map(({ fixture }) => fixture), ...elsewhere])
  for (const [id, stored] of show.all.paletteValue)
    if (
      stored.palette === rule.palette &&
      stored.attribute === LEADING.place &&
      !(stored.fixture && kept.has(stored.fixture))
    )
      draft.remove('paletteValue', id)
  const own = values.map(({ fixture, attribute, value }) => ({ whom: { own: fixture }, attribute, value }))
  putReaching(show, draft, rule.palette, own, { merge: [] })
}

/** Spreads every palette of a group anew over members in their order; tells how many. */
export function spreadAnew(show: Show, draft: Draft, group: GroupId, members: readonly FixtureId[]): number {
  const rules = [...show.all.paletteSpread.values()].filter((rule) => rule.group === group)
  for (const rule of rules) {
    putSpread(show, draft, rule, members)
    keepUnserved(draft, rule.palette)
  }
  return rules.length
}
