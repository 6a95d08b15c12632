/** Requests to our own server. Every failure arrives as one shape with words for a person. */
import type { z } from 'zod'
import type { Refusal } from '#core/commands/command'
import { failure } from './responses'

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

/** Asking again would bring the same: another release has answered, or something in front of it. */
const UNREADABLE: Refusal = {
  code: 'unreadable',
  message: 'The server’s answer cannot be read by this page; it may have been done. Reload the page and look.',
}

/**
 * What is asked for just before a page is left or reloaded is still done; browsers allow 64 KiB of
 * such requests at a time, so only short ones are sent like that.
 */
const OUTLIVES_THE_PAGE = 4000

/**
 * Sends a request and reads its JSON answer by a schema. Never throws for what the network does; one
 * that is given up was not answered.
 */
export function request<T>(
  path: string,
  read: z.ZodType<T>,
  body?: object,
  giveUp?: AbortSignal,
): Promise<Answered<T>> {
  if (!body) return answerTo(path, read, {})
  const text = JSON.stringify(body)
  const headers = { 'content-type': 'application/json' }
  const keepalive = text.length <= OUTLIVES_THE_PAGE
  return answerTo(path, read, { method: 'POST', body: text, headers, keepalive, signal: giveUp ?? null })
}

/** Sends a file as it is. */
export function requestWithFile<T>(
  path: string,
  read: z.ZodType<T>,
  file: Blob,
  giveUp?: AbortSignal,
): Promise<Answered<T>> {
  const headers = { 'content-type': 'application/octet-stream' }
  return answerTo(path, read, { method: 'POST', body: file, headers, signal: giveUp ?? null })
}

/** Takes something out on the server. */
export function requestRemoval<T>(path: string, read: z.ZodType<T>): Promise<Answered<T>> {
  return answerTo(path, read, { method: 'DELETE' })
}

const away = { ok: false, refusal: UNREACHABLE, isAway: true } as const

async function answerTo<T>(path: string, read: z.ZodType<T>, init: RequestInit): Promise<Answered<T>> {
  try {
    const response = await fetch(path, init)
    const text = await response.text()
    return response.ok ? readAnswer(read, text) : readRefusal(response.status, text)
  } catch {
    return away
  }
}

function readAnswer<T>(read: z.ZodType<T>, text: string): Answered<T> {
  const answered = read.safeParse(jsonOf(text))
  return answered.success ? { ok: true, body: answered.data } : { ok: false, refusal: UNREADABLE, isAway: false }
}

function readRefusal(status: number, text: string): Answered<never> {
  const failed = failure.safeParse(jsonOf(text))
  if (failed.success) return { ok: false, refusal: failed.data.error, isAway: AWAY.has(status) }
  return status >= 500 || AWAY.has(status) ? away : { ok: false, refusal: UNREADABLE, isAway: false }
}

/** The value of a JSON text; undefined for what is none. */
function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
