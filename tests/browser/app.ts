/** The built server, one for the tests that run one after another, and a demo show of its own for every test. */
import { randomUUID } from 'node:crypto'
import AxeBuilder from '@axe-core/playwright'
import {
  expect,
  test as base,
  type BrowserContext,
  type BrowserContextOptions,
  type Locator,
  type Page,
} from '@playwright/test'
import { showId } from '#core/show/ids'
import { buildSaltLantern } from '#demo/saltLantern'
import { freePort } from '../../scripts/ports'
import { startServer } from '../../scripts/serve'
import { freshDatabase } from '../../scripts/database/freshDatabase'
import { openDatabase } from '../../server/database/open'
import { writeWholeShow } from '../../server/database/showRepository'
import { TEST_CLUSTER } from '../testCluster'

interface Fixtures {
  /** Where a demo show of its own is open in Focus. */
  url: string
  /** The demo show, opened in Focus. */
  showPage: Page
  /** Opens a window of somebody else; it is closed with the test. */
  elsewhere: (options?: BrowserContextOptions) => Promise<Page>
}

interface WorkerFixtures {
  /** The address of a server, and how a demo show nobody has touched comes into it. */
  application: { readonly server: string; readonly addDemo: () => Promise<string> }
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  application: [
    async ({}, use, { workerIndex }) => {
      const database = await freshDatabase(TEST_CLUSTER)
      const server = await startServer(database.address, {
        host: '127.0.0.1',
        port: await freePort(4500 + workerIndex * 100),
      })
      if (!(await fetch(`${server.url}/api/shows`)).ok) throw new Error('the demo was not loaded')
      const knex = await openDatabase(database.address)
      const addDemo = async () => {
        const id = showId.parse(randomUUID())
        await knex.transaction((transaction) => writeWholeShow(transaction, buildSaltLantern(id)))
        return id
      }
      await use({ server: server.url, addDemo })
      await knex.destroy()
      // Pages may still listen to it: it would wait for them.
      await server.kill()
      await database.drop()
    },
    { scope: 'worker' },
  ],
  url: async ({ application: { server, addDemo } }, use) => use(`${server}/shows/${await addDemo()}/focus`),
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

/** Opens a show in a browser in which the table of aims was left open. */
export async function openShowPage(page: Page, url: string): Promise<void> {
  await page.addInitScript(() => localStorage.setItem('rhopander-aim-table', 'true'))
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

/** Opens families of the hand: what they are made of stands under them then. */
export async function openFamilies(page: Page, ...families: readonly string[]): Promise<void> {
  const hand = page.getByRole('complementary', { name: 'In hand' })
  for (const family of families) await hand.getByRole('button', { name: family, exact: true }).click()
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
