/** Ports on loopback. */
import { createServer } from 'node:net'

function isFree(port: number, host: string): Promise<boolean> {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen({ port, host }, () => probe.close(() => resolve(true)))
  })
}

/** The first free port from `first` on; throws when a hundred in a row are taken. */
export async function freePort(first: number, host = '127.0.0.1'): Promise<number> {
  for (let port = first; port < first + 100; port++) if (await isFree(port, host)) return port
  throw new Error(`No free port between ${first} and ${first + 99}. Stop something that listens there.`)
}
