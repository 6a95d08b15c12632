/**
 * `npm run gestures`: does each of the everyday jobs in the real interface, checks what came of it, and
 * prints how many presses, drags, keys and typed words it took. Ends with 1 where a job took more than it
 * may, or came to something else.
 */
import { randomUUID } from 'node:crypto'
import { setTimeout as pause } from 'node:timers/promises'
import { chromium, type Page } from '@playwright/test'
import { buildSaltLantern } from '#demo/saltLantern'
import { showId } from '#core/show/ids'
import { readSnapshot } from '../app/session/responses'
import { openDatabase } from '../server/database/open'
import { writeWholeShow } from '../server/database/showRepository'
import { CHROMIUM_FLAGS, chromiumPath, ensureChromium } from './browser'
import { buildWhenStale } from './build'
import { throwawayCluster } from './database/cluster'
import { freshDatabase } from './database/freshDatabase'
import { GestureCounter } from './gestures/counter'
import { JOBS, type Job } from './gestures/jobs'
import { freePort } from './ports'
import { startServer } from './serve'

/** How long what came of a job is waited for, milliseconds. */
const LONGEST = 5000
const say = (line: string) => console.log(line)

/** Plays a job in a show of its own; tells how it went, in a line. */
async function play(page: Page, show: string, job: Job): Promise<boolean> {
  await page.goto(`${show}/${job.room}`)
  await page.getByRole('link', { name: 'Focus', exact: true }).waitFor()
  await page.getByText('Looking for the server').waitFor({ state: 'hidden' })
  const hand = new GestureCounter(page)
  const read = async () => {
    const { origin, pathname } = new URL(page.url())
    const response = await page.request.get(`${origin}/api/shows/${pathname.split('/')[2] ?? ''}`)
    return readSnapshot(await response.text()).show
  }
  await job.play(hand)
  // The server may be told a moment after the page shows it.
  let fault = await job.check(read)
  for (const end = Date.now() + LONGEST; fault && Date.now() < end; fault = await job.check(read)) await pause(50)
  const isFew = hand.total <= job.wanted
  say(
    `${isFew && !fault ? 'ok  ' : 'MORE'} ${String(hand.total).padStart(2)} of ${job.wanted}  ${job.name}: ${hand.inWords()}`,
  )
  if (fault) say(`     but ${fault}`)
  return isFew && !fault
}

async function playAll(): Promise<boolean> {
  ensureChromium(say)
  await buildWhenStale(say)
  const cluster = await throwawayCluster('data/test', say)
  const database = await freshDatabase(cluster.address)
  const server = await startServer(database.address, { host: '127.0.0.1', port: await freePort(4400) })
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_FLAGS })
  const knex = await openDatabase(database.address)
  let isGood = true
  try {
    for (const job of JOBS) {
      const id = showId.parse(randomUUID())
      await knex.transaction((transaction) => writeWholeShow(transaction, buildSaltLantern(id)))
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
      isGood = (await play(await context.newPage(), `${server.url}/shows/${id}`, job)) && isGood
      await context.close()
    }
  } finally {
    await browser.close()
    await knex.destroy()
    await server.stop()
    await database.drop()
    await cluster.stop()
  }
  return isGood
}

playAll().then(
  (isGood) => process.exit(isGood ? 0 : 1),
  (error: unknown) => {
    console.error(error)
    process.exit(1)
  },
)
