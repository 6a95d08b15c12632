/** Which palettes give a fixture what it is seen to do: what came from elsewhere is linked where it may be. */
import { isNumberAttribute, type Attribute, type NumberAttribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import { palettesInOrder, paletteValueFor, resolveValue } from '../palettes/resolve'
import { solvePose } from '../palettes/solve'
import { HOME } from '../kinematics/head'
import { rangeOf } from '../show/attributeRange'
import { madeColour } from '../show/colours'
import type { PaletteId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { targetsOf } from '../show/targets'
import type { PlainColour, PlainValue } from '../show/values'

/** Angles nearer than this are the same: degrees of either axis. */
const SAME_ANGLE = 0.15
/** A level is told to a step of its coarse byte at least. */
const STEP = 1.5 / 255

/** The first palette by number that gives a fixture's attribute such a value itself; null where none does. */
export function paletteGiving(
  show: Show,
  rigged: RiggedFixture,
  attribute: Attribute,
  value: PlainValue,
): PaletteId | null {
  const found = palettesInOrder(show).find(({ id }) => {
    const given = paletteValueFor(show, id, rigged, attribute)
    // One that passes on what another gives is not it.
    if (given === null || given.kind === 'link') return false
    const plain = resolveValue(show, rigged, attribute, given).value
    return plain !== null && isSame(show, rigged, attribute, plain, value)
  })
  return found?.id ?? null
}

function isSame(show: Show, rigged: RiggedFixture, attribute: Attribute, a: PlainValue, b: PlainValue): boolean {
  if (attribute === LEADING.place) return isSamePose(show, rigged, a, b)
  if (attribute === LEADING.colour) return isSameColour(rigged, a, b)
  return isNumberAttribute(attribute) && isSameAmount(rigged, attribute, a, b)
}

function isSamePose(show: Show, rigged: RiggedFixture, a: PlainValue, b: PlainValue): boolean {
  const [one, other] = [a, b].map((value) => solvePose(rigged.mount, targetsOf(show), value, poseOf(b)))
  if (!one || !other) return false
  return Math.max(Math.abs(one.pan - other.pan), Math.abs(one.tilt - other.tilt)) <= SAME_ANGLE
}
const poseOf = (value: PlainValue) => (value.kind === 'angles' ? value : HOME)

function isSameColour({ type }: RiggedFixture, a: PlainValue, b: PlainValue): boolean {
  const isColour = (value: PlainValue): value is PlainColour => value.kind === 'colour' || value.kind === 'parts'
  if (!isColour(a) || !isColour(b)) return false
  const [one, other] = [madeColour(type, a), madeColour(type, b)]
  return [...one.parts].every(([part, level]) => Math.abs(level - (other.parts.get(part) ?? 0)) <= STEP)
}

function isSameAmount(rigged: RiggedFixture, attribute: NumberAttribute, a: PlainValue, b: PlainValue): boolean {
  if (a.kind === 'spin' || b.kind === 'spin')
    return a.kind === 'spin' && b.kind === 'spin' && Math.abs(a.rpm - b.rpm) <= Math.abs(b.rpm) * STEP + 0.1
  const { min, max, unit } = rangeOf(rigged.type, attribute)
  const [one, other] = [a, b].map((value) =>
    // A pool is another zoom from wherever the head points.
    value.kind === 'number' ? value.number : NaN,
  )
  if (one === undefined || other === undefined) return false
  return Math.abs(one - other) <= (unit === 'slot' ? 0 : (max - min) * STEP)
}
