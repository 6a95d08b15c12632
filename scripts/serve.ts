/** Runs the built server as a child and waits until it answers. */
import { spawn, type ChildProcess } from 'node:child_process'
import { setTimeout as pause } from 'node:timers/promises'
import { z } from 'zod'

export interface ServerProcess {
  readonly url: string
  /** Resolves when the server ends, by itself or stopped. */
  readonly ended: Promise<void>
  stop(): Promise<void>
  /** Ends it at once, without a chance to tidy up. */
  kill(): Promise<void>
}

const LONGEST_START = 60_000
/** Debian's user that owns nothing. */
const NOBODY = { uid: 65534, gid: 65534 }

/**
 * Starts the built server against a database; throws with its last words when it does not come up.
 * It ends when this process does. Started by root it goes on as an ordinary user. `hear` gets what
 * it writes into its log.
 */
export async function startServer(
  databaseAddress: string,
  host: string,
  port: number,
  hear: (chunk: Buffer) => void = (chunk) => process.stderr.write(chunk),
): Promise<ServerProcess> {
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'pipe', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      NITRO_SHUTDOWN_TIMEOUT: '2000',
      NUXT_DATABASE_URL: databaseAddress,
    },
  })
  let lastWords = ''
  child.stderr?.on('data', (chunk: Buffer) => {
    lastWords = (lastWords + chunk.toString()).slice(-4000)
    hear(chunk)
  })
  const ended = new Promise<void>((resolve) => child.once('close', () => resolve()))
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`
  try {
    await answering(url, child)
  } catch (error) {
    child.kill('SIGKILL')
    throw new Error(`The server did not start. ${lastWords}`, { cause: error })
  }
  if (process.getuid?.() === 0) child.send({ workAs: NOBODY })
  return {
    url,
    ended,
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

const health = z.object({ process: z.number() })

/** Waits until this very server answers, and not another that has its port. */
async function answering(url: string, child: ChildProcess): Promise<void> {
  const deadline = Date.now() + LONGEST_START
  while (Date.now() < deadline) {
    if (child.exitCode !== null) throw new Error(`it ended with code ${child.exitCode}`)
    const answer: unknown = await fetch(`${url}/api/health`).then(
      (response) => response.json(),
      () => null,
    )
    if (health.safeParse(answer).data?.process === child.pid) return
    await pause(100)
  }
  throw new Error('it did not answer within a minute')
}
