/** The server's log, one JSON line an event on standard error, so that standard output stays readable. */
import pino from 'pino'

export const log = pino({ name: 'rhopander', level: 'warn' }, pino.destination(2))
