/** Where a type differs from the catalogue, off what its channels mean. */
import { isNumberAttribute, kindOf, type NumberAttribute } from '../../attributes/attribute'
import { LEADING } from '../../attributes/catalogue'
import type { TypeWithModes } from '../../commands/shared/typeWithModes'
import { rangeOf, wheelOf } from '../../show/attributeRange'
import type { FixtureType } from '../../show/entities'
import { meaningOf, numberHere, type ChannelContext } from './modeChannels'
import { neatest } from './neatest'
import type { ReadMode } from './readModes'

type Range = FixtureType['ranges'][number]

/** What is told of an attribute: its numbers, what it rests at to a step of its channel, its speeds. */
interface Told {
  readonly numbers: number[]
  readonly speeds: number[]
  rest: { readonly number: number; readonly step: number } | null
}

/** The ranges of the attributes a type has that are not the catalogue's, in the order they stand. */
export function readRanges(
  type: TypeWithModes,
  modes: readonly ReadMode[],
  contexts: readonly ChannelContext[],
): Range[] {
  const told = toldBy(modes, contexts)
  return type.has.filter(isNumberAttribute).flatMap((attribute) => {
    const found = told.get(attribute)
    const range = found && rangeFrom(type, attribute, found)
    return range ? [range] : []
  })
}

function toldBy(modes: readonly ReadMode[], contexts: readonly ChannelContext[]): ReadonlyMap<string, Told> {
  const told = new Map<string, Told>()
  for (const [i, mode] of modes.entries()) {
    const context = contexts[i]
    if (!context) continue
    for (const { functions, initial } of mode.channels)
      for (const [k, one] of functions.entries()) {
        const meaning = meaningOf(one, context)
        const known = told.get(meaning.role) ?? { numbers: [], speeds: [], rest: null }
        told.set(meaning.role, known)
        const [from, to] = [numberHere(one.from, one, meaning, context), numberHere(one.to, one, meaning, context)]
        ;(meaning.turns ? known.speeds : known.numbers).push(from, to)
        if (k === initial && !meaning.turns)
          known.rest ??= {
            number: numberHere(one.rest, one, meaning, context),
            step: Math.abs(to - from) * one.step,
          }
      }
  }
  return told
}

/** What rests at something else than it can be told rests at what it usually does, and can be that as well. */
function rangeFrom(type: TypeWithModes, attribute: NumberAttribute, { numbers, speeds, rest }: Told): Range | null {
  const usual = rangeOf(type, attribute)
  const isBuilt = attribute === LEADING.width || wheelOf(type, attribute) !== null || numbers.length === 0
  const all = rest === null ? [...numbers, usual.home] : numbers
  const min = isBuilt ? usual.min : Math.min(...all)
  const max = isBuilt ? usual.max : Math.max(...all)
  const isSame = rest === null || Math.abs(rest.number - usual.home) <= rest.step
  const home = Math.min(max, Math.max(min, isSame ? usual.home : neatest(rest.number, rest.step / 2)))
  const top = Math.max(0, ...speeds.map(Math.abs))
  const fastest = kindOf(attribute).unit === 'turn' && top > 0 ? Math.min(1000, top) : null
  const isUsual = min === usual.min && max === usual.max && home === usual.home
  if (isUsual && (fastest === null || fastest === usual.fastest)) return null
  return { attribute, min, max, rest: home, fastest }
}
