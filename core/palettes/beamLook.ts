/** What values make of a beam by themselves, wherever it points: for a small picture of it. */
import { LEADING } from '../attributes/catalogue'
import { isNumberAttribute, kindOf, type Attribute, type NumberAttribute } from '../attributes/attribute'
import type { LightShape } from '../light/gate'
import { amountIn } from '../show/amounts'
import type { FixtureType } from '../show/entities'
import { lightShape } from '../show/lightShape'
import { numberOf, type Amount, type Value } from '../show/values'

/** Null where nothing is said. */
export interface BeamLook {
  /** Full angle of the beam. */
  readonly zoomDegrees: number | null
  /** 0 to 1. */
  readonly intensity: number | null
  /** What it makes of the form of its light. */
  readonly shape: LightShape | null
}

/** The beam of one fixture's values; null where none of them is seen of it. */
export function beamLook(
  type: FixtureType,
  values: readonly { readonly attribute: Attribute; readonly value: Value }[],
): BeamLook | null {
  const amounts = new Map<NumberAttribute, Amount>()
  for (const { attribute, value } of values) {
    const amount = value.kind === 'link' ? null : amountIn(value)
    if (amount && isNumberAttribute(attribute)) amounts.set(attribute, amount)
  }
  const number = (attribute: NumberAttribute) => {
    const amount = amounts.get(attribute)
    return amount ? numberOf(amount) : null
  }
  const isShaped = [...amounts.keys()].some((attribute) => kindOf(attribute).seenAs !== undefined)
  const look = {
    zoomDegrees: number(LEADING.width),
    intensity: number(LEADING.light),
    shape: isShaped ? lightShape(type, amounts) : null,
  }
  return Object.values(look).every((said) => said === null) ? null : look
}
