/** Bodies and back-ups that are good but for a place or two, sent to a server as anybody can. */
import { gunzipSync, gzipSync } from 'node:zlib'
import { expect, it } from 'vitest'
import { z } from 'zod'
import { entryList, readSnapshot } from '../../app/session/responses'
import { startCluster } from '../../scripts/database/cluster'
import { freePort } from '../../scripts/ports'
import { startServer } from '../../scripts/serve'
import { seededRandom } from '#core/standIn/seededRandom'
import { faultsIn } from '#core/show/soundness'
import { mutated, mutatedBytes } from '../support/mutations'
import { COMMAND_NAMES, RandomArguments } from '../support/randomCommands'
import { seeds, Tally } from '../support/rounds'
import { newFolder } from './folders'
import { query } from './query'

const tally = new Tally('Bad input')
const SHOW = '/api/shows/salt-lantern'
const BODIES = 150
const FILES = 12

const refusal = z.object({ error: z.object({ code: z.string().min(1), message: z.string().min(1) }) })
const answers = z.object({ answers: z.array(z.union([refusal, z.object({ entry: z.unknown() })])) })

it('is refused in words and changes nothing; what is taken leaves a sound show; the server goes on', async () => {
  const folder = newFolder()
  const cluster = await startCluster(folder, () => undefined)
  const server = await startServer(cluster.address, {
    host: '127.0.0.1',
    port: await freePort(4950),
    hear: () => undefined,
  })
  let cookie = ''
  const ask = async (path: string, body?: BodyInit, type = 'application/json') => {
    const headers = { cookie, 'content-type': type }
    const response = await fetch(
      `${server.url}${path}`,
      body === undefined ? { headers } : { method: 'POST', headers, body },
    )
    cookie ||= response.headers.get('set-cookie')?.split(';')[0] ?? ''
    return response
  }
  const open = async () => readSnapshot(await (await ask(SHOW)).text())
  await ask(`${SHOW}/people`, '{}')
  const backup = new Uint8Array(await (await ask(`${SHOW}/backup`)).arrayBuffer())
  const document: unknown = JSON.parse(gunzipSync(backup).toString())

  for (const seed of seeds(1)) {
    const random = seededRandom(seed)
    let before = await open()
    for (let i = 0; i < BODIES; i++) {
      const args = new RandomArguments(before.show, [], random)
      const name = args.pick(COMMAND_NAMES.filter((one) => one !== 'restoreShow')) ?? 'goHome'
      const command = { id: `c${seed}-${i}`, name, input: args.forCommand(name), seenRevision: before.revision }
      const body = mutated({ window: 'w', commands: [command] }, random)
      const response = await ask(`${SHOW}/commands`, JSON.stringify(body))
      const told: unknown = await response.json()
      expect([seed, i, response.status < 500]).toEqual([seed, i, true])
      const isTaken = response.ok && answers.parse(told).answers.some((one) => 'entry' in one)
      if (!response.ok) refusal.parse(told)
      const since = entryList.parse(await (await ask(`${SHOW}/entries?since=${before.revision}`)).json())
      if (!isTaken) expect([seed, i, since.entries]).toEqual([seed, i, []])
      tally.count(isTaken ? 'bodies taken' : 'bodies refused')
      if (since.entries?.length === 0) continue
      before = await open()
      expect([seed, i, faultsIn(before.show)]).toEqual([seed, i, []])
    }
    for (let i = 0; i < FILES; i++) {
      const isTorn = random() < 0.4
      const file = isTorn ? mutatedBytes(backup, random) : gzipSync(JSON.stringify(mutated(document, random)))
      const count = async () =>
        Number(Reflect.get(Object((await query(cluster, 'select count(*) from show'))[0]), 'count'))
      const before = await count()
      const response = await ask('/api/shows/restore', Buffer.from(file), 'application/octet-stream')
      const told: unknown = await response.json()
      expect([seed, i, response.status < 500]).toEqual([seed, i, true])
      expect(await count()).toBe(before + (response.ok ? 1 : 0))
      if (response.ok) {
        const { id } = z.object({ id: z.string() }).parse(told)
        const restored = readSnapshot(await (await ask(`/api/shows/${id}`)).text())
        expect([seed, i, faultsIn(restored.show)]).toEqual([seed, i, []])
      } else refusal.parse(told)
      tally.count(response.ok ? 'back-ups taken' : 'back-ups refused')
    }
  }
  expect((await ask('/api/health')).ok).toBe(true)
  await server.stop()
  await cluster.stop()
})
