/** Ports to listen on. */
import { createServer } from 'node:net'

const REFUSED: Readonly<Record<string, (host: string, port: number) => string>> = {
  EACCES: (_, port) => `Port ${port} may not be used by this user. Set PORT to one above 1023.`,
  EADDRNOTAVAIL: (host) => `This machine has no address ${host}. Set HOST to one it has, or leave it out.`,
  ENOTFOUND: (host) => `There is no machine called ${host}. Set HOST to an address of this one, or leave it out.`,
  EAI_AGAIN: (host) => `There is no machine called ${host}. Set HOST to an address of this one, or leave it out.`,
}

/** Whether a port is free; throws in words where no port could be had there at all. */
function isFree(port: number, host: string): Promise<boolean> {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', (error: NodeJS.ErrnoException) => {
      const words = REFUSED[error.code ?? '']
      if (words) reject(new Error(words(host, port), { cause: error }))
      else resolve(false)
    })
    probe.listen({ port, host }, () => probe.close(() => resolve(true)))
  })
}

/** The first free port from `first` on; throws when a hundred in a row are taken. */
export async function freePort(first: number, host = '127.0.0.1'): Promise<number> {
  const last = Math.min(first + 99, 65535)
  for (let port = first; port <= last; port++) if (await isFree(port, host)) return port
  throw new Error(`No free port between ${first} and ${last}. Stop something that listens there, or set PORT.`)
}
