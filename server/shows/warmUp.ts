/** What is made ready before anybody asks for it. */
import { lastChangedShow } from '../database/showRepository'
import { log } from '../http/log'
import { snapshotOf } from '../live/snapshot'
import type { ShowRegistry } from './showRegistry'

/** Has the show in hand that was worked on last: it is likely to be asked for first, and a large one takes seconds. */
export async function warmUp(registry: ShowRegistry): Promise<void> {
  try {
    const id = await lastChangedShow(registry.knex)
    const live = id && (await registry.show(id))
    if (live) await snapshotOf(live)
  } catch (error) {
    log.warn(error, 'could not open the show that was worked on last; it is tried again when it is asked for')
  }
}
