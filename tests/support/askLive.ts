/** Somebody who asks a show on a server for commands, and must get them. */
import { randomUUID } from 'node:crypto'
import { commandId, personId, windowId } from '#core/show/ids'
import type { LiveShow } from '../../server/shows/liveShow'

export const ANNA = personId.parse('anna')

/** Throws what a command is refused for. */
export async function askLive(live: LiveShow, name: string, input: unknown): Promise<void> {
  const answer = await live.run({
    ...{ id: commandId.parse(randomUUID()), name, input, seenRevision: live.revision },
    ...{ person: ANNA, window: windowId.parse('w') },
  })
  if (!answer.ok) throw new Error(answer.refusal.message)
}
