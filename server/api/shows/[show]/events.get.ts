/**
 * Every change of a show, as it happens, and where targets are that follow trackers. A page says the last revision it has, by itself or by the
 * number of the last event it got, and is first told what it missed.
 */
import { getRequestHeader } from 'h3'
import { z } from 'zod'
import { writeTracked } from '#core/tracking/told'
import { entriesSince } from '../../../database/journalRepository'
import { defineApi, queryOf } from '../../../http/api'
import { log } from '../../../http/log'
import { personOf } from '../../../access/guest'
import { showOf } from '../../../http/showOf'
import { answerWithLine } from '../../../http/streams'
import { EntryFeed } from '../../../live/entryFeed'
import { feedTracked } from '../../../live/trackedFeed'
import { useShowRegistry } from '../../../shows/useShowRegistry'

const revision = z.coerce.number().int().min(0)
const eventsQuery = z.object({ since: revision })

export default defineApi(async (event) => {
  const { since } = queryOf(event, eventsQuery)
  const last = revision.safeParse(getRequestHeader(event, 'last-event-id') || undefined)
  const live = await showOf(event)
  const person = await personOf(event)
  const { knex, outputs } = await useShowRegistry()
  return answerWithLine(event, (line) => {
    const feed = new EntryFeed(live, last.success ? last.data : since, {
      entriesSince: (seq, most) => entriesSince(knex, live.show.id, seq, most),
      tell: async (entry) => {
        const data = JSON.stringify({ entry, undo: await live.undoState(person) })
        await line.push({ id: String(entry.seq), event: 'entry', data })
      },
      tellAnew: (at) => line.push({ id: String(at), event: 'anew', data: '' }),
      failed: (error) => {
        log.warn(error, 'a page could not be told any more; it asks again')
        void line.close()
      },
    })
    const stopTracked = feedTracked(live, outputs, (places) => {
      void line.push({ event: 'tracked', data: JSON.stringify(writeTracked(places)) })
    })
    return () => {
      feed.stop()
      stopTracked()
    }
  })
})
