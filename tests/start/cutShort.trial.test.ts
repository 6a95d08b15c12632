import { spawn } from 'node:child_process'
import { setTimeout as pause } from 'node:timers/promises'
import { expect, it } from 'vitest'
import { startCluster } from '../../scripts/database/cluster'
import { seededRandom } from '#core/standIn/seededRandom'
import { seeds, Tally } from '../support/rounds'
import { newFolder } from './folders'
import { query } from './query'

/** A first start takes about this long here, milliseconds. */
const FIRST_START = 3000

const tally = new Tally('First starts cut short')

/** Begins a first start and kills it, with everything it started, after a while. */
async function cutShort(folder: string, after: number): Promise<void> {
  const first = spawn(process.execPath, ['--import', 'tsx', 'tests/start/startAndWait.ts', folder], { detached: true })
  const ended = new Promise((resolve) => first.once('close', resolve))
  await new Promise((resolve) => first.stdout.once('data', resolve))
  await pause(after)
  process.kill(-Number(first.pid), 'SIGKILL')
  await ended
}

it('a first start that is cut short at any moment leaves a start that works', async () => {
  for (const seed of seeds(2)) {
    const random = seededRandom(seed)
    const folder = newFolder()
    await cutShort(folder, random() * FIRST_START)
    const cluster = await startCluster(folder, () => undefined)
    expect(await query(cluster, 'select 1 as one')).toEqual([{ one: 1 }])
    await cluster.stop()
    tally.count('starts after a kill')
  }
})
