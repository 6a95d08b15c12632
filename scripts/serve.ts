/** Runs the built server as a child and waits until it answers. */
import { spawn, type ChildProcess } from 'node:child_process'
import { setTimeout as pause } from 'node:timers/promises'

export interface ServerProcess {
  readonly url: string
  /** Resolves when the server ends, by itself or stopped. */
  readonly ended: Promise<void>
  stop(): Promise<void>
  /** Ends it at once, without a chance to tidy up. */
  kill(): Promise<void>
}

/** Starts the built server against a database; throws with its last words when it does not come up. */
export async function startServer(databaseAddress: string, host: string, port: number): Promise<ServerProcess> {
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'pipe'],
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
  child.stderr.on('data', (chunk: Buffer) => {
    lastWords = (lastWords + chunk.toString()).slice(-4000)
    process.stderr.write(chunk)
  })
  const ended = new Promise<void>((resolve) => child.once('close', () => resolve()))
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`
  try {
    await answering(url, child)
  } catch (error) {
    child.kill('SIGKILL')
    throw new Error(`The server did not start. ${lastWords}`, { cause: error })
  }
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

async function answering(url: string, child: ChildProcess): Promise<void> {
  const deadline = Date.now() + 60_000
  while (Date.now() < deadline) {
    if (child.exitCode !== null) throw new Error(`it ended with code ${child.exitCode}`)
    const isUp = await fetch(`${url}/api/health`).then(
      (response) => response.ok,
      () => false,
    )
    if (isUp) return
    await pause(100)
  }
  throw new Error('it did not answer within a minute')
}
