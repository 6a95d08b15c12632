/** JSON values, of which everything a show holds is made. */
import { z } from 'zod'

export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json }

function isJson(value: unknown): value is Json {
  if (value === null) return true
  if (typeof value === 'object') return Array.isArray(value) ? value.every(isJson) : Object.values(value).every(isJson)
  return (
    typeof value === 'string' || typeof value === 'boolean' || (typeof value === 'number' && Number.isFinite(value))
  )
}

/** Looked through as it is, in one pass: entries of hundreds of writes are read while somebody works. */
export const json = z.custom<Json>(isJson, 'not JSON')

/** A stored value as JSON, itself and not a copy; throws RangeError for what is none, a programmer's fault. */
export function toJson(stored: unknown): Json {
  if (!isJson(stored)) throw new RangeError(`a show holds only JSON, not ${typeof stored}`)
  return stored
}
