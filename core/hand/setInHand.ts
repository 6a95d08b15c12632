/** Writing into a person's hand, and reading what a fixture shows. */
import { LEADING } from '../attributes/catalogue'
import { handValueId } from '../show/compositeIds'
import { type Lookup } from '../cues/onStage'
import { playedBack } from '../cues/playback'
import { resolveValue } from '../palettes/resolve'
import { solveZoom } from '../palettes/solve'
import type { Draft } from '../show/draft'
import { kindOf, nthOf, type Attribute, type NumberAttribute } from '../attributes/attribute'
import type { FixtureId, PaletteId, PersonId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import { colourIn, type Amount, type Value } from '../show/values'
import { slotShown } from '../show/colours'
import { rangeOf } from '../show/attributeRange'

/** A value put over a palette's remembers which one it was: Update can write it there. */
export function setInHand(draft: Draft, person: PersonId, fixture: FixtureId, attribute: Attribute, value: Value) {
  const source = value.kind === 'link' ? null : sourceOf(draft.before, person, fixture, attribute)
  draft.put('handValue', handValueId(person, fixture, attribute), {
    person,
    fixture,
    attribute,
    value,
    source,
    arrival: null,
  })
}

function sourceOf(show: Show, person: PersonId, fixture: FixtureId, attribute: Attribute): PaletteId | null {
  const held = show.all.handValue.get(handValueId(person, fixture, attribute))
  if (held) return held.value.kind === 'link' ? held.value.palette : held.source
  const played = playedBack(show).get(fixture)?.get(attribute)
  return played?.kind === 'link' ? played.palette : null
}

/** The number an attribute shows: degrees of zoom also where a pool was asked for, home where nothing sets it or it spins. */
export function numberShown(
  show: Show,
  lookup: Lookup,
  rigged: RiggedFixture,
  attribute: NumberAttribute,
  throwMetres: number | null,
): number {
  const amount = amountShown(show, lookup, rigged, attribute, throwMetres)
  return amount.kind === 'number' ? amount.number : rangeOf(rigged.type, attribute).home
}

/** The amount an attribute shows: as `numberShown`, or how it spins. */
export function amountShown(
  show: Show,
  lookup: Lookup,
  rigged: RiggedFixture,
  attribute: NumberAttribute,
  throwMetres: number | null,
): Amount {
  const value = lookup(rigged.id, attribute)
  const plain = value && resolveValue(show, rigged, attribute, value).value
  if (plain?.kind === 'spin') return plain
  if (plain?.kind === 'pool') return { kind: 'number', number: solveZoom(rigged, plain, throwMetres).angle }
  const number = plain?.kind === 'number' ? plain.number : rangeOf(rigged.type, attribute).home
  return { kind: 'number', number: turnsForColour(attribute) ? slotOfColour(show, lookup, rigged, number) : number }
}

/** Whether it is the wheel that a colour turns where nothing else mixes it. */
const turnsForColour = (attribute: NumberAttribute) => kindOf(attribute).wheel === 'colour' && nthOf(attribute) === 1

function slotOfColour(show: Show, lookup: Lookup, rigged: RiggedFixture, slot: number): number {
  const value = lookup(rigged.id, LEADING.colour)
  const colour = value && colourIn(resolveValue(show, rigged, LEADING.colour, value).value)
  return colour ? slotShown(rigged.type, colour, slot) : slot
}
