/** Amounts of attributes as people read them. */
import { isNumberAttribute, kindOf, type Attribute } from '../attributes/attribute'
import type { AttributeKind } from '../attributes/catalogue'
import { wheelOf } from './attributeRange'
import type { FixtureType } from './entities'
import type { Amount } from './values'

/** Digits and the sign after them, by unit; levels are shown as per cent. */
const SHOWN: Readonly<Record<AttributeKind['unit'], readonly [digits: number, sign: string]>> = {
  level: [0, ' %'],
  degrees: [1, '°'],
  turn: [1, '°'],
  rpm: [1, ' rpm'],
  hertz: [1, ' Hz'],
  kelvin: [0, ' K'],
  slot: [0, ''],
  place: [0, ''],
  colour: [0, ''],
}

/** "65 %", "12.0°", "3200 K", "4.0 Hz", "-12.0 rpm", "Star"; of a slot without a type its number. */
export function amountInWords(amount: Amount, attribute: Attribute, type?: FixtureType): string {
  if (amount.kind === 'spin') return `${amount.rpm.toFixed(1)} rpm`
  const { unit } = kindOf(attribute)
  if (unit === 'slot') return slotInWords(amount.number, attribute, type)
  const [digits, sign] = SHOWN[unit]
  return `${(unit === 'level' ? amount.number * 100 : amount.number).toFixed(digits)}${sign}`
}

function slotInWords(slot: number, attribute: Attribute, type: FixtureType | undefined): string {
  const wheel = type && isNumberAttribute(attribute) ? wheelOf(type, attribute) : null
  return wheel?.slots[slot]?.name ?? `slot ${slot}`
}
