/** What the selection shows of an attribute, as the hand writes it. */
import type { AttributeRange } from '#core/show/attributeRange'
import { UNIT_SIGNS } from '../forms/unitNames'
import type { HandAttribute } from './useHandAttributes'

type Shown = Pick<HandAttribute, 'range' | 'wheel' | 'low' | 'high' | 'doesDiffer'>

/** One number in its unit, without the unit: levels in per cent, a slot by its name. */
export function numberInWords({ range, wheel }: Pick<Shown, 'range' | 'wheel'>, number: number): string {
  if (range.unit === 'slot') return wheel?.slots[number]?.name ?? String(number)
  if (range.unit === 'level') return String(Math.round(number * 100))
  if (range.unit === 'kelvin') return String(Math.round(number))
  // Of what can stand as well it is said that it spins.
  return isSpinning(range) ? `${Number(number.toFixed(1))} rpm` : number.toFixed(1)
}

/** "40", "36–80", "Dots", "differ". */
export function shownInWords(attribute: Shown): string {
  const { range, low, high, doesDiffer } = attribute
  if (doesDiffer) return 'differ'
  const [lowest, highest] = [numberInWords(attribute, low), numberInWords(attribute, high)]
  if (lowest === highest) return lowest
  const factor = factorOf(range)
  return range.unit === 'slot' ? 'differ' : `${Math.round(low * factor)}–${Math.round(high * factor)}`
}

/** How a number reads: levels in per cent. */
export function factorOf({ unit }: AttributeRange): number {
  return unit === 'level' ? 100 : 1
}

/** Whether it is how something spins that could stand at an angle. */
export function isSpinning({ unit, fastest }: AttributeRange): boolean {
  return unit === 'rpm' && fastest !== null
}

/** Whether it shows anything else than it rests at. */
export function isAway({ range, low, high, doesDiffer }: Shown): boolean {
  return doesDiffer || low !== range.home || high !== range.home
}

/** "zoom 15–20°, edge 60 %": what of a family is away from rest; empty for nothing. */
export function familyInWords(attributes: readonly HandAttribute[]): string {
  return attributes
    .filter(isAway)
    .map((attribute) => {
      const { range, doesDiffer } = attribute
      const isSaid = doesDiffer || range.unit === 'slot' || isSpinning(range)
      const sign = UNIT_SIGNS[range.unit]
      return `${attribute.name} ${shownInWords(attribute)}${isSaid ? '' : sign === '°' ? sign : ` ${sign}`}`
    })
    .join(', ')
}
