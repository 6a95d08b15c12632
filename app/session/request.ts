/** Requests to our own server. Every failure arrives as one shape with words for a person. */
import type { z } from 'zod'
import type { Refusal } from '#core/commands/command'
import { failure } from './wire'

export type Answered<T> =
  | { readonly ok: true; readonly body: T }
  /** `isAway`: nobody could carry it out, and it may be tried again as it is. */
  | { readonly ok: false; readonly refusal: Refusal; readonly isAway: boolean }

/** What a server, or something in front of it, answers that cannot work just now. */
const AWAY: ReadonlySet<number> = new Set([429, 502, 503, 504])

const UNREACHABLE: Refusal = {
  code: 'unreachable',
  message: 'The server does not answer. What you see is kept; try again once it is back.',
}

/**
 * What is asked for just before a page is left or reloaded is still done; browsers allow 64 KiB of
 * such requests at a time, so only short ones are sent like that.
 */
const OUTLIVES_THE_PAGE = 4000

/** Sends a request and reads its JSON answer by a schema. Never throws for what the network does. */
export function request<T>(path: string, read: z.ZodType<T>, body?: object): Promise<Answered<T>> {
  if (!body) return answerTo(path, read, {})
  const text = JSON.stringify(body)
  const headers = { 'content-type': 'application/json' }
  return answerTo(path, read, { method: 'POST', body: text, headers, keepalive: text.length <= OUTLIVES_THE_PAGE })
}

/** Sends a file as it is. */
export function requestWithFile<T>(path: string, read: z.ZodType<T>, file: Blob): Promise<Answered<T>> {
  return answerTo(path, read, { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream' } })
}

/** Takes something out on the server. */
export function requestRemoval<T>(path: string, read: z.ZodType<T>): Promise<Answered<T>> {
  return answerTo(path, read, { method: 'DELETE' })
}

async function answerTo<T>(path: string, read: z.ZodType<T>, init: RequestInit): Promise<Answered<T>> {
  try {
    const response = await fetch(path, init)
    const json: unknown = await response.json()
    if (response.ok) return { ok: true, body: read.parse(json) }
    const failed = failure.safeParse(json)
    const refusal = failed.success ? failed.data.error : UNREACHABLE
    return { ok: false, refusal, isAway: AWAY.has(response.status) }
  } catch {
    return { ok: false, refusal: UNREACHABLE, isAway: true }
  }
}
