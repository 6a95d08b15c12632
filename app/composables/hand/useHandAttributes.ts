/** Every attribute the selected fixtures have, with what they show of it: one value, or a range. */
import equal from 'fast-deep-equal'
import { computed } from 'vue'
import { rangeOf, wheelOf, type AttributeRange } from '#core/show/attributeRange'
import { amountShown } from '#core/hand/setInHand'
import { handOf, stageLookup } from '#core/cues/onStage'
import {
  attributeName,
  isNumberAttribute,
  inCatalogueOrder,
  familyOf,
  type NumberAttribute,
} from '#core/attributes/attribute'
import { type Family } from '#core/attributes/families'
import { countedAs } from '#core/show/cells'
import type { Wheel } from '#core/show/entities'
import { lets, TAKE_ALL } from '#core/show/masks'
import { rigOf, type RiggedFixture } from '#core/show/rig'
import { numberOf } from '#core/show/values'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'

/** One attribute of the selection. `low` and `high` are what the fixtures show. */
export interface HandAttribute {
  readonly attribute: NumberAttribute
  readonly family: Family
  readonly name: string
  readonly low: number
  readonly high: number
  /** What the first of them shows. */
  readonly first: number
  /** The widest range of the selected types; turns a minute while all of them spin. */
  readonly range: AttributeRange
  /** Some of them spin and some stand. */
  readonly doesDiffer: boolean
  /** The wheel it turns, where all selected fixtures have the same one. */
  readonly wheel: Wheel | null
  /** How many of the selected fixtures have it, and of how many; a bar with its cells is one. */
  readonly fixtures: number
  readonly among: number
  readonly isHeld: boolean
  readonly isTaken: boolean
  /** It stays although its family is taken. */
  readonly isHeldBack: boolean
}

function widest(ranges: readonly AttributeRange[]): AttributeRange {
  const spins = ranges.flatMap(({ fastest }) => fastest ?? [])
  return {
    min: Math.min(...ranges.map(({ min }) => min)),
    max: Math.max(...ranges.map(({ max }) => max)),
    home: ranges[0]?.home ?? 0,
    unit: ranges[0]?.unit ?? 'level',
    fastest: spins.length > 0 ? Math.max(...spins) : null,
  }
}

function spinning(ranges: readonly AttributeRange[]): AttributeRange {
  const { fastest } = widest(ranges)
  return { min: -(fastest ?? 0), max: fastest ?? 0, home: 0, unit: 'rpm', fastest }
}

export function useHandAttributes() {
  const stage = useStage()
  const selection = useSelection()
  const store = useShow()

  /** One that stays as it is stays the same object, so that its row is left alone. */
  const attributes = computed<readonly HandAttribute[]>((before = []) => {
    const now = read()
    const kept = now.map((one) => before.find((other) => equal(one, other)) ?? one)
    return kept.length === before.length && kept.every((one, i) => one === before[i]) ? before : kept
  })

  function read(): HandAttribute[] {
    const { seenInPanels } = stage
    const show = stage.panelState.preview
    const person = store.person
    if (!show || !person) return []
    const rigged = selection.fixtures.flatMap((id) => rigOf(show).get(id) ?? [])
    const lookup = stageLookup(show, person)
    const hand = handOf(show, person)
    const mask = show.all.person.get(person) ?? TAKE_ALL
    const unitOf = countedAs(
      show,
      rigged.map(({ id }) => id),
    )
    const unitsOf = (some: readonly RiggedFixture[]) => new Set(some.map(({ id }) => unitOf.get(id))).size
    const had = new Set(rigged.flatMap(({ type }) => type.has.filter(isNumberAttribute)))
    return [...had].sort(inCatalogueOrder).flatMap((attribute) => {
      const able = rigged.filter(({ type }) => type.has.includes(attribute))
      const [first] = able
      if (!first) return []
      const shown = able.map((fixture) =>
        amountShown(show, lookup, fixture, attribute, seenInPanels(fixture.id)?.position.throwMetres ?? null),
      )
      const numbers = shown.map(numberOf)
      const ranges = [...new Set(able.map(({ type }) => type))].map((type) => rangeOf(type, attribute))
      const isOneType = able.every(({ type }) => type === first.type)
      return [
        {
          attribute,
          family: familyOf(attribute),
          name: attributeName(attribute),
          low: Math.min(...numbers),
          high: Math.max(...numbers),
          first: numbers[0] ?? 0,
          range: shown.every(({ kind }) => kind === 'spin') ? spinning(ranges) : widest(ranges),
          doesDiffer: new Set(shown.map(({ kind }) => kind)).size > 1,
          wheel: isOneType ? wheelOf(first.type, attribute) : null,
          fixtures: unitsOf(able),
          among: unitsOf(rigged),
          isHeld: able.some(({ id }) => hand.get(id)?.has(attribute)),
          isTaken: lets(mask, attribute),
          isHeldBack: mask.take.includes(familyOf(attribute)) && !lets(mask, attribute),
        },
      ]
    })
  }
  const ofFamily = (family: Family) => attributes.value.filter((attribute) => attribute.family === family)

  return { attributes, ofFamily }
}
