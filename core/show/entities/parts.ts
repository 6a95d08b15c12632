/** Parts that several kinds of thing share. */
import { z } from 'zod'
import { attributeId } from '../../attributes/attribute'
import { FAMILIES } from '../../attributes/families'
import { asEntryNumber } from '../stored'
import { metres } from '../values'

export const name = z.string().trim().min(1, 'a name is wanted').max(120)
/** Numbers of palettes, cues and groups may have three decimals. */
export const entryNumber = z
  .number()
  .positive()
  .max(99999)
  .refine((n) => Math.abs(n * 1000 - Math.round(n * 1000)) < 1e-6, 'at most three decimals')
  .overwrite(asEntryNumber)
/** How a cue moves heads: the place lit along a straight line, or every axis by itself. */
export const TRAVELS = ['straight', 'angle'] as const
export const seconds = z.number().min(0).max(3600)
export const families = z.array(z.enum(FAMILIES))
export const colour = z.enum(['brass', 'coral', 'kelp', 'shoal', 'heather', 'rose', 'amber', 'sail'])

export const plainPoint = z.strictObject({ x: metres, y: metres })
export const ring = z.array(plainPoint).min(3, 'an outline needs three corners').max(500)
export const size = z.number().positive().max(1000)
export const attributes = z.array(attributeId)
