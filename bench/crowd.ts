/**
 * A crowd at one server over the network: how long eight people at ten commands a second wait, and
 * how much more memory the server holds after a hundred thousand commands than after a thousand.
 */
import { mkdtempSync, readFileSync, rmSync, chmodSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { z } from 'zod'
import { readSnapshot } from '../app/session/responses'
import { startCluster } from '../scripts/database/cluster'
import { freePort } from '../scripts/ports'
import { startServer } from '../scripts/serve'
import { choose } from '#demo/choices'
import { seededRandom } from '#core/standIn/seededRandom'

const SHOW = '/api/shows/salt-lantern'
const PEOPLE = 8
const EVERY = 100
const SECONDS = Number(process.env['CROWD_SECONDS'] ?? 60)
const COMMANDS = Number(process.env['CROWD_COMMANDS'] ?? 100_000)
const FIRST = 1000
const TOGETHER = 50

const answered = z.object({ answers: z.array(z.object({ error: z.object({ message: z.string() }).optional() })) })

/** Somebody with a browser’s cookie, who works on fixtures and a target of their own. */
class Person {
  #cookie = ''
  #revision = 0
  #sent = 0

  constructor(
    readonly name: string,
    readonly url: string,
    readonly random: () => number,
  ) {}

  async #fetch(path: string, body?: object): Promise<Response> {
    const headers = { cookie: this.#cookie, 'content-type': 'application/json' }
    const response = await fetch(
      `${this.url}${path}`,
      body ? { method: 'POST', headers, body: JSON.stringify(body) } : { headers },
    )
    this.#cookie ||= response.headers.get('set-cookie')?.split(';')[0] ?? ''
    return response
  }

  async join() {
    await this.#fetch(`${SHOW}/people`, { name: this.name })
    const { show, revision } = readSnapshot(await (await this.#fetch(SHOW)).text())
    this.#revision = revision
    return show
  }

  #command(fixtures: readonly string[], target: string) {
    const by = () => this.random() * 0.1 - 0.05
    const what = this.random()
    const id = `${this.name}-${this.#sent++}`
    const seenRevision = this.#revision
    if (this.#sent % 40 === 1)
      return {
        id,
        seenRevision,
        name: 'aimAtTarget',
        input: { fixtures, target, offset: { x: 0, y: 0, z: 0 }, along: null },
      }
    if (what < 0.6) return { id, seenRevision, name: 'nudgeAim', input: { fixtures, by: { x: by(), y: by(), z: 0 } } }
    const number = Math.round(this.random() * 100) / 100
    return {
      id,
      seenRevision,
      name: 'setValue',
      input: { fixtures, attribute: 'intensity', value: { kind: 'number', number } },
    }
  }

  /** Sends so many commands together; resolves to how long that took, milliseconds. */
  async work(fixtures: readonly string[], target: string, many = 1): Promise<number> {
    const commands = Array.from({ length: many }, () => this.#command(fixtures, target))
    const asked = performance.now()
    const response = await this.#fetch(`${SHOW}/commands`, { window: `${this.name}-window`, commands })
    const { answers } = answered.parse(await response.json())
    for (const { error } of answers) if (error) throw new Error(error.message)
    return performance.now() - asked
  }
}

const megabytes = (process: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${process}/status`, 'utf8'))?.[1]) / 1024

function percentile(sorted: readonly number[], of: number): string {
  return (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * of))] ?? NaN).toFixed(1)
}

async function measure(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'rhopander-bench-'))
  chmodSync(folder, 0o755)
  const cluster = await startCluster(folder, () => undefined)
  const server = await startServer(cluster.address, { host: '127.0.0.1', port: await freePort(4970) })
  try {
    const people = Array.from({ length: PEOPLE }, (_, i) => new Person(`person-${i}`, server.url, seededRandom(i + 1)))
    const shows = []
    for (const person of people) shows.push(await person.join())
    const [show] = shows
    if (!show) throw new Error('the show was fetched')
    const fixtures = choose(show).fixtures('1-60')
    const target = choose(show).target('Dory bow')
    const own = (i: number) => fixtures.slice(i * 3, i * 3 + 3)
    for (const [i, person] of people.entries()) await person.work(own(i), target)

    const waits: number[] = []
    const until = performance.now() + SECONDS * 1000
    await Promise.all(
      people.map(async (person, i) => {
        for (let next = performance.now() + i * (EVERY / PEOPLE); next < until; next += EVERY) {
          await pause(Math.max(0, next - performance.now()))
          waits.push(await person.work(own(i), target))
        }
      }),
    )
    waits.sort((a, b) => a - b)
    console.log(
      `${PEOPLE} people, ${1000 / EVERY} commands a second each, ${SECONDS} s: ${waits.length} commands; median ${percentile(waits, 0.5)} ms, p99 ${percentile(waits, 0.99)} ms, longest ${percentile(waits, 1)} ms`,
    )

    const { process: number } = z
      .object({ process: z.number() })
      .parse(await (await fetch(`${server.url}/api/health`)).json())
    const load = async (many: number) => {
      for (let done = 0; done < many; done += TOGETHER * PEOPLE)
        await Promise.all(people.map((person, i) => person.work(own(i), target, TOGETHER)))
      return megabytes(number)
    }
    const early = await load(FIRST)
    const begun = performance.now()
    const late = await load(COMMANDS - FIRST)
    const rate = ((COMMANDS - FIRST) / (performance.now() - begun)) * 1000
    console.log(
      `memory of the server after ${FIRST} more commands ${early.toFixed(0)} MB, after ${COMMANDS} ${late.toFixed(0)} MB (${(late - early).toFixed(0)} more); ${rate.toFixed(0)} commands a second`,
    )
  } finally {
    await server.stop()
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

await measure()
