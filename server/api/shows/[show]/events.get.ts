/**
 * Every change of a show, as it happens. A page says the last revision it has and is first sent
 * what it missed; after that each entry once, in order.
 */
import { createEventStream } from 'h3'
import { z } from 'zod'
import type { JournalEntry } from '#core/journal/entry'
import { entriesSince } from '../../../database/journalRepository'
import { defineApi, queryOf } from '../../../http/api'
import { personOf } from '../../../http/person'
import { showOf } from '../../../http/showOf'
import { useHouse } from '../../../shows/useHouse'

const eventsQuery = z.object({ since: z.coerce.number().int().min(0) })
const STILL_HERE_EVERY = 20_000

export default defineApi(async (event) => {
  const { since } = queryOf(event, eventsQuery)
  const live = await showOf(event)
  const person = personOf(event)
  const { knex } = await useHouse()
  const stream = createEventStream(event)
  let sent = since
  const send = async (entry: JournalEntry) => {
    if (entry.seq <= sent) return
    sent = entry.seq
    await stream.push({ event: 'entry', data: JSON.stringify({ entry, undo: live.undoState(person) }) })
  }
  const waiting: JournalEntry[] = []
  let caughtUp = false
  const unsubscribe = live.subscribe((entry) => {
    if (caughtUp) void send(entry)
    else waiting.push(entry)
  })
  const sayStillHere = () => void stream.push({ event: 'still here', data: '' })
  const pulse = setInterval(sayStillHere, STILL_HERE_EVERY)
  stream.onClosed(async () => {
    clearInterval(pulse)
    unsubscribe()
    await stream.close()
  })
  const begin = async () => {
    // The first words open the line: until then the page cannot tell that it is connected.
    sayStillHere()
    for (const entry of await entriesSince(knex, live.show.id, since)) await send(entry)
    caughtUp = true
    for (const entry of waiting) await send(entry)
  }
  void begin()
  return stream.send()
})
