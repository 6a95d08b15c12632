/** Files of other programs beside the records that speak of them, in a real database. */
import { gunzipSync } from 'node:zlib'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { readShowDocument } from '#core/exchange/showFile'
import { commandId, personId, showId, windowId } from '#core/show/ids'
import { keptDigests, rigFilesOf } from '#core/show/keptFiles'
import { underlaysOf } from '#core/show/underlays'
import { backupOf } from '../../server/live/snapshot'
import { databaseFault } from '../../server/database/faults'
import { digestOf, filesOf, putFiles, storedSize } from '../../server/database/fileRepository'
import type { LiveShow } from '../../server/shows/liveShow'
import { ShowRegistry } from '../../server/shows/showRegistry'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { KEPT, KEPT_FILE, richDesk } from '../support/richShow'
import { THREADS_OF_HOUSE } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

let database: FreshDatabase
let house: ShowRegistry
let live: LiveShow
const rich = richDesk().show
beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  await house.keepShow(rich, [KEPT_FILE])
  live = (await house.show(rich.id)) ?? expect.fail('the show is there')
})
afterAll(async () => {
  await house.close()
  await database.drop()
})

const NOTHING = { types: [], hangs: [], fixtures: [], targets: [], pieces: [], typeFiles: [] }
const taking = (digest: string, size: number) => ({
  ...NOTHING,
  file: { ...KEPT, digest, size, rig: { mirrored: false, turn: 0, shift: { x: 0, y: 0, z: 0 }, replaces: null } },
})
let commands = 0
const run = (input: unknown) => {
  commands += 1
  const asker = { id: commandId.parse(`kept${commands}`), person: personId.parse('anna'), window: windowId.parse('w') }
  return live.run({ ...asker, name: 'takeRig', input, seenRevision: live.revision })
}
const take = (digest: string, size: number) => run(taking(digest, size))

it('are there once, whole, and go out with a back-up', async () => {
  await putFiles(house.knex, rich.id, [KEPT_FILE, KEPT_FILE])
  expect(await storedSize(house.knex, rich.id)).toBe(KEPT_FILE.length)
  const files = await filesOf(house.knex, rich.id, keptDigests(live.show))
  expect([...files].map(([digest, bytes]) => [digest, digestOf(bytes)])).toEqual([[KEPT.digest, KEPT.digest]])
  const packed = await backupOf(live, live.show, files, '2031-05-02T18:00:00.000Z')
  const read = readShowDocument(JSON.parse(gunzipSync(packed).toString('utf8')), showId.parse('again'))
  if (!read.ok) throw new Error(read.message)
  expect(Buffer.from(read.files[KEPT.digest] ?? '', 'base64').toString()).toBe('kept')
  await house.keepShow(read.show, [KEPT_FILE])
  const again = await house.show(showId.parse('again'))
  expect(again?.show.all.rigFile).toEqual(live.show.all.rigFile)
  expect(again?.show.all.underlay).toEqual(live.show.all.underlay)
  expect(again?.show.all.underlay.size).toBeGreaterThan(0)
})

it('are not spoken of where they are not, or are of another size', async () => {
  const before = rigFilesOf(live.show)
  for (const [digest, size] of [
    ['a'.repeat(64), 4],
    [KEPT.digest, 5],
  ] as const)
    await expect(take(digest, size)).rejects.toSatisfy(
      (error) => databaseFault(error)?.refusal.code === 'cannot be kept',
    )
  expect(rigFilesOf(live.show)).toEqual(before)
  expect((await take(KEPT.digest, KEPT_FILE.length)).ok).toBe(true)
  expect(rigFilesOf(live.show)).toHaveLength(before.length + 1)
})

it('lie under a plan only where they are', async () => {
  const [[, { venue, strength, visible, hidden, ...laid }] = expect.fail('nothing lies there')] = underlaysOf(live.show)
  const lost = run({ ...NOTHING, underlays: [{ ...laid, digest: 'c'.repeat(64) }] })
  await expect(lost).rejects.toSatisfy((error) => databaseFault(error)?.refusal.code === 'cannot be kept')
  expect((await run({ ...NOTHING, underlays: [{ ...laid, turn: 45 }] })).ok).toBe(true)
  expect(underlaysOf(live.show).map(([, underlay]) => underlay)).toEqual([
    { ...laid, turn: 45, venue, strength, visible, hidden },
  ])
})

it('cannot be stored under what they are not', async () => {
  const lie = { show_id: rich.id, digest: 'b'.repeat(64), size: 4, bytes: Buffer.from('kept') }
  await expect(house.knex('stored_file').insert(lie)).rejects.toThrow(/check constraint/)
})
