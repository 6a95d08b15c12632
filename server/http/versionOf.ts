/** The version a route speaks of. */
import type { Refusal } from '#core/commands/command'
import type { H3Event } from 'h3'
import { z } from 'zod'
import type { Show } from '#core/show/show'
import { keptVersion, type KeptVersion } from '../database/versionRepository'
import { useShowRegistry } from '../shows/useShowRegistry'
import { ApiError, paramOf } from './api'

const versionId = z.string().regex(/^[\w-]{1,100}$/)

export function versionParamOf(event: H3Event): string {
  return paramOf(event, 'version', versionId)
}

const GONE: Refusal = { code: 'unknown version', message: 'This version is no longer kept.' }

/** A version of a show; throws for one that is not kept. */
export async function keptVersionOf(show: Show, id: string): Promise<KeptVersion> {
  const { knex } = await useShowRegistry()
  const kept = await keptVersion(knex, show.id, id)
  if (!kept) throw new ApiError(404, GONE)
  return kept
}
