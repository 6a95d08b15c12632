import { freshDatabase } from '../../scripts/database/freshDatabase'
import { freePort } from '../../scripts/ports'
import { startServer } from '../../scripts/serve'
import { TEST_CLUSTER } from '../testCluster'
import { expect, openShowPage, record, select, test } from './app'

test.describe('the border of the application', () => {
  test('answers every fault in one shape a person can act on', async ({ application: { server }, request }) => {
    const post = (path: string, data: string | object, headers: Record<string, string> = {}) =>
      request.post(`${server}${path}`, { data, headers: { 'content-type': 'application/json', ...headers } })
    const namesOfShows = async () => {
      const { shows } = await (await request.get(`${server}/api/shows`)).json()
      return shows.map(({ name }: { name: string }) => name)
    }
    const before = await namesOfShows()
    const commands = '/api/shows/salt-lantern/commands'
    const clear = (input: object) => ({ id: 'x', name: 'clearHand', input, seenRevision: 0 })
    const faults = [
      [await post(commands, '{'), 400],
      [await post(commands, { id: 'x' }), 400],
      [await post(commands, { window: 'w', commands: [] }), 400],
      [await post('/api/shows/nowhere/commands', { window: 'w', commands: [clear({})] }), 404],
      [await post('/api/shows', { name: ' ' }), 400],
      [await request.get(`${server}/api/nothing`), 404],
      [await request.get(`${server}/api/shows/salt-lantern/events?since=soon`), 400],
      [await post('/api/shows', { name: 'Stolen' }, { origin: 'http://elsewhere.example' }), 403],
      [await request.get(`${server}/api/shows`, { headers: { host: 'elsewhere.example' } }), 403],
    ] as const
    for (const [response, status] of faults) {
      expect([response.url(), response.status()]).toEqual([response.url(), status])
      const { error } = await response.json()
      expect(error.code).toBeTruthy()
      expect(error.message).toMatch(/\.$/)
    }
    const refused = await post(commands, { window: 'w', commands: [clear({ families: ['smell'] })] })
    expect((await refused.json()).answers).toMatchObject([{ error: { code: 'bad input', field: 'families.0' } }])
    expect(await namesOfShows()).toEqual(before)
  })

  test('has a strict content policy and gives nothing to other origins', async ({
    application: { server },
    request,
  }) => {
    const headers = (await request.get(server)).headers()
    const policy = headers['content-security-policy'] ?? ''
    expect(policy).toContain("script-src 'self' 'nonce-")
    expect(policy).not.toContain('unsafe-inline')
    expect(policy).not.toContain('unsafe-eval')
    expect(headers['access-control-allow-origin']).toBeUndefined()
  })

  test('keeps so many lines open for a person, and no more', async ({ application: { server } }) => {
    const show = `${server}/api/shows/salt-lantern`
    const joined = await fetch(`${show}/people`, { method: 'POST', body: '{}' })
    const cookie = joined.headers.get('set-cookie')?.split(';')[0] ?? ''
    const open = (headers: Record<string, string>, { signal }: AbortController) =>
      fetch(`${show}/events?since=0`, { headers, signal }).then(({ status }) => status)
    const [lines, later] = [new AbortController(), new AbortController()]
    for (let i = 0; i < 24; i++) expect(await open({ cookie }, lines)).toBe(200)
    expect([await open({ cookie }, lines), await open({}, lines)]).toEqual([429, 200])
    lines.abort()
    await expect.poll(() => open({ cookie }, later)).toBe(200)
    later.abort()
  })

  test('refuses a body too large and keeps running', async ({ application: { server }, request }) => {
    const response = await request.post(`${server}/api/shows`, { data: { name: 'x'.repeat(9_000_000) } })
    expect(response.status()).toBe(413)
    expect((await request.get(`${server}/api/health`)).ok()).toBe(true)
  })
})

test('a hand survives reload, and a page that finds no server says so and comes back', async ({
  showPage,
  url,
  application: { server },
}) => {
  await showPage.getByRole('button', { name: /Palette 1 Dory bow/ }).click()
  await expect(showPage.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
  await openShowPage(showPage, url)
  await expect(showPage.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
  await showPage.goto(`${server}/shows/nowhere/focus`)
  await expect(showPage.getByRole('alert')).toHaveText('There is no such show here.')
  await showPage.getByRole('link', { name: 'Open another show' }).click()
  await expect(showPage.getByRole('group', { name: 'Stage plan' })).toBeVisible()
})

test('work goes on while the server is away, is kept over a reload, and is sent when it is back', async ({
  showPage,
}) => {
  let isLost = true
  await showPage.route(
    (address) => address.pathname.endsWith('/commands'),
    (route) => (isLost ? route.abort() : route.continue()),
  )
  await select(showPage, '12-17')
  await showPage.getByRole('button', { name: /Palette 1 Dory bow/ }).click()
  await showPage.getByRole('button', { name: /Palette 4 Jetty end/ }).click()
  await expect(showPage.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
  await expect(showPage.getByRole('status').filter({ hasText: 'Looking for the server · 2 wait' })).toBeVisible()
  await showPage.reload()
  await expect(showPage.getByRole('status').filter({ hasText: '2 wait' })).toBeVisible()
  isLost = false
  await expect(showPage.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
  await expect(showPage.getByText('Looking for the server')).toBeHidden()
  await showPage.getByRole('button', { name: /^Undo: recall Jetty end/ }).click()
  await expect(showPage.getByRole('button', { name: /^Undo: recall Dory bow/ })).toBeEnabled()
})

test('a server that is killed loses nothing it answered', async ({ page }) => {
  const database = await freshDatabase(TEST_CLUSTER)
  const first = await startServer(database.address, { host: '127.0.0.1', port: await freePort(4800) })
  await openShowPage(page, first.url)
  await select(page, '12-17')
  await page.getByRole('button', { name: /Palette 1 Dory bow/ }).click()
  await record(page, 'cue', { number: '77', name: 'Kept' })
  await page.getByRole('button', { name: /Palette 4 Jetty end/ }).click()
  await expect(page.getByRole('button', { name: /^Undo: recall Jetty end/ })).toBeEnabled()
  await first.kill()
  await expect(page.getByText('Looking for the server')).toBeVisible()

  const again = await startServer(database.address, { host: '127.0.0.1', port: Number(new URL(first.url).port) })
  await openShowPage(page, again.url)
  await expect(page.getByRole('group', { name: 'Cue on stage' })).toContainText('77 Kept')
  await expect(page.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
  await page.getByRole('button', { name: /^Undo: recall Jetty end/ }).click()
  await expect(page.getByText('In hand: 6 fixtures')).toBeHidden()
  await again.stop()
  await database.drop()
})
