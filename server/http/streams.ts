/** Lines on which the server tells a page of something as it happens; so many a person, and no more. */
import { createEventStream, type EventStream, type EventStreamMessage, type H3Event } from 'h3'
import type { PersonId } from '#core/show/ids'
import { ApiError } from './api'

const STILL_HERE_EVERY = 20_000
/** More than any number of windows one works with. */
const MOST_OF_A_PERSON = 24

const open = new Map<PersonId, number>()

/** A line that is kept open until the page or we close it. */
export class Line {
  readonly #stream: EventStream
  #isClosed = false

  constructor(stream: EventStream) {
    this.#stream = stream
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

/** Opens a line and answers with it; `begin` starts the telling and returns how to stop it. */
export async function answerWithLine(
  event: H3Event,
  person: PersonId,
  begin: (line: Line) => () => void,
): Promise<void> {
  const known = open.get(person) ?? 0
  if (known >= MOST_OF_A_PERSON)
    throw new ApiError(429, {
      code: 'too many lines',
      message: 'Too many windows of yours are open on this server. Close some and reload this one.',
    })
  open.set(person, known + 1)
  const stream = createEventStream(event)
  const line = new Line(stream)
  const sayStillHere = () => void line.push({ event: 'still here', data: '' })
  const pulse = setInterval(sayStillHere, STILL_HERE_EVERY)
  const stop = begin(line)
  stream.onClosed(async () => {
    clearInterval(pulse)
    stop()
    const left = (open.get(person) ?? 1) - 1
    if (left > 0) open.set(person, left)
    else open.delete(person)
    await line.close()
  })
  // The first words open the line: until then the page cannot tell that it is connected.
  sayStillHere()
  return stream.send()
}
