/** Writing into a person's hand, and reading what a fixture shows. */
import { handValueId } from '../show/compositeIds'
import { type Lookup } from '../cues/onStage'
import { playedBack } from '../cues/playback'
import { resolveValue } from '../palettes/resolve'
import { solveZoom } from '../palettes/solve'
import type { Draft } from '../show/draft'
import type { Attribute } from '../show/families'
import type { FixtureId, PaletteId, PersonId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import type { Value } from '../show/values'
import { rangeOf, type NumberAttribute } from './attributes'

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

/** The number an attribute shows: degrees of zoom also where a pool was asked for, home where nothing sets it. */
export function numberShown(
  show: Show,
  lookup: Lookup,
  rigged: RiggedFixture,
  attribute: NumberAttribute,
  throwMetres: number | null,
): number {
  const value = lookup(rigged.id, attribute)
  const plain = value && resolveValue(show, rigged, attribute, value).value
  if (plain?.kind === 'number') return plain.number
  if (plain?.kind === 'pool') return solveZoom(rigged, plain, throwMetres).angle
  return rangeOf(rigged.type, attribute).home
}
