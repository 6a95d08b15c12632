import { spawn, type ChildProcess } from 'node:child_process'
import { setTimeout as pause } from 'node:timers/promises'
import { expect } from 'vitest'

/** `npm start` as a person runs it. */
export class Start {
  said = ''
  readonly ended: Promise<number | null>
  readonly #child: ChildProcess

  constructor(settings: Record<string, string>) {
    this.#child = spawn(process.execPath, ['scripts/run.mjs', 'start'], {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...settings },
    })
    const hear = (chunk: Buffer) => (this.said += chunk.toString())
    this.#child.stdout?.on('data', hear)
    this.#child.stderr?.on('data', hear)
    this.ended = new Promise((resolve) => this.#child.once('close', resolve))
    begun.push(this)
  }

  get url(): string {
    return /ready: (\S+)/.exec(this.said)?.[1] ?? ''
  }

  async says(words: RegExp): Promise<void> {
    await until(() => words.test(this.said) || this.#child.exitCode !== null)
    expect(this.said).toMatch(words)
  }

  signal(signal: NodeJS.Signals): Promise<number | null> {
    this.#child.kill(signal)
    return this.ended
  }
}

const begun: Start[] = []

/** Stops what a test left running. */
export async function stopAll(): Promise<void> {
  for (const start of begun.splice(0)) await start.signal('SIGTERM')
}

export async function until(isSo: () => boolean | Promise<boolean>): Promise<void> {
  while (!(await isSo())) await pause(50)
}
