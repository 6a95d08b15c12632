/** Which attributes a show has to do with. */
import { inCatalogueOrder, LISTED_ATTRIBUTES, type Attribute } from '../attributes/attribute'
import { derived } from './derived'

/** Every attribute that a type of the show has, in order. */
export const attributesInUse = derived(['fixtureType'], (show): readonly Attribute[] =>
  [...new Set([...show.all.fixtureType.values()].flatMap(({ has }) => has))].sort(inCatalogueOrder),
)

/** Every attribute of the catalogue, and those that types of the show add. */
export const attributesKnown = derived(['fixtureType'], (show): readonly Attribute[] =>
  [...new Set([...LISTED_ATTRIBUTES, ...attributesInUse(show)])].sort(inCatalogueOrder),
)
