/** What a fault of the database means: that nobody can work just now and why, or that a change is one it cannot hold. */
import type { Refusal } from '#core/commands/command'

export type DatabaseFault =
  /** The request may be tried again as it is. */
  | { readonly kind: 'away'; readonly refusal: Refusal }
  /** The database refused what it should have been asked never. */
  | { readonly kind: 'refused'; readonly refusal: Refusal }

const AWAY: readonly (readonly [pattern: RegExp, sentence: string])[] = [
  [/^53100$|ENOSPC/, 'The disk of the database is full. Make room on it; the server goes on by itself then.'],
  [
    /^(25006|EROFS)$/,
    'The database can only be read just now. Make its folder writable; the server goes on by itself then.',
  ],
  [/^(57P03|57P0[12])$/, 'The database is just starting or stopping. The server goes on by itself when it is there.'],
  [/^53300$/, 'The database has too many connections just now. The server goes on by itself when some are given back.'],
  [
    /^(08\w{3}|ECONNREFUSED|ECONNRESET|EPIPE|ENOENT|ETIMEDOUT|58\w{3}|XX\w{3})$/,
    'The database does not answer. The server goes on by itself when it is back.',
  ],
]
const LOST =
  /Connection terminated|Timeout acquiring a connection|Unable to acquire a connection|Client has encountered a connection error|not queryable/

function codeOf(error: Error): string {
  const code: unknown = Reflect.get(error, 'code')
  return typeof code === 'string' ? code : ''
}

/** Reads a fault of the database out of an error; null for anything else. */
export function databaseFault(error: unknown): DatabaseFault | null {
  if (error instanceof AggregateError) return databaseFault(error.errors[0])
  if (!(error instanceof Error)) return null
  const code = codeOf(error)
  const sentence =
    AWAY.find(([pattern]) => pattern.test(code))?.[1] ?? (LOST.test(error.message) ? AWAY.at(-1)?.[1] : undefined)
  if (sentence) return { kind: 'away', refusal: { code: 'database away', message: sentence } }
  // Class 22: a value that does not fit its column; class 23: a constraint.
  if (!/^2[23]/.test(code)) return null
  return {
    kind: 'refused',
    refusal: {
      code: 'cannot be kept',
      message:
        'The database cannot keep this as it is: something in it points nowhere, stands twice or has no room. Nothing was changed. Load the page anew and try again.',
    },
  }
}
