/** What a machine does to a running house: its disk is full, or its database comes late. */
import { spawnSync } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { afterEach, expect, it } from 'vitest'
import { startCluster } from '../../scripts/database/cluster'
import { freePort } from '../../scripts/ports'
import { diskFault } from '../../scripts/diskFault'
import { startServer } from '../../scripts/serve'
import { newFolder } from './folders'
import { postmasterOf } from './postmaster'
import { Start, stopAll, until } from './start'

afterEach(stopAll)

/** A disk of so many megabytes in a folder; false where this user may not have one. */
const smallDisk = (folder: string, megabytes: number, ...options: string[]) =>
  spawnSync('mount', ['-t', 'tmpfs', '-o', [`size=${megabytes}m,mode=755`, ...options].join(','), 'tmpfs', folder])
    .status === 0
const unmount = (folder: string) => spawnSync('umount', ['-l', folder])

const probed = newFolder()
const hasDisk = process.getuid?.() === 0 && smallDisk(probed, 110)
if (hasDisk) unmount(probed)

function fill(file: string): void {
  try {
    for (let size = 1 << 20; size >= 4096; size /= 2) for (;;) writeFileSync(file, Buffer.alloc(size), { flag: 'a' })
  } catch {
    // It is full.
  }
}

it.runIf(hasDisk)(
  'goes on by itself when there is room on the disk again, and says meanwhile that there is none',
  async () => {
    const disk = newFolder()
    smallDisk(disk, 110)
    try {
      const start = new Start({ DATA: disk, PORT: String(await freePort(4700)) })
      await start.says(/Ctrl C stops it/)
      const make = async () => {
        const body = JSON.stringify({ name: 'Another' })
        const response = await fetch(`${start.url}/api/shows`, { method: 'POST', body })
        return { status: response.status, words: await response.text() }
      }
      expect((await make()).status).toBe(200)
      fill(join(disk, 'filler'))
      let answer = await make()
      while (answer.status === 200) answer = await make()
      for (let i = 0; i < 20; i++) {
        expect(answer.status).toBe(503)
        expect(answer.words).toMatch(/The disk of the database is full|The database does not answer|is just starting/)
        answer = await make()
        await pause(50)
      }
      rmSync(join(disk, 'filler'))
      while ((await make()).status !== 200) await pause(100)
      if (start.said.includes('has stopped')) expect(start.said).toMatch(/The disk of .* is full\. Make room on it\./)
      expect(await start.signal('SIGTERM')).toBe(0)
    } finally {
      unmount(disk)
    }
  },
)

it('serves once its database is there, however late that comes', async () => {
  const folder = newFolder()
  const cluster = await startCluster(folder, () => undefined)
  process.kill(postmasterOf(folder), 'SIGKILL')
  await cluster.ended()
  const starting = startServer(cluster.address, {
    host: '127.0.0.1',
    port: await freePort(4740),
    hear: () => undefined,
  })
  await pause(1500)
  await cluster.restart()
  const server = await starting
  expect((await fetch(`${server.url}/api/shows`)).ok).toBe(true)
  await server.stop()
  await cluster.stop()
})

it('a database that is stopped while it is started again is stopped', async () => {
  const folder = newFolder()
  const cluster = await startCluster(folder, () => undefined)
  process.kill(postmasterOf(folder), 'SIGKILL')
  await cluster.ended()
  const again = cluster.restart()
  await cluster.stop()
  await again
  expect(() => process.kill(postmasterOf(folder), 0)).toThrow()
})

it.runIf(hasDisk)(
  'goes on by itself when a disk that turned to be read only can be written again, and says meanwhile that it cannot',
  async () => {
    const folder = newFolder()
    const start = new Start({ DATA: folder, PORT: String(await freePort(4760)) })
    await start.says(/Ctrl C stops it/)
    // The folder over itself, to be read only: what is open goes on as it was, what is opened from now on cannot write.
    spawnSync('mount', ['--bind', folder, folder])
    expect(spawnSync('mount', ['-o', 'remount,bind,ro', folder]).status).toBe(0)
    try {
      process.kill(postmasterOf(folder), 'SIGKILL')
      await start.says(/can only be read just now\. Make it writable\. The database has stopped/)
      expect((await fetch(`${start.url}/api/shows`)).status).toBe(503)
    } finally {
      unmount(folder)
    }
    await start.says(/The database is back/)
    await until(async () => (await fetch(`${start.url}/api/shows`)).ok)
    expect(await start.signal('SIGTERM')).toBe(0)
  },
)

it.runIf(hasDisk)(
  'says in one line that a disk can only be read, for a new folder and for one that is there',
  async () => {
    const disk = newFolder()
    smallDisk(disk, 110, 'ro')
    try {
      expect(diskFault(disk)).toMatch(/can only be read just now\. Make it writable\./)
      for (const folder of [disk, join(disk, 'new')]) {
        const start = new Start({ DATA: folder, PORT: '4790' })
        expect(await start.ended).toBe(1)
        expect(start.said.replace(/^npm warn.*\n/gm, '')).toMatch(
          /^(Making.*\n)?.* can only be read\. .*, and start again\.\n$/,
        )
      }
    } finally {
      unmount(disk)
    }
  },
)
