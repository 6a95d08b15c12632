import pg from 'pg'
import { chownSync, existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { startCluster } from '../../scripts/database/cluster'
import { isRoot, newestPrograms, ownerIds, runProgram } from '../../scripts/database/programs'
import { filesOf, newFolder } from './folders'
import { query } from './query'

const quiet = () => undefined
const start = (folder: string) => startCluster(folder, quiet)

/** A cluster with something in it, ended. */
async function withWork(): Promise<string> {
  const folder = newFolder()
  const cluster = await start(folder)
  await query(cluster, `create table work as select 'made by people' as what`)
  await cluster.stop()
  return folder
}

async function workIn(folder: string): Promise<unknown[]> {
  const cluster = await start(folder)
  try {
    return await query(cluster, 'select what from work')
  } finally {
    await cluster.stop()
  }
}

it('gives each of several that start at the same moment a port of its own', async () => {
  const clusters = await Promise.all([newFolder(), newFolder(), newFolder()].map(start))
  for (const [i, cluster] of clusters.entries())
    expect(await query(cluster, `select ${i} as own`)).toEqual([{ own: i }])
  expect(new Set(clusters.map(({ address }) => new URL(address).port)).size).toBe(clusters.length)
  for (const cluster of clusters) await cluster.stop()
})

/** A cluster as earlier releases and other programs make them. */
async function foreignCluster(owner: string): Promise<string> {
  const folder = newFolder()
  const secret = join(folder, 'password')
  writeFileSync(secret, 'secret', { mode: 0o600 })
  const data = join(folder, 'cluster')
  mkdirSync(data, { mode: 0o700 })
  if (isRoot) for (const path of [secret, data]) chownSync(path, ownerIds().uid, ownerIds().gid)
  await runProgram(newestPrograms(quiet), 'initdb', [
    '-D',
    data,
    '-U',
    owner,
    '-A',
    'scram-sha-256',
    `--pwfile=${secret}`,
  ])
  return folder
}

describe('the database in a folder of ours', () => {
  it('keeps what people made, start after start', async () => {
    const folder = await withWork()
    expect(await workIn(folder)).toEqual([{ what: 'made by people' }])
  })

  it('lets the server in as no superuser, and its owner not over the network', async () => {
    const cluster = await start(newFolder())
    const [role] = await query(
      cluster,
      'select rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname = user',
    )
    expect(role).toEqual({ rolsuper: false, rolcreatedb: false, rolcreaterole: false })
    const asOwner = new URL(cluster.address)
    asOwner.username = 'rhopander'
    await expect(new pg.Client({ connectionString: asOwner.href }).connect()).rejects.toThrow(/pg_hba|rejects/)
    await cluster.stop()
  })

  it('opens a cluster of an earlier release, whether its password is there or lost', async () => {
    const folder = await foreignCluster('rhopander')
    const first = await start(folder)
    await query(first, `create table work as select 'made by people' as what`)
    await first.stop()
    rmSync(join(folder, 'password'))
    expect(await workIn(folder)).toEqual([{ what: 'made by people' }])
  })

  it('refuses what it cannot open, says how to mend it, and takes nothing away', async () => {
    const broken = await withWork()
    renameSync(join(broken, 'cluster', 'PG_VERSION'), join(broken, 'kept'))
    const files = filesOf(broken)
    await expect(start(broken)).rejects.toThrow(/PG_VERSION is missing\. Nothing was changed\./)
    expect(filesOf(broken)).toEqual(files)
    renameSync(join(broken, 'kept'), join(broken, 'cluster', 'PG_VERSION'))
    expect(await workIn(broken)).toEqual([{ what: 'made by people' }])

    writeFileSync(join(broken, 'cluster', 'PG_VERSION'), '9\n')
    await expect(start(broken)).rejects.toThrow(/made by PostgreSQL 9, .* apt-get install postgresql-9.* To move to/s)
    expect(filesOf(broken).length).toBe(files.length)

    const others = await withWork()
    chownSync(join(others, 'cluster'), 12_345, 12_345)
    await expect(start(others)).rejects.toThrow(
      /did not start: .*(ownership|Permission denied)|cannot be read by this user/,
    )
    expect(existsSync(join(others, 'cluster', 'PG_VERSION'))).toBe(true)

    const foreign = await foreignCluster('somebody')
    await expect(start(foreign)).rejects.toThrow(/not Rhopander’s. Nothing in it was changed/)
    expect(existsSync(join(foreign, 'cluster', 'PG_VERSION'))).toBe(true)

    const filled = newFolder()
    mkdirSync(join(filled, 'cluster'))
    writeFileSync(join(filled, 'cluster', 'letter.txt'), 'Dear all')
    await expect(start(filled)).rejects.toThrow(/is no whole database/)
    expect(filesOf(filled)).toEqual(['cluster 4096', 'cluster/letter.txt 8'])
  })
})
