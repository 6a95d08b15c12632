/** A running application of its own for every test: fresh database, the demo show, the built server. */
import AxeBuilder from '@axe-core/playwright'
import {
  expect,
  test as base,
  type BrowserContext,
  type BrowserContextOptions,
  type Locator,
  type Page,
} from '@playwright/test'
import { freePort } from '../../scripts/ports'
import { startServer } from '../../scripts/serve'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { TEST_CLUSTER } from '../testCluster'

interface Fixtures {
  /** Address of the application; going there opens the demo show. */
  url: string
  /** The demo show, opened in Focus. */
  showPage: Page
  /** Opens a window of somebody else; it is closed with the test. */
  elsewhere: (options?: BrowserContextOptions) => Promise<Page>
}

interface WorkerFixtures {
  /** A database with the demo show in it, to begin each test from a copy of. */
  demo: FreshDatabase
}

const serve = async ({ address }: FreshDatabase, workerIndex: number) =>
  startServer(address, { host: '127.0.0.1', port: await freePort(4500 + workerIndex * 100) })

export const test = base.extend<Fixtures, WorkerFixtures>({
  demo: [
    async ({}, use, { workerIndex }) => {
      const database = await freshDatabase(TEST_CLUSTER)
      const server = await serve(database, workerIndex)
      const shows = await fetch(`${server.url}/api/shows`)
      if (!shows.ok) throw new Error('the demo was not loaded')
      await server.stop()
      await use(database)
      await database.drop()
    },
    { scope: 'worker' },
  ],
  url: async ({ demo }, use, { workerIndex }) => {
    const database = await freshDatabase(TEST_CLUSTER, demo)
    const server = await serve(database, workerIndex)
    await use(server.url)
    // Pages still listen to it: it would wait for them.
    await server.kill()
    await database.drop()
  },
  showPage: async ({ page, url }, use) => {
    const troubles: string[] = []
    page.on('pageerror', (error) => troubles.push(String(error)))
    await openShowPage(page, url)
    await use(page)
    expect(troubles).toEqual([])
  },
  elsewhere: async ({ browser }, use) => {
    const contexts: BrowserContext[] = []
    await use(async (options) => {
      const context = await browser.newContext(options)
      contexts.push(context)
      return context.newPage()
    })
    await Promise.all(contexts.map((context) => context.close()))
  },
})

export { expect }

export async function openShowPage(page: Page, url: string): Promise<void> {
  await page.goto(url)
  await expect(page.getByRole('group', { name: 'Stage plan' })).toBeVisible()
  await expect(page.getByText('Looking for the server')).toBeHidden()
}

/** Types a selection as a person would: the first digit anywhere in the room begins it. */
export async function select(page: Page, entry: string): Promise<void> {
  await page.keyboard.press('Escape')
  await page.keyboard.type(entry)
  await page.keyboard.press('Enter')
}

/** Waits until exactly these are selected, in this order. */
export async function expectSelected(page: Page, numbers: readonly number[]): Promise<void> {
  const heads = page.getByRole('complementary', { name: 'In hand' }).getByRole('rowheader')
  await expect(heads).toHaveText(numbers.map((number, i) => new RegExp(`^\\s*${i + 1}\\s*${number}\\s*$`)))
}

/** The cells of the aim table for one fixture: pan, tilt, throw, pool. */
export function aimOf(page: Page, fixture: number): Locator {
  return page
    .getByRole('complementary', { name: 'In hand' })
    .getByRole('row', { name: new RegExp(`\\b${fixture}\\b`) })
    .first()
}

/** Waits until what is read a frame after the light has been read. */
export async function numbersFollowed(page: Page): Promise<void> {
  await page.evaluate(
    () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done)))),
  )
}

/** The middle of something on the screen. */
export async function middle(of: Locator): Promise<{ x: number; y: number }> {
  const box = await of.boundingBox()
  if (!box) throw new Error('it is not on the screen')
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

/** The mark of a target on the plan, without its name. */
export function targetMark(page: Page, name: string): Locator {
  return page
    .getByRole('img', { name: `Target ${name}`, exact: true })
    .locator('circle')
    .last()
}

export async function drag(page: Page, from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 })
  await page.mouse.move(to.x, to.y, { steps: 4 })
  await page.mouse.up()
}

export async function record(
  page: Page,
  what: 'palette' | 'cue',
  fields: { shelf?: string; number?: string; name: string },
): Promise<void> {
  const hand = page.getByRole('complementary', { name: 'In hand' })
  await hand.getByRole('button', { name: what === 'cue' ? 'Cue' : /^Record/, exact: what === 'cue' }).click()
  const form = page.getByRole('form', { name: `Record a ${what}` })
  if (fields.shelf) await form.getByLabel('shelf').selectOption(fields.shelf)
  if (fields.number) await form.getByLabel('number').fill(fields.number)
  await form.getByLabel('name').fill(fields.name)
  await form.getByRole('button', { name: /^Record/ }).click()
  await expect(form).toBeHidden()
}

/** No fault that axe can find, WCAG A and AA. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // Without frames there is nothing a page of its own would have to gather: a quarter of the time.
    .setLegacyMode()
    .options({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'], resultTypes: ['violations'] })
    .analyze()
  const faults = violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .map((node) => node.target.join(' '))
        .slice(0, 4)
        .join(' | ')}`,
  )
  expect(faults).toEqual([])
}
