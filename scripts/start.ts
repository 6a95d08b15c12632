/** `npm start`: database, build, server; stops them all again on Ctrl C. */
import { z } from 'zod'
import { buildWhenStale } from './build'
import { startCluster } from './cluster'
import { freePort } from './ports'
import { startServer, type ServerProcess } from './serve'

const settings = z
  .object({
    PORT: z.coerce.number().int().min(1).max(65535).default(4310),
    HOST: z.string().default('127.0.0.1'),
  })
  .parse(process.env)

const say = (line: string) => console.log(line)

async function start(): Promise<void> {
  const interrupted = interruption()
  const cluster = await startCluster('data', say)
  let server: ServerProcess | null = null
  try {
    await buildWhenStale(say)
    const port = await freePort(settings.PORT, settings.HOST)
    if (port !== settings.PORT) say(`Port ${settings.PORT} is taken; using ${port}.`)
    server = await startServer(cluster.address, settings.HOST, port)
    say(`Rhopander is ready: ${server.url}\nCtrl C stops it.`)
    const reason = await Promise.race([interrupted, server.ended.then(() => 'crash' as const)])
    if (reason === 'crash') throw new Error('The server ended by itself; what it answered is kept. Start it again.')
  } finally {
    await server?.stop()
    await cluster.stop()
  }
  say('Stopped. Everything is kept.')
}

/** Resolves at the first Ctrl C or SIGTERM; later ones wait for the tidy end. */
function interruption(): Promise<'asked'> {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => resolve('asked'))
  })
}

start().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error)
    process.exit(1)
  },
)
