/** Outputs that get in each other's way. */
import { derived } from '../show/derived'
import type { Output } from '../show/entities'
import { asOutputId, type OutputId } from '../show/ids'

/** The numbers an output's universes go out by, first and last. */
export function sentNumbers({ first, last, sentAs }: Pick<Output, 'first' | 'last' | 'sentAs'>): [number, number] {
  return [sentAs, sentAs + last - first]
}

const meets = ([a, b]: readonly [number, number], [c, d]: readonly [number, number]) => a <= d && c <= b

/** Whether receivers can hear both: everyone hears what goes to everyone. */
function isHeardTogether(a: Output, b: Output): boolean {
  if (a.protocol !== b.protocol || !meets(sentNumbers(a), sentNumbers(b))) return false
  if (a.addresses.length === 0 || b.addresses.length === 0) return a.from === b.from
  return a.addresses.some((address) => b.addresses.includes(address))
}

/** Of each output that is on, the names of others that send the same numbers to the same receivers. */
export const doubledOutputs = derived(['output'], (show): ReadonlyMap<OutputId, readonly string[]> => {
  const on = [...show.all.output].filter(([, { isOn }]) => isOn)
  return new Map(
    on.flatMap(([id, output]) => {
      const others = on.filter(([other, one]) => other !== id && isHeardTogether(output, one))
      return others.length > 0 ? [[asOutputId(id), others.map(([, { name }]) => name)] as const] : []
    }),
  )
})
