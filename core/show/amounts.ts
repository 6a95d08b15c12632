/** Amounts of what a fixture does, part of the way from one to another. */
import { interpolate, numberBetween } from '../attributes/between'
import type { NumberAttribute } from '../attributes/attribute'
import type { Fade } from '../attributes/catalogue'
import type { AttributeRange } from './attributeRange'
import type { Amount, PlainValue } from './values'

export type Amounts = ReadonlyMap<NumberAttribute, Amount>

/** A value as an amount; null where it is none. */
export const amountIn = (plain: PlainValue | null): Amount | null =>
  plain?.kind === 'number' || plain?.kind === 'spin' ? plain : null

/** An amount part of the way: from standing to spinning, and back, as the move begins. */
export function amountBetween(
  from: Amount,
  to: Amount,
  t: number,
  fade: Fade,
  range: Pick<AttributeRange, 'min' | 'max'>,
): Amount {
  if (from.kind === 'spin' && to.kind === 'spin') return { kind: 'spin', rpm: interpolate(from.rpm, to.rpm, t) }
  if (from.kind === 'spin' || to.kind === 'spin') return t > 0 ? to : from
  return { kind: 'number', number: numberBetween(from.number, to.number, t, fade, range) }
}
