/** The server goes with whoever started it, does not go on with more rights than it needs, and makes the link a start prints. */
import { z } from 'zod'
import { EVENING, makeLink } from '../access/links'
import { log } from '../http/log'
import { useShowRegistry } from '../shows/useShowRegistry'

const order = z.union([
  z.object({ workAs: z.object({ uid: z.number().int().positive(), gid: z.number().int().positive() }) }),
  z.object({ letIn: z.literal('this evening') }),
])

function workAs({ uid, gid }: { uid: number; gid: number }): void {
  process.setgroups?.([gid])
  process.setgid?.(gid)
  process.setuid?.(uid)
}

async function tellEveningKey(): Promise<void> {
  const { knex } = await useShowRegistry()
  const { key } = await makeLink(knex, EVENING)
  process.send?.({ eveningKey: key })
}

export default defineNitroPlugin(() => {
  process.on('message', (message) => {
    const { data } = order.safeParse(message)
    if (!data) return
    if ('workAs' in data) return workAs(data.workAs)
    tellEveningKey().catch((error: unknown) => log.error(error, 'the link of this evening could not be made'))
  })
  process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'))
})
