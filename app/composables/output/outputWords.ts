/** Outputs in words, and what comes in. */
import { group } from 'd3-array'
import type { SourceHeard } from '#core/output/heard'
import { sentNumbers } from '#core/output/outputTroubles'
import type { OutputStatus, SendingStatus } from '#core/output/sendingStatus'
import { listInWords } from '#core/show/listInWords'
import type { Output } from '#core/show/entities'

const fromTo = (first: number, last: number) => (first === last ? String(first) : `${first} to ${last}`)

/** "universes 1 to 4" */
export function universesInWords({ first, last }: Pick<Output, 'first' | 'last'>): string {
  return `universe${first === last ? '' : 's'} ${fromTo(first, last)}`
}

/** "E1.31 universes 1 to 4", "port addresses 0 to 3, which are 1 to 4 where counting starts at 1" */
export function sentInWords(output: Output): string {
  const [low, high] = sentNumbers(output)
  if (output.protocol === 'E1.31') return `E1.31 universe${low === high ? '' : 's'} ${fromTo(low, high)}`
  const one = low === high
  const counted = fromTo(low + 1, high + 1)
  return `port address${one ? '' : 'es'} ${fromTo(low, high)}, which ${one ? 'is' : 'are'} ${counted} where counting starts at 1`
}

/** "to everyone by multicast", "to 10.0.0.7" */
export function destinationInWords({ protocol, addresses }: Pick<Output, 'protocol' | 'addresses'>): string {
  if (addresses.length > 0) return `to ${listInWords(addresses)}`
  return protocol === 'E1.31' ? 'to everyone, by multicast' : 'to everyone, by broadcast'
}

/** How an output does just now, in a few words; what is wrong in a sentence. */
export function stateInWords(
  output: Output,
  status: OutputStatus | undefined,
  doubled: readonly string[] | undefined,
): { readonly words: string; readonly trouble: string | null } {
  if (!output.isOn) return { words: 'off', trouble: null }
  const twice = doubled ? `The same numbers also go out by ${listInWords(doubled)}.` : null
  if (!status) return { words: 'on', trouble: twice }
  const words =
    status.universes === 0 ? 'nothing is patched in these universes' : `${Math.round(status.packets)} packets a second`
  return { words, trouble: status.trouble ?? twice }
}

/** Who sends, in a sentence. */
export function senderInWords({ by, trouble }: SendingStatus): string {
  if (trouble) return trouble
  if (by === 'elsewhere') return 'Another server on the same database sends; this one takes over when that ends.'
  return by === 'here' ? 'Sent from this server.' : 'Nothing is sent: every output is off.'
}

/** Of universes that several send: whose levels count, in a sentence each. */
export function severalInWords(sources: readonly SourceHeard[]): string[] {
  return [...group(sources, ({ universe }) => universe)].flatMap(([universe, all]) => {
    if (all.length < 2) return []
    const counting = all.filter(({ counts }) => counts)
    const names = listInWords(counting.map(({ name }) => name))
    const why =
      counting.length < all.length
        ? `${names} ${counting.length === 1 ? 'counts' : 'count'}, by priority`
        : 'of each channel the highest counts'
    return [`Number ${universe} comes from ${all.length} sources: ${why}.`]
  })
}
