/** What fixtures make of the form of their light, by the attributes that the catalogue says are seen. */
import { kindOf, nthOf, isNumberAttribute, type NumberAttribute } from '../attributes/attribute'
import { BLADE_SIDES, type BladeSide, type SeenAs } from '../attributes/catalogue'
import { bladeOfCorners } from '../light/bladeHandles'
import { PLAIN_LIGHT, STANDING, type Blade, type LightShape, type Prism, type Turn } from '../light/gate'
import { amountBetween, type Amounts } from './amounts'
import { rangeOf, wheelOf } from './attributeRange'
import type { FixtureType } from './entities'
import type { Amount } from './values'

const NOTHING: Amounts = new Map()

const known = new WeakMap<FixtureType, readonly NumberAttribute[]>()

/** The attributes of a type that a picture of its light shows, but for how wide, how bright and what colour it is. */
export function seenAttributes(type: FixtureType): readonly NumberAttribute[] {
  const seen = known.get(type) ?? type.has.filter(isNumberAttribute).filter((one) => kindOf(one).seenAs !== undefined)
  known.set(type, seen)
  return seen
}

/** Those amounts that are away from what they rest at; `amountOf` gives null where nothing sets one. */
export function amountsSeen(type: FixtureType, amountOf: (attribute: NumberAttribute) => Amount | null): Amounts {
  let found: Map<NumberAttribute, Amount> | null = null
  for (const attribute of seenAttributes(type)) {
    const amount = amountOf(attribute)
    if (!amount || (amount.kind === 'number' && amount.number === rangeOf(type, attribute).home)) continue
    found ??= new Map()
    found.set(attribute, amount)
  }
  return found ?? NOTHING
}

/** Amounts part of the way, each as far as its own move is. */
export function amountsBetween(
  type: FixtureType,
  from: Amounts,
  to: Amounts,
  progress: (attribute: NumberAttribute) => number,
): Amounts {
  if (from === to) return to
  const between = new Map<NumberAttribute, Amount>()
  for (const attribute of new Set([...from.keys(), ...to.keys()])) {
    const range = rangeOf(type, attribute)
    const home: Amount = { kind: 'number', number: range.home }
    const [before, after] = [from.get(attribute) ?? home, to.get(attribute) ?? home]
    between.set(attribute, amountBetween(before, after, progress(attribute), kindOf(attribute).fade, range))
  }
  return between
}

const shapes = new WeakMap<Amounts, LightShape>()

/** The form of a light with such amounts; the same object each time it is asked for. */
export function lightShape(type: FixtureType, amounts: Amounts): LightShape {
  if (amounts.size === 0) return PLAIN_LIGHT
  const shape = shapes.get(amounts) ?? workedOut(type, amounts)
  shapes.set(amounts, shape)
  return shape
}

function workedOut(type: FixtureType, amounts: Amounts): LightShape {
  const all = (as: SeenAs) => [...amounts].filter(([attribute]) => kindOf(attribute).seenAs === as)
  const numbers = (as: SeenAs) => all(as).map(([, amount]) => (amount.kind === 'number' ? amount.number : 0))
  const turnOf = (as: SeenAs, nth: number): Turn => {
    const amount = all(as).find(([attribute]) => nthOf(attribute) === nth)?.[1]
    if (amount?.kind === 'spin') return { degrees: 0, rpm: amount.rpm }
    return amount ? { degrees: amount.number, rpm: 0 } : STANDING
  }
  const slotsOf = (as: SeenAs) =>
    all(as).flatMap(([attribute, amount]) => {
      const slot = amount.kind === 'number' && wheelOf(type, attribute)?.slots[amount.number]
      return slot ? [{ slot, nth: nthOf(attribute) }] : []
    })
  const gobos = slotsOf('gobo').flatMap(({ slot: { pattern }, nth }) =>
    pattern === null || pattern === 'open' ? [] : [{ pattern, turn: turnOf('gobo turn', nth) }],
  )
  const [prism = null] = slotsOf('prism').flatMap(({ slot: { facets }, nth }): Prism[] =>
    facets === undefined ? [] : [{ facets, place: numbers('prism place')[0] ?? 0.5, turn: turnOf('prism turn', nth) }],
  )
  return {
    iris: numbers('iris')[0] ?? 1,
    softness: 1 - numbers('softness').reduce((hard, soft) => hard * (1 - soft), 1),
    blades: BLADE_SIDES.flatMap((side) => bladeAt(amounts, side)),
    frameTurn: numbers('frame turn')[0] ?? 0,
    gobos,
    prism,
    strobe: Math.max(0, ...numbers('strobe')),
  }
}

/** A blade that is in. */
function bladeAt(amounts: Amounts, side: BladeSide): Blade[] {
  const number = (as: SeenAs) => {
    for (const [attribute, amount] of amounts) {
      const kind = kindOf(attribute)
      if (kind.seenAs === as && kind.side === side && amount.kind === 'number') return amount.number
    }
    return 0
  }
  const [first, second] = [number('blade first corner'), number('blade second corner')]
  if (first > 0 || second > 0) return [bladeOfCorners(side, first, second)]
  const depth = number('blade depth')
  return depth > 0 ? [{ side, depth, angle: number('blade angle') }] : []
}
