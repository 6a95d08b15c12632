import type { APIRequestContext } from '@playwright/test'
import { freshDatabase } from '../../scripts/database/freshDatabase'
import { freePort } from '../../scripts/ports'
import { startServer, type ServerProcess } from '../../scripts/serve'
import { TEST_CLUSTER } from '../testCluster'
import { expect, expectAccessible, openShowPage, select, test as withDemo } from './app'

interface Fixtures {
  /** A server that can be reached over the network, with the demo show. */
  server: ServerProcess
  /** Where it stands for this machine, and where others reach it: by an address that no loopback name says. */
  here: string
  there: string
}

const test = withDemo.extend<Fixtures>({
  server: async ({}, use, { workerIndex }) => {
    const database = await freshDatabase(TEST_CLUSTER)
    const server = await startServer(database.address, {
      host: '0.0.0.0',
      port: await freePort(4540 + workerIndex * 100),
    })
    await use(server)
    await server.kill()
    await database.drop()
  },
  here: async ({ server }, use) => use(server.url),
  there: async ({ server }, use) => use(server.url.replace('127.0.0.1', '127.0.0.2')),
})

const SHOW = '/api/shows/salt-lantern'
const json = { 'content-type': 'application/json' }
const post = (from: APIRequestContext, url: string, data: object) => from.post(url, { data, headers: json })
const command = (name: string, input: object, seenRevision = 0) => ({
  window: 'w',
  commands: [{ id: `${name}-${Math.random()}`, name, input, seenRevision }],
})

test('over the network nobody comes in without a link, whatever they say they are', async ({
  here,
  there,
  request,
  playwright,
}) => {
  expect((await request.get(`${here}/api/shows`)).ok()).toBe(true)
  const { person } = await (await post(request, `${here}${SHOW}/people`, {})).json()
  const strangers: { url: string; headers: Record<string, string> }[] = [
    { url: there, headers: {} },
    { url: here, headers: { 'x-forwarded-for': '192.0.2.9' } },
    { url: there, headers: { cookie: `rhopander-person=${person}` } },
  ]
  for (const { url, headers } of strangers) {
    const stranger = await playwright.request.newContext({ extraHTTPHeaders: headers })
    for (const path of [
      '/api/shows',
      SHOW,
      `${SHOW}/backup`,
      `${SHOW}/open`,
      `${SHOW}/trackers`,
      `${SHOW}/controls`,
      `${SHOW}/events?since=0`,
      `${SHOW}/output`,
      `${SHOW}/links`,
    ])
      expect([path, headers, (await stranger.get(`${url}${path}`)).status()]).toEqual([path, headers, 401])
    const written = await post(stranger, `${url}${SHOW}/commands`, command('setBlind', { blind: true }))
    expect(written.status()).toBe(401)
    await stranger.dispose()
  }
  const guess = () => post(request, `${there}/api/in`, { key: 'x'.repeat(32), name: null })
  const guesses = []
  for (let i = 0; i < 6; i++) guesses.push((await guess()).status())
  expect(guesses).toEqual([401, 401, 401, 401, 401, 429])
})

test('a role does what it says and no more, in the show its link is for', async ({
  here,
  there,
  request,
  playwright,
}) => {
  const { id: other } = await (await post(request, `${here}/api/shows`, { name: 'Another' })).json()
  const may: Record<string, unknown> = {}
  for (const role of ['watches', 'walks the stage', 'programs', 'owns']) {
    const { key } = await (await post(request, `${here}${SHOW}/links`, { role, label: role, hours: 1 })).json()
    const guest = await playwright.request.newContext()
    const entered = await post(guest, `${there}/api/in`, { key, name: role })
    expect(await entered.json()).toEqual({ role, show: 'salt-lantern' })
    const { shows } = await (await guest.get(`${there}/api/shows`)).json()
    expect(shows).toHaveLength(1)
    await post(guest, `${there}${SHOW}/people`, {})
    const { revision } = await (await guest.get(`${there}${SHOW}`)).json()
    const ran = async (name: string, input: object) => {
      const { answers } = await (await post(guest, `${there}${SHOW}/commands`, command(name, input, revision))).json()
      return answers[0].error === undefined
    }
    may[role] = [
      (await guest.get(`${there}${SHOW}`)).ok(),
      await ran('setBlind', { blind: true }),
      await ran('addLayer', { name: `Layer of ${role}` }),
      (await post(guest, `${there}${SHOW}/versions`, { name: 'Kept' })).ok(),
      (await guest.get(`${there}${SHOW}/links`)).ok(),
      (await guest.get(`${there}/api/shows/${other}`)).ok(),
      (await post(guest, `${there}/api/shows`, { name: 'Third' })).ok(),
    ]
    await guest.dispose()
  }
  expect(may).toEqual({
    watches: [true, false, false, false, false, false, false],
    'walks the stage': [true, true, false, false, false, false, false],
    programs: [true, true, true, true, false, false, false],
    owns: [true, true, true, true, true, false, false],
  })
})

test('an owner makes a link, sees who came in by it, and ends it', async ({ page, elsewhere, here, there }) => {
  await openShowPage(page, here)
  await page.getByRole('button', { name: /show menu/ }).click()
  await page.getByRole('menuitem', { name: 'People and links' }).click()
  const people = page.getByRole('list', { name: 'People' })
  await people.getByLabel('You are called').fill('Nora')
  await people.getByLabel('You are called').press('Enter')
  await page.getByRole('radio', { name: 'walks the stage' }).click()
  await page.getByLabel('For whom').fill('The associate')
  await page.getByRole('button', { name: 'Make link' }).click()
  await expect(page.getByRole('img', { name: 'The link, to be read by a phone' })).toBeVisible()
  const key = (await page.getByLabel('The link', { exact: true }).inputValue()).split('#')[1]
  await expectAccessible(page)

  const guest = await elsewhere({ viewport: { width: 1280, height: 800 } })
  await guest.goto(there)
  await expect(guest.getByRole('alert')).toHaveText(/You need a link/)
  await guest.goto(`${there}/in#${key}`)
  await expectAccessible(guest)
  await guest.getByLabel(/Your name/).fill('Mads')
  await guest.getByRole('button', { name: 'Come in' }).click()
  await expect(guest.getByText(/No pass has been begun at Harbour Hall yet/)).toBeVisible()
  await expectAccessible(guest)
  await guest.getByRole('link', { name: 'Look at the stage' }).click()
  await expect(guest.getByRole('group', { name: 'Stage plan' })).toBeVisible()
  expect(guest.url()).not.toContain(key)
  await select(guest, '12-17')
  await guest.getByRole('button', { name: /Palette 1 Dory bow/ }).click()
  await expect(guest.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
  await guest.getByRole('button', { name: 'Clear', exact: true }).click()
  await guest.getByRole('button', { name: 'Next cue' }).click()
  await expect(guest.getByRole('alert')).toHaveText(/who walks the stage checks palettes/)

  await expect(people.getByText('Mads')).toBeVisible()
  await page.getByRole('button', { name: 'End the link for The associate' }).click()
  await expect(guest.getByText(/You need a link to come in here/)).toBeVisible()
  await expect(page.getByRole('list', { name: 'Links' })).toContainText('No link lets anybody in')
  await page.getByRole('button', { name: 'Take out Demo' }).click()
  await expect(people.getByText('Demo')).toBeHidden()
})
