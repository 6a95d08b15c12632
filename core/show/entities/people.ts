/** Who works on a show, what they have set, and what they have in hand. */
import { z } from 'zod'
import { attributeId } from '../../attributes/attribute'
import * as ids from '../ids'
import {
  aimValue,
  anglesValue,
  fitsAttribute,
  MISFIT_OF_ATTRIBUTE,
  numberValue,
  spinValue,
  value,
  colourValue,
  partsValue,
} from '../values'
import { attributes, families, name } from './parts'

export const HIGHLIGHTS = ['off', 'brighter', 'others dimmed'] as const
/**
 * `take` are the families Record and Update take and `heldBack` the attributes of them they leave;
 * `takeOnce` when that counts for the next recording only. `usual` is the mask as it was last used,
 * where it was changed since: what stands again after once. `editing` is the palette that is open in
 * the hand. `neutral` are the families that going neutral sets; `neutralOnce` when they count for the next
 * time only, `usualNeutral` what stands again then. `blind` keeps the hand off the stage. `highlight` is how the fixtures worked on are
 * brought out to be seen: on stage, never in the hand. `checking` is the palette of a pass that is taken
 * and brought up on stage, `only` the one fixture of it that is lit; null for all.
 */
export const person = z.strictObject({
  name,
  take: families,
  heldBack: attributes,
  takeOnce: z.boolean(),
  usual: z.strictObject({ take: families, heldBack: attributes }).nullable().default(null),
  editing: ids.paletteId.nullable(),
  neutral: families,
  neutralOnce: z.boolean(),
  usualNeutral: families.nullable().default(null),
  blind: z.boolean(),
  highlight: z.enum(HIGHLIGHTS),
  checking: ids.paletteId.nullable().default(null),
  only: ids.fixtureId.nullable().default(null),
})
/** A fixture a person brings out to be seen. */
export const highlighted = z.strictObject({ person: ids.personId, fixture: ids.fixtureId })
/** An aim at a place, whatever becomes of the targets. */
const freeAim = aimValue.extend({ target: z.null() })
/**
 * A value that comes in over a time: when it set out, milliseconds by the server's clock, for how
 * many seconds, and from what the stage showed then.
 */
export const arrival = z.strictObject({
  startedAt: z.number().int().min(0),
  seconds: z.number().positive(),
  from: z.discriminatedUnion('kind', [freeAim, anglesValue, numberValue, spinValue, colourValue, partsValue]),
})
export const handValue = z
  .strictObject({
    person: ids.personId,
    fixture: ids.fixtureId,
    attribute: attributeId,
    value,
    /** The palette it was before it was changed by hand: what Update would write it to. */
    source: ids.paletteId.nullable(),
    /** Back-ups from before values could come in over a time know nothing of it. */
    arrival: arrival.nullable().default(null),
  })
  .refine(fitsAttribute, MISFIT_OF_ATTRIBUTE)
