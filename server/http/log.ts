/**
 * The server's log, one JSON line an event on standard error, so that standard output stays
 * readable. Of a fault it says what and where, and no values: those may be names or secrets.
 */
import pino from 'pino'

const PLACES = 6

/** PostgreSQL's own words of a constraint hold no values, but what Knex puts before them is the whole statement. */
function described(error: unknown) {
  if (!(error instanceof Error)) return { type: typeof error }
  const code: unknown = Reflect.get(error, 'code')
  const constraint: unknown = Reflect.get(error, 'constraint')
  return {
    type: error.name,
    message: error.message
      .split(' - ')
      .at(-1)
      ?.replaceAll(/"[^"]*"|'[^']*'|“[^”]*”/g, '…')
      .slice(0, 300),
    ...(typeof code === 'string' && { code }),
    ...(typeof constraint === 'string' && { constraint }),
    at: error.stack
      ?.split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, PLACES)
      .map((line) => line.trim().replace(/\(?file:.*\/\.output\//, '(')),
  }
}

// Once whoever started the server is gone nobody reads this. That must not keep it from ending, as pino's
// own destination would, which tries for ever to write what is left.
process.stderr.on('error', () => undefined)

export const log = pino({ name: 'rhopander', level: 'warn', serializers: { err: described } }, process.stderr)
