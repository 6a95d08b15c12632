/** A value of one fixture as another can have it. */
import { HOME } from '../kinematics/head'
import { solveAim } from '../kinematics/inverse'
import { attributesServed } from '../palettes/resolve'
import { lookOf } from '../show/colours'
import { kindOf, type Attribute } from '../attributes/attribute'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { aimPoint, targetsOf } from '../show/targets'
import type { Value } from '../show/values'

/**
 * Null where the other cannot have it: aims are solved anew, angles stay with their fixture, slots
 * with their type, parts that mix a colour become what they look like.
 */
export function lentValue(
  show: Show,
  to: RiggedFixture,
  from: RiggedFixture,
  attribute: Attribute,
  value: Value,
): Value | null {
  if (!to.type.has.includes(attribute) || value.kind === 'angles') return null
  if (value.kind === 'link') return attributesServed(show, value.palette, to).includes(attribute) ? value : null
  if (value.kind === 'parts' && from.fixture.type !== to.fixture.type) return lookOf(from.type, value)
  if (value.kind !== 'aim')
    return from.fixture.type === to.fixture.type || kindOf(attribute).unit !== 'slot' ? value : null
  const place = aimPoint(targetsOf(show), value)
  if (!place) return null
  const { side, pan } = solveAim(to.mount, place, { reference: HOME, side: value.choice?.side })
  return { ...value, choice: { side, pan } }
}
