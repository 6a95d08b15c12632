/** What fixtures are brought to when they are put at rest or made neutral. */
import { LEADING } from '../attributes/catalogue'
import { nearestToHome } from '../palettes/solve'
import type { Draft } from '../show/draft'
import { isNumberAttribute, kindOf, familyOf, type Attribute } from '../attributes/attribute'
import { type Family } from '../attributes/families'
import type { FixtureId, PersonId } from '../show/ids'
import { rigOf, type RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'
import type { Value } from '../show/values'
import { rangeOf } from '../show/attributeRange'
import { restColour } from '../show/colours'
import { setInHand } from './setInHand'

/** Home of an attribute: straight down or as near as the stops allow, dark, open, white. */
export function homeValue(rigged: RiggedFixture, attribute: Attribute): Value {
  if (attribute === LEADING.place) return { kind: 'angles', ...nearestToHome(rigged.mount) }
  if (!isNumberAttribute(attribute)) return restColour(rigged.type)
  return { kind: 'number', number: rangeOf(rigged.type, attribute).home }
}

/** Neutral is home, but where the catalogue says otherwise: it is to be seen. */
export function neutralValue(rigged: RiggedFixture, attribute: Attribute): Value {
  const { neutral } = kindOf(attribute)
  return neutral === undefined ? homeValue(rigged, attribute) : { kind: 'number', number: neutral }
}

/** Puts a value into the hand for every attribute of some families that fixtures have. */
export function putEvery(
  show: Show,
  draft: Draft,
  person: PersonId,
  fixtures: readonly FixtureId[],
  families: readonly Family[],
  valueOf: (rigged: RiggedFixture, attribute: Attribute) => Value,
) {
  for (const id of fixtures) {
    const rigged = rigOf(show).get(id)
    for (const attribute of rigged?.type.has ?? [])
      if (rigged && families.includes(familyOf(attribute)))
        setInHand(draft, person, id, attribute, valueOf(rigged, attribute))
  }
}
