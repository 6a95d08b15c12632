import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { request } from 'node:https'
import { join } from 'node:path'
import { json } from 'node:stream/consumers'
import { afterEach, describe, expect, it } from 'vitest'
import { freePort } from '../../scripts/ports'
import { newFolder } from './folders'
import { postmasterOf } from './postmaster'
import { Start, stopAll, until } from './start'

afterEach(stopAll)

const answers = (url: string) =>
  fetch(`${url}/api/health`).then(
    (response) => response.ok,
    () => false,
  )

/** Asks as a program does that knows the certificate but not the name it is asked by. */
function askSecurely(url: string, ca: Buffer, body?: object) {
  const headers = { 'content-type': 'application/json' }
  const options = { ca, servername: 'localhost', method: body ? 'POST' : 'GET', headers }
  return new Promise<{ status: number | undefined; cookie: string; body: unknown }>((resolve, reject) => {
    const asking = request(url, options, (response) => {
      const cookie = response.headers['set-cookie']?.[0] ?? ''
      json(response).then((answer) => resolve({ status: response.statusCode, cookie, body: answer }), reject)
    })
    asking.once('error', reject)
    asking.end(body && JSON.stringify(body))
  })
}

/** The processes that have something to do with a folder or serve at a port, by number. */
function processesOf(mark: string): number[] {
  return readdirSync('/proc')
    .map(Number)
    .filter((number) => {
      try {
        return number !== process.pid && commandOf(number).includes(mark)
      } catch {
        return false
      }
    })
}

const commandOf = (number: number) =>
  readFileSync(`/proc/${number}/cmdline`, 'utf8') + readFileSync(`/proc/${number}/environ`, 'utf8')

async function started(folder: string): Promise<Start> {
  const start = new Start({ DATA: folder, PORT: String(await freePort(4700)) })
  await start.says(/is ready/)
  return start
}

describe('npm start', () => {
  it('goes on when the database dies, and leaves nothing running when it is stopped or killed itself', async () => {
    const folder = newFolder()
    const first = await started(folder)
    process.kill(postmasterOf(folder), 'SIGKILL')
    await first.says(/The database is back/)
    await until(() => answers(first.url))
    expect(await first.signal('SIGTERM')).toBe(0)
    expect(first.said).toMatch(/Stopped\. Everything is kept\.\n$/)
    expect(processesOf(folder)).toEqual([])

    const second = await started(folder)
    await second.signal('SIGKILL')
    await until(() => processesOf(folder).length === 0)
    const third = await started(folder)
    expect(await answers(third.url)).toBe(true)
  })

  it('is there once for a folder, and says so', async () => {
    const folder = newFolder()
    const first = await started(folder)
    const second = new Start({ DATA: folder, PORT: '4790' })
    expect(await second.ended).toBe(1)
    expect(second.said).toBe(
      `Rhopander is already running from this folder: ${first.url}. Open that page, or stop it first.\n`,
    )
    expect(await answers(first.url)).toBe(true)
  })

  it('does not serve with more rights than an ordinary user has', async () => {
    const first = await started(newFolder())
    const { process: server } = await (await fetch(`${first.url}/api/health`)).json()
    const ids = () =>
      readFileSync(`/proc/${server}/status`, 'utf8')
        .match(/^Uid:\t.*$/m)?.[0]
        .split('\t')
        .slice(1)
    await until(() => ids()?.includes('0') === false)
    expect(await answers(first.url)).toBe(true)
  })

  it('prints a link for the network by which one comes in, over HTTPS where that is wanted', async () => {
    const folder = newFolder()
    const port = String(await freePort(4700))
    const start = new Start({ DATA: folder, PORT: port, HOST: '0.0.0.0', HTTPS: 'yes' })
    await start.says(/Ctrl C stops it/)
    expect(start.said).toMatch(/Its fingerprint: ([0-9A-F]{2}:){31}[0-9A-F]{2}\n/)
    const ca = readFileSync(join(folder, 'certificate', 'certificate.pem'))
    const [, key = ''] = /https:\S+\/in#(\S+)/.exec(start.said) ?? []
    // By an address that is not one of the loopback names, as from elsewhere.
    const ask = (path: string, body?: object) => askSecurely(`https://127.0.0.2:${port}${path}`, ca, body)
    expect(await ask('/api/shows')).toMatchObject({ status: 401 })
    expect(await ask('/api/in', { key: key.slice(1), name: null })).toMatchObject({ status: 401 })
    const entered = await ask('/api/in', { key, name: 'Ida' })
    expect(entered.body).toEqual({ role: 'owns', show: null })
    expect(entered.cookie).toMatch(/; HttpOnly; Secure; SameSite=Strict$/)
  })

  it('says in one line what is wrong with its settings, and makes nothing', async () => {
    const folder = newFolder()
    const faults = [
      [{ PORT: 'high' }, /^PORT must be a number from 1 to 65535; it is “high”\. Correct it.*\n$/],
      [{ PORT: '70000' }, /^PORT must be at most 65535; it is “70000”\..*\n$/],
      [{ HOST: '192.0.2.1' }, /^This machine has no address 192\.0\.2\.1\. Set HOST.*\n$/],
      [{ HTTPS: 'maybe' }, /^HTTPS must be yes or no; it is “maybe”\..*\n$/],
      [{ CERTIFICATE: 'package.json' }, /^CERTIFICATE needs CERTIFICATE_KEY beside it.*\n$/],
      [
        { CERTIFICATE: 'package.json', CERTIFICATE_KEY: 'package.json' },
        /^CERTIFICATE and CERTIFICATE_KEY do not make a certificate to serve with: .*\n$/,
      ],
      [{ DATA: 'package.json/data' }, /package.json.* is no folder.*and start again\.\n$/],
    ] as const
    for (const [settings, words] of faults) {
      const start = new Start({ DATA: folder, ...settings })
      expect(await start.ended).toBe(1)
      expect(start.said.replace(/^npm warn.*\n/gm, '')).toMatch(words)
    }
    expect(existsSync(join(folder, 'cluster'))).toBe(false)
  })
})
