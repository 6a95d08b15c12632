/** The body of a request, read with a limit and checked. */
import { getRequestHeader, type H3Event } from 'h3'
import type { z } from 'zod'
import { unstorableIn } from '#core/show/storable'
import { ApiError } from './api'

/** What any request may send, bytes; a back-up may be larger and says so. */
const LARGEST = 8_000_000

/** The bytes of a request; throws as soon as they are more than allowed. */
export async function bytesOf(event: H3Event, largest = LARGEST): Promise<Buffer> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > largest) throw tooLarge(largest)
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req) {
    const bytes = Buffer.from(chunk)
    size += bytes.length
    if (size > largest) throw tooLarge(largest)
    chunks.push(bytes)
  }
  return Buffer.concat(chunks)
}

function tooLarge(largest: number): ApiError {
  return new ApiError(413, {
    code: 'too large',
    message: `This is more than the server takes at once (${Math.round(largest / 1_000_000)} MB); it was not carried out.`,
  })
}

/** The JSON body of a request, checked; throws ApiError 400 or 413 for none, or ZodError, which is answered by its field. */
export async function bodyOf<T>(event: H3Event, schema: z.ZodType<T>): Promise<T> {
  const body = parseJson((await bytesOf(event)).toString('utf8'))
  const fault = unstorableIn(body)
  if (!fault) return schema.parse(body)
  const field = fault.path || undefined
  throw new ApiError(400, { code: 'bad input', message: `${field ?? 'The request'} ${fault.why}.`, field })
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new ApiError(400, { code: 'bad input', message: 'The request is not valid JSON.' })
  }
}
