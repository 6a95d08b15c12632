/** The version a route speaks of. */
import type { H3Event } from 'h3'
import { z } from 'zod'
import { readCollections } from '#core/history/collections'
import type { Show } from '#core/show/show'
import { versionContents } from '../database/versionRepository'
import { useHouse } from '../shows/useHouse'
import { ApiError, paramOf } from './api'

const versionId = z.string().regex(/^[\w-]{1,100}$/)

export function versionOf(event: H3Event): string {
  return paramOf(event, 'version', versionId)
}

const GONE = { code: 'unknown version', message: 'This version is no longer kept.' }

/** What a version holds and what it is called; throws for one that is not kept. */
export async function keptVersion(show: Show, id: string): Promise<{ name: string; contents: unknown }> {
  const { knex } = await useHouse()
  const kept = await versionContents(knex, show.id, id)
  if (!kept) throw new ApiError(404, GONE)
  return kept
}

/** A kept version as a show to compare with. */
export async function keptShow(show: Show, id: string): Promise<Show> {
  const { contents, name } = await keptVersion(show, id)
  const read = readCollections(contents, show.id)
  if (!read.ok) throw new ApiError(422, { code: 'not a show', message: `“${name}” cannot be read. ${read.message}` })
  return { id: show.id, all: read.all }
}
