/** Changes of one number: set, by so much, by a part of it, to an end or home. */
import { z } from 'zod'
import type { AttributeRange } from '../show/attributeRange'
import type { Amount } from '../show/values'

export const numberChange = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('to'), number: z.number() }),
  z.strictObject({ how: z.literal('by'), number: z.number() }),
  z.strictObject({ how: z.literal('times'), factor: z.number().min(0).max(1000) }),
  z.strictObject({ how: z.literal('min') }),
  z.strictObject({ how: z.literal('max') }),
  z.strictObject({ how: z.literal('home') }),
])
export type NumberChange = z.infer<typeof numberChange>

/** The changed number, inside the range; slots are whole. Null for a number set beyond the range. */
export function changedNumber(now: number, change: NumberChange, range: AttributeRange): number | null {
  const wanted = wantedNumber(now, change, range)
  if (change.how === 'to' && (wanted < range.min || wanted > range.max)) return null
  const inside = Math.min(range.max, Math.max(range.min, wanted))
  return range.unit === 'slot' ? Math.round(inside) : inside
}

function wantedNumber(now: number, change: NumberChange, range: AttributeRange): number {
  switch (change.how) {
    case 'to':
      return change.number
    case 'by':
      return now + change.number
    case 'times':
      return now * change.factor
    case 'min':
    case 'max':
    case 'home':
      return range[change.how]
  }
}

/** A change of a number, or to a speed of turning, turns a minute. */
export const amountChange = z.discriminatedUnion('how', [
  ...numberChange.options,
  z.strictObject({ how: z.literal('spin'), rpm: z.number() }),
])
export type AmountChange = z.infer<typeof amountChange>

/**
 * The changed amount, inside the range. What spins is made faster or slower by a change by so much or
 * by a part, and stands again by any other. Null for what is set beyond the range, and for a spin of what cannot.
 */
export function changedAmount(now: Amount, change: AmountChange, range: AttributeRange): Amount | null {
  const fastest = range.fastest ?? 0
  if (change.how === 'spin')
    return range.fastest === null || Math.abs(change.rpm) > fastest ? null : { kind: 'spin', rpm: change.rpm }
  if (now.kind === 'spin' && (change.how === 'by' || change.how === 'times')) {
    const rpm = change.how === 'by' ? now.rpm + change.number : now.rpm * change.factor
    return { kind: 'spin', rpm: Math.min(fastest, Math.max(-fastest, rpm)) }
  }
  const number = changedNumber(now.kind === 'spin' ? range.home : now.number, change, range)
  return number === null ? null : { kind: 'number', number }
}

const SPIN = /^(.*\d)\s*rpm$/i
const TYPED = /^([+\-−]|by\s)?\s*([+\-−]?)\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*(%?)$/i

/**
 * A typed value as a change: `50` sets, `+5` adds, `-10 %` takes a tenth off. Where negative
 * numbers exist (`signed`), `-5` sets and `+-5` or `by -5` takes off; elsewhere `-5` takes off.
 * Null for what is none of these.
 */
export function typedChange(text: string, signed: boolean): NumberChange | null {
  const match = TYPED.exec(text.trim())
  if (!match) return null
  const [, first = '', second = '', digits = '', percent] = match
  const size = Number(digits.replace(',', '.'))
  const isMinus = (sign: string) => sign === '-' || sign === '−'
  if (isMinus(first) && second !== '') return null
  const amount = isMinus(first) || isMinus(second) ? -size : size
  if (percent === '%' && first !== '') return { how: 'times', factor: Math.max(0, 1 + amount / 100) }
  const isSet = first === '' ? second === '' || signed : isMinus(first) && signed
  return isSet ? { how: 'to', number: amount } : { how: 'by', number: amount }
}

/** As `typedChange`, and "12 rpm" to spin so fast; what spins already is changed in its turns a minute. */
export function typedAmount(text: string, signed: boolean): AmountChange | null {
  const [, turns] = SPIN.exec(text.trim()) ?? []
  const change = typedChange(turns ?? text, signed || turns !== undefined)
  return turns !== undefined && change?.how === 'to' ? { how: 'spin', rpm: change.number } : change
}
