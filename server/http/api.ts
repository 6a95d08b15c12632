/** Every route answers in one shape: its result, or `{ error: { code, message, field } }`. */
import {
  defineEventHandler,
  getQuery,
  getRouterParam,
  setResponseStatus,
  H3Error,
  type EventHandlerRequest,
  type H3Event,
} from 'h3'
import { z } from 'zod'
import { issueInWords } from '#core/show/faults'
import type { Refusal } from '#core/commands/command'
import { AccessError, guestOf } from '../access/guest'
import { databaseFault } from '../database/faults'
import { log } from './log'

/** Thrown by a handler for what the caller can mend. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly refusal: Refusal,
  ) {
    super(refusal.message)
  }
}

export interface ErrorBody {
  readonly error: Refusal
}

type Handle<T> = (event: H3Event<EventHandlerRequest>) => Promise<T> | T

/** A handler for whoever was let in. */
export function defineApi<T>(handle: Handle<T>) {
  return defineOpenApi(async (event) => {
    await guestOf(event)
    return handle(event)
  })
}

/** A handler for anybody; its faults become the one error shape, and what nobody foresaw is logged and told as such. */
export function defineOpenApi<T>(handle: Handle<T>) {
  return defineEventHandler(async (event): Promise<T | ErrorBody> => {
    try {
      return await handle(event)
    } catch (error) {
      const { status, refusal } = asRefusal(error)
      setResponseStatus(event, status)
      return { error: refusal }
    }
  })
}

function asRefusal(error: unknown): { status: number; refusal: Refusal } {
  if (error instanceof ApiError || error instanceof AccessError) return { status: error.status, refusal: error.refusal }
  if (error instanceof z.ZodError) return { status: 400, refusal: fromZod(error) }
  if (error instanceof H3Error && error.statusCode < 500)
    return { status: error.statusCode, refusal: { code: 'bad request', message: error.message } }
  const fault = databaseFault(error)
  log.error(error, fault ? 'the database refused or did not answer' : 'a request failed')
  if (fault) return { status: fault.kind === 'away' ? 503 : 422, refusal: fault.refusal }
  return {
    status: 500,
    refusal: { code: 'internal', message: 'Something went wrong on the server; nothing was changed. Try again.' },
  }
}

function fromZod(error: z.ZodError): Refusal {
  const issue = error.issues[0]
  const field = issue?.path.join('.') || undefined
  return {
    code: 'bad input',
    message: `${field ?? 'The request'}: ${issue ? issueInWords(issue) : 'not understood'}.`,
    field,
  }
}

/** The query of a request, checked. */
export function queryOf<T>(event: H3Event, schema: z.ZodType<T>): T {
  return schema.parse(getQuery(event))
}

/** A part of the route, checked; throws ApiError 404 for an id that cannot be one: it is simply not found. */
export function paramOf<S extends z.ZodType>(event: H3Event, name: string, schema: S): z.output<S> {
  const checked = schema.safeParse(getRouterParam(event, name, { decode: true }))
  if (!checked.success) throw new ApiError(404, { code: 'not found', message: `There is nothing under this ${name}.` })
  return checked.data
}
