/** Runs the built server as a child and waits until it answers. */
import { spawn, type ChildProcess } from 'node:child_process'
import { get as getPlain } from 'node:http'
import { get as getSecurely } from 'node:https'
import { json } from 'node:stream/consumers'
import { setTimeout as pause } from 'node:timers/promises'
import { z } from 'zod'
import type { Certificate } from './certificate'
import { inUrl, reachOf } from './reach'

export interface ServerProcess {
  readonly url: string
  /** Where people on other machines reach it. */
  readonly addresses: readonly string[]
  /** Resolves when the server ends, by itself or stopped. */
  readonly ended: Promise<void>
  /** Makes a link for this evening; resolves to its key. */
  letIn(): Promise<string>
  stop(): Promise<void>
  /** Ends it at once, without a chance to tidy up. */
  kill(): Promise<void>
}

export interface Serving {
  readonly host: string
  readonly port: number
  /** What it serves with over HTTPS; left out, over HTTP. */
  readonly certificate?: Certificate | null
  /** Gets what it writes into its log. */
  hear?(chunk: Buffer): void
}

const LONGEST_START = 60_000
/** Debian's user that owns nothing. */
const NOBODY = { uid: 65534, gid: 65534 }
const EVERYWHERE: Readonly<Record<string, string>> = { '0.0.0.0': '127.0.0.1', '::': '::1' }

/**
 * Starts the built server against a database; throws with its last words when it does not come up.
 * It ends when this process does. Started by root it goes on as an ordinary user.
 */
export async function startServer(databaseAddress: string, serving: Serving): Promise<ServerProcess> {
  const { host, port, certificate = null, hear = (chunk: Buffer) => process.stderr.write(chunk) } = serving
  const { names, addresses } = reachOf(host, port, certificate?.certificate ?? null)
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'pipe', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      NITRO_SHUTDOWN_TIMEOUT: '2000',
      NUXT_DATABASE_URL: databaseAddress,
      NUXT_ALLOWED_HOSTS: [process.env.NUXT_ALLOWED_HOSTS ?? '', ...names].filter(Boolean).join(','),
      NUXT_ADDRESSES: addresses.join(' '),
      ...(certificate && { NITRO_SSL_CERT: certificate.certificate, NITRO_SSL_KEY: certificate.key }),
    },
  })
  let lastWords = ''
  child.stderr?.on('data', (chunk: Buffer) => {
    lastWords = (lastWords + chunk.toString()).slice(-4000)
    hear(chunk)
  })
  const ended = new Promise<void>((resolve) => child.once('close', () => resolve()))
  const url = `${certificate ? 'https' : 'http'}://${inUrl(EVERYWHERE[host] ?? host)}:${port}`
  try {
    await answering(url, child)
  } catch (error) {
    child.kill('SIGKILL')
    throw new Error(`The server did not start. ${lastWords}`, { cause: error })
  }
  if (process.getuid?.() === 0) child.send({ workAs: NOBODY })
  return {
    url,
    addresses,
    ended,
    letIn: () => eveningKey(child),
    stop: async () => {
      child.kill('SIGTERM')
      const force = setTimeout(() => child.kill('SIGKILL'), 8000)
      await ended
      clearTimeout(force)
    },
    kill: async () => {
      child.kill('SIGKILL')
      await ended
    },
  }
}

const eveningAnswer = z.object({ eveningKey: z.string() })

function eveningKey(child: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    const hear = (message: unknown) => {
      const { data } = eveningAnswer.safeParse(message)
      if (!data) return
      child.off('message', hear)
      resolve(data.eveningKey)
    }
    child.on('message', hear)
    child.once('close', () => reject(new Error('The server ended before it made a link.')))
    child.send({ letIn: 'this evening' })
  })
}

const health = z.object({ process: z.number() })

/** Waits until this very server answers, and not another that has its port. */
async function answering(url: string, child: ChildProcess): Promise<void> {
  const deadline = Date.now() + LONGEST_START
  while (Date.now() < deadline) {
    if (child.exitCode !== null) throw new Error(`it ended with code ${child.exitCode}`)
    const answer = await ask(`${url}/api/health`).catch(() => null)
    if (health.safeParse(answer).data?.process === child.pid) return
    await pause(100)
  }
  throw new Error('it did not answer within a minute')
}

/** The JSON at an address of our own server, whatever its certificate is called. */
function ask(url: string): Promise<unknown> {
  return new Promise((resolve, reject) => {
    const asking = url.startsWith('https:') ? getSecurely(url, { rejectUnauthorized: false }) : getPlain(url)
    asking.once('error', reject)
    asking.once('response', (response) => resolve(json(response)))
  })
}
