/** The server goes with whoever started it, and does not go on with more rights than it needs. */
import { z } from 'zod'

const order = z.object({ workAs: z.object({ uid: z.number().int().positive(), gid: z.number().int().positive() }) })

function workAs({ uid, gid }: z.infer<typeof order>['workAs']): void {
  process.setgroups?.([gid])
  process.setgid?.(gid)
  process.setuid?.(uid)
}

export default defineNitroPlugin(() => {
  process.on('message', (message) => {
    const read = order.safeParse(message)
    if (read.success) workAs(read.data.workAs)
  })
  process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'))
})
