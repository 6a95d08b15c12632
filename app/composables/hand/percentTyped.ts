/** Per cent as they are typed. */
import { typedChange } from '#core/hand/change'

/** A part from 0 to 1; null for what is no number, or none from 0 to 100. */
export function percentTyped(text: string): number | null {
  const change = typedChange(text, false)
  return change?.how === 'to' && change.number >= 0 && change.number <= 100 ? change.number / 100 : null
}
