/** The entries a page has missed; null where there are so many that it does better to fetch the show anew. */
import { z } from 'zod'
import { entriesSince } from '../../../database/journalRepository'
import { defineApi, queryOf } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { MOST_MISSED } from '../../../live/entryFeed'
import { useShowRegistry } from '../../../shows/useShowRegistry'

const entriesQuery = z.object({ since: z.coerce.number().int().min(0) })

export default defineApi(async (event) => {
  const { since } = queryOf(event, entriesQuery)
  const live = await showOf(event)
  const { knex } = await useShowRegistry()
  const missed = live.revision - since
  const isNear = missed >= 0 && missed <= MOST_MISSED
  return { entries: isNear ? await entriesSince(knex, live.show.id, since, MOST_MISSED) : null }
})
