/** `npm start`: database, build, server; watches them, and stops them all again on Ctrl C. */
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { toString } from 'qrcode'
import { buildWhenStale } from './build'
import { fingerprintOf, ownCertificate, readCertificate, type Certificate } from './certificate'
import { startCluster, type Cluster } from './database/cluster'
import { diskFault, untilWritable } from './diskFault'
import { inWords } from './faultWords'
import { holdFolder } from './folderHold'
import { freePort } from './ports'
import { startServer, type ServerProcess } from './serve'
import { serverLog } from './serverLog'
import { readSettings, type Https } from './settings'

/** A database that ends again within this time is not started anew, milliseconds. */
const SOON = 60_000

const say = (line: string) => console.log(line)

async function start(): Promise<void> {
  const { port: wanted, host, folder, https } = readSettings(process.env)
  const interrupted = interruption()
  mkdirSync(folder, { recursive: true, mode: 0o755 })
  const hold = await holdFolder(
    folder,
    'Rhopander is just being started from this folder. Wait for it, or stop it first.',
  )
  // Before anything is started, so that a wrong one leaves nothing behind.
  const port = await freePort(wanted, host)
  const certificate = await certificateFor(https, folder)
  const cluster = await startCluster(folder, say)
  const log = serverLog(folder)
  let server: ServerProcess | null = null
  const stopping = new AbortController()
  try {
    await buildWhenStale(say)
    if (port !== wanted) say(`Port ${wanted} is taken; using ${port}.`)
    server = await startServer(cluster.address, { host, port, certificate, hear: (chunk) => log.write(chunk) })
    hold.words = `Rhopander is already running from this folder: ${server.url}. Open that page, or stop it first.`
    say(`Rhopander is ready: ${server.url}`)
    if (certificate && https.kind === 'own') say(OWN_CERTIFICATE + fingerprintOf(certificate))
    if (server.addresses.length > 0) await sayLink(server)
    say('Ctrl C stops it.')
    const crashed = server.ended.then(() => {
      throw new Error(`The server ended by itself; what it answered is kept. ${folder}/log says more. Start it again.`)
    })
    await Promise.race([interrupted, crashed, watched(cluster, folder, stopping.signal)])
  } finally {
    stopping.abort()
    await server?.stop()
    await cluster.stop()
    log.end()
  }
  say('Stopped. Everything is kept.')
}

function certificateFor(https: Https, folder: string): Promise<Certificate> | Certificate | null {
  switch (https.kind) {
    case 'none':
      return null
    case 'own':
      return ownCertificate(join(folder, 'certificate'))
    case 'given':
      return readCertificate(https.certificateFile, https.keyFile)
  }
}

const OWN_CERTIFICATE = 'Browsers ask once whether to trust the certificate that was made here. Its fingerprint: '

/** Tells the link of this evening, for every address, and draws the first one to be read by a phone. */
async function sayLink(server: ServerProcess): Promise<void> {
  const key = await server.letIn()
  const links = server.addresses.map((address) => `${address}/in#${key}`)
  say('From another machine one comes in by this link, for the next 18 hours, as an owner:')
  for (const link of links) say(`  ${link}`)
  say(await toString(links[0] ?? '', process.stdout.isTTY ? { type: 'terminal', small: true } : { type: 'utf8' }))
}

/**
 * Starts the database again when it ends by itself, once there is room to write; throws when it ends
 * again soon after for another reason. Resolves when the database ends because it is being stopped.
 */
async function watched(cluster: Cluster, folder: string, stopping: AbortSignal): Promise<void> {
  let restarted = -Infinity
  for (;;) {
    await cluster.ended()
    if (stopping.aborted) return
    const hadToWait = await untilWritable(folder, say)
    if (!hadToWait && Date.now() - restarted < SOON)
      throw new Error(
        `The database ended by itself twice; what was answered is kept. ${folder}/cluster/log says more. Start again.`,
      )
    if (!hadToWait) say('The database ended by itself; starting it again.')
    try {
      await cluster.restart()
    } catch (error) {
      if (diskFault(folder) === null) throw error
      continue
    }
    restarted = Date.now()
    say('The database is back.')
  }
}

/** Resolves at the first Ctrl C or SIGTERM; later ones wait for the tidy end. */
function interruption(): Promise<void> {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => resolve())
  })
}

start().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(inWords(error))
    process.exit(1)
  },
)
