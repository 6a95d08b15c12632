/** Lines on which the server tells a page of something as it happens; so many a person, and no more. */
import { createEventStream, type EventStream, type EventStreamMessage, type H3Event } from 'h3'
import type { PersonId } from '#core/show/ids'
import { guestOf, personOf } from '../access/guest'
import { noteSeen, type Session } from '../database/accessRepository'
import { useShowRegistry } from '../shows/useShowRegistry'
import { ApiError } from './api'
import { log } from './log'

const STILL_HERE_EVERY = 20_000
/** More than any number of windows one works with. */
const MOST_OF_A_PERSON = 24

const open = new Map<PersonId, Set<Line>>()

/** A line that is kept open until the page or we close it. */
export class Line {
  readonly #stream: EventStream
  /** The session that opened it. */
  readonly session: Session
  #isClosed = false

  constructor(stream: EventStream, session: Session) {
    this.#stream = stream
    this.session = session
  }

  /** Resolves when the page has room for more. */
  async push(message: EventStreamMessage): Promise<void> {
    if (!this.#isClosed) await this.#stream.push(message)
  }

  async close(): Promise<void> {
    if (this.#isClosed) return
    this.#isClosed = true
    await this.#stream.close()
  }
}

/** Closes the lines of sessions that have ended. */
export async function closeLinesOf(sessions: readonly string[]): Promise<void> {
  for (const lines of open.values())
    for (const line of lines) if (sessions.includes(line.session.id)) await line.close()
}

/**
 * Opens a line and answers with it; `begin` starts the telling and returns how to stop it. Throws
 * ApiError 429 where a person has too many.
 */
export async function answerWithLine(event: H3Event, begin: (line: Line) => () => void): Promise<void> {
  const person = await personOf(event)
  const { session } = await guestOf(event)
  if (!session) throw new RangeError('a person has a session')
  const lines = open.get(person) ?? new Set()
  if (lines.size >= MOST_OF_A_PERSON)
    throw new ApiError(429, {
      code: 'too many lines',
      message: 'Too many windows of yours are open on this server. Close some and reload this one.',
    })
  open.set(person, lines)
  const stream = createEventStream(event)
  const line = new Line(stream, session)
  lines.add(line)
  const sayStillHere = () => {
    void line.push({ event: 'still here', data: '' })
    void closeWhenEnded(line)
  }
  const pulse = setInterval(sayStillHere, STILL_HERE_EVERY)
  const stop = begin(line)
  stream.onClosed(async () => {
    clearInterval(pulse)
    stop()
    lines.delete(line)
    if (lines.size === 0) open.delete(person)
    await line.close()
  })
  // The first words open the line: until then the page cannot tell that it is connected.
  sayStillHere()
  return stream.send()
}

async function closeWhenEnded(line: Line): Promise<void> {
  try {
    const { knex } = await useShowRegistry()
    if (!(await noteSeen(knex, line.session))) await line.close()
  } catch (error) {
    log.warn(error, 'who is in could not be noted')
  }
}
