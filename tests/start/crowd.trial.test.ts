/** Eight people at work on two servers, which are killed at random moments, as is the database. */
import { setTimeout as pause } from 'node:timers/promises'
import { expect, it } from 'vitest'
import { startCluster, type Cluster } from '../../scripts/database/cluster'
import { freePort } from '../../scripts/ports'
import { startServer, type ServerProcess } from '../../scripts/serve'
import { seededRandom } from '#core/standIn/seededRandom'
import { KINDS } from '#core/show/kinds'
import { seeds, Tally } from '../support/rounds'
import { choose } from '#demo/choices'
import { newFolder } from './folders'
import { Person } from './person'
import { postmasterOf } from './postmaster'
import { query } from './query'

const tally = new Tally('Crowds under faults')
const SHOW = 'salt-lantern'
const PEOPLE = 8
const NUDGES = 30
const STEP = 0.01
/** Faults of each round, and the longest pause between two, milliseconds. */
const FAULTS = 3
const CALM = 1500

/** The servers and their database, which fall over and are started again. */
class Place {
  readonly #servers: ServerProcess[] = []

  private constructor(
    readonly folder: string,
    readonly cluster: Cluster,
    readonly ports: readonly number[],
  ) {}

  static async open(): Promise<Place> {
    const folder = newFolder()
    const cluster = await startCluster(folder, () => undefined)
    const first = await freePort(4900)
    const place = new Place(folder, cluster, [first, await freePort(first + 1)])
    for (const i of place.ports.keys()) await place.#start(i)
    return place
  }

  async #start(i: number): Promise<void> {
    this.#servers[i] = await startServer(this.cluster.address, {
      host: '127.0.0.1',
      port: this.ports[i] ?? 0,
      hear: () => undefined,
    })
  }

  address(i: number): string {
    return `http://127.0.0.1:${this.ports[i % this.ports.length]}`
  }

  async killServer(i: number): Promise<void> {
    await this.#servers[i]?.kill()
    await this.#start(i)
    tally.count('servers killed')
  }

  async killDatabase(): Promise<void> {
    process.kill(postmasterOf(this.folder), 'SIGKILL')
    await this.cluster.ended()
    await this.cluster.restart()
    tally.count('databases killed')
  }

  async close(): Promise<void> {
    for (const server of this.#servers) await server.kill()
    await this.cluster.stop()
  }
}

async function fall(place: Place, random: () => number): Promise<void> {
  for (let i = 0; i < FAULTS; i++) {
    await pause(random() * CALM)
    if (random() < 0.4) await place.killDatabase()
    else await place.killServer(Math.floor(random() * 2))
  }
}

/** Each has a target of their own, and moves it a little further every time, from where it is. */
async function work(person: Person, fixtures: readonly string[]): Promise<void> {
  const target = person.show && choose(person.show).target('Dory bow')
  await person.send(`${person.name}-aim`, 'aimAtTarget', {
    fixtures,
    target,
    offset: { x: 0, y: 0, z: 0 },
    along: null,
  })
  for (let i = 0; i < NUDGES; i++)
    await person.send(`${person.name}-${i}`, 'nudgeAim', { fixtures, by: { x: STEP, y: 0, z: 0 } })
}

const offsetsOf = (person: Person) =>
  [...(person.show?.all.handValue.values() ?? [])].flatMap(({ attribute, value }) =>
    attribute === 'position' && value.kind === 'aim' ? [value.offset.x] : [],
  )

it('lose nothing that was answered, do nothing twice, and all see the same in the end', async () => {
  for (const seed of seeds(1)) {
    const random = seededRandom(seed)
    const place = await Place.open()
    const people = Array.from(
      { length: PEOPLE },
      (_, i) => new Person(`person-${i}`, SHOW, () => place.address(Math.floor(random() * 2))),
    )
    await people[0]?.join()
    const numbers = choose(people[0]?.show ?? never()).fixtures('1-60')
    for (const person of people.slice(1)) await person.join()
    await Promise.all([fall(place, random), ...people.map((person, i) => work(person, numbers.slice(i, i + 1)))])
    const [first] = await query(place.cluster, `select revision from show where id = '${SHOW}'`)
    const revision = Number(Reflect.get(Object(first), 'revision'))
    for (const person of people) while (person.revision < revision) await pause(20)
    const done = await query(place.cluster, `select id from journal_entry where id like 'person-%'`)
    for (const { name, refusals, faults } of people) expect([name, refusals, faults]).toEqual([name, [], []])
    expect(done).toHaveLength(PEOPLE * (NUDGES + 1))
    for (const person of people) {
      expect(offsetsOf(person).map((x) => x.toFixed(6))).toEqual(
        Array.from({ length: PEOPLE }, () => (NUDGES * STEP).toFixed(6)),
      )
      for (const kind of KINDS) expect(person.show?.all[kind]).toEqual(people[0]?.show?.all[kind])
      tally.count('commands repeated', person.repeated)
      person.stop()
    }
    tally.count('commands answered', PEOPLE * (NUDGES + 1))
    await place.close()
  }
})

function never(): never {
  throw new Error('the show was fetched')
}
