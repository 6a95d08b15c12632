/** `npm run pictures`: takes the pictures in docs/screenshots anew, from the demo show. */
import { chromium, type Page } from '@playwright/test'
import { freshDatabase } from './database/freshDatabase'
import { CHROMIUM_FLAGS, chromiumPath, ensureChromium } from './browser'
import { buildWhenStale } from './build'
import { throwawayCluster } from './database/cluster'
import { freePort } from './ports'
import { startServer } from './serve'

interface Picture {
  readonly name: string
  /** Its address within the show. */
  readonly room: string
  /** Of the screen, pixels; that of a desk where it is left out. */
  readonly size?: { readonly width: number; readonly height: number }
  /** What a person does before the picture is taken. */
  readonly prepare: (page: Page) => Promise<void>
}

async function select(page: Page, entry: string): Promise<void> {
  await page.keyboard.press('/')
  await page.keyboard.type(entry)
  await page.keyboard.press('Enter')
}

async function recall(page: Page, palette: RegExp): Promise<void> {
  await page.getByRole('button', { name: palette }).click()
  await page.getByText('In hand: ').waitFor()
}

/** How far lights are steered in the picture of truing up, centimetres to stage left and upstage. */
const SEEN_OFF = [
  [3, 11],
  [2, 9],
  [4, 12],
  [3, 10],
  [2, 12],
  [4, 10],
] as const

const PICTURES: readonly Picture[] = [
  // Every picture is taken by somebody new: this one shows few of them.
  {
    name: 'focus',
    room: 'focus',
    prepare: async (page) => {
      await select(page, '12-17')
      await recall(page, /Palette 1 Dory bow/)
      await page.keyboard.press('ArrowUp')
      await page.keyboard.press('ArrowUp')
      await page.getByText('0.20 m upstage of it').waitFor()
      await page.mouse.move(640, 20)
    },
  },
  {
    name: 'proposal',
    room: 'focus',
    prepare: async (page) => {
      await select(page, '31-38')
      await page.getByRole('button', { name: /^Trim height of Bar 3/ }).click()
      await page.keyboard.type('6.1')
      await page.keyboard.press('Enter')
      await page.getByRole('region', { name: 'Proposed change' }).waitFor()
    },
  },
  {
    name: 'palette',
    room: 'focus',
    prepare: async (page) => {
      await select(page, '12-15')
      await page.getByRole('button', { name: /^Palette 1 Dory bow/ }).hover()
      await page.getByRole('button', { name: 'More for palette 1', exact: true }).click()
      await page.getByRole('button', { name: 'Look inside …' }).click()
      await page.getByRole('radio', { name: 'list' }).click()
      await page.mouse.move(640, 20)
    },
  },
  {
    name: 'colour',
    room: 'focus',
    prepare: async (page) => {
      await select(page, '11-18, 21-26, 31-38')
      await page.getByRole('tab', { name: 'Colour' }).click()
      await recall(page, /Palette 64 Ember/)
      const hand = page.getByRole('complementary', { name: 'In hand' })
      for (const family of ['Position', 'Intensity', 'Colour'])
        await hand.getByRole('button', { name: family, exact: true }).click()
      await page.getByRole('radio', { name: 'x y' }).click()
      await page.getByRole('slider', { name: 'Place in the colour diagram' }).waitFor()
      await page.mouse.move(640, 20)
    },
  },
  {
    name: 'cues',
    room: 'cues',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Wave one' }).click()
      await page.getByRole('button', { name: '9 cues lit on the way' }).waitFor()
      const found = page.getByRole('group', { name: 'What is wrong with the moves' })
      await found.getByText(/^\d+ %$/).waitFor({ state: 'hidden' })
    },
  },
  {
    name: 'travel',
    room: 'cues',
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'Travel' }).click()
      await page
        .getByRole('list', { name: 'Cues' })
        .getByRole('button', { name: /^14\.5/ })
        .click()
      await page.getByRole('slider', { name: 'Instant of the move' }).fill('0.6')
      await page.getByRole('button', { name: /cues sweep$/ }).waitFor()
    },
  },
  {
    name: 'venues',
    room: 'refocus',
    prepare: async (page) => {
      const grid = page.getByRole('grid', { name: 'Per venue' })
      await grid.getByRole('row', { name: /hang Bar 1 trim/ }).click()
      await page
        .getByRole('list', { name: 'Venues' })
        .getByRole('button', { name: /Quarry/ })
        .click()
      await page.getByRole('button', { name: 'Play here' }).click()
      await page.getByRole('region', { name: 'Proposed change' }).waitFor()
    },
  },
  {
    name: 'rig',
    room: 'rig',
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'Hangs' }).click()
      await page.getByRole('gridcell', { name: 'Bar 1' }).click()
      await page.getByRole('heading', { name: 'Bar 1' }).waitFor()
    },
  },
  {
    name: 'types',
    room: 'rig/types',
    prepare: async (page) => {
      await page
        .getByRole('navigation', { name: 'Types' })
        .getByRole('button', { name: /Tern 700/ })
        .click()
      await page.getByRole('radio', { name: 'Try it out' }).click()
      for (const [channel, level] of [
        ['Pan', 20000],
        ['Tilt', 40000],
        ['Zoom', 9000],
        ['Cyan', 30000],
        ['Gobo', 120],
        ['Top shutter', 14000],
      ] as const) {
        await page.getByLabel(new RegExp(`^Level of ${channel}, `)).fill(String(level))
        await page.keyboard.press('Enter')
      }
    },
  },
  {
    name: 'patch',
    room: 'rig/patch',
    prepare: async (page) => {
      await page.getByRole('gridcell', { name: 'Dunlin 400' }).nth(2).click()
      await page.getByRole('img', { name: /^Fixture 3,.*selected/ }).waitFor()
    },
  },
  {
    name: 'space',
    room: 'focus',
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'Space' }).click()
      await page.locator('canvas[data-frames]').waitFor()
      await page.getByRole('button', { name: 'From the house' }).click()
    },
  },
  {
    name: 'difference',
    room: 'refocus',
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'Difference' }).click()
      await page.getByRole('gridcell', { name: 'Lantern gallery' }).click()
      await page.getByRole('region', { name: 'Lantern gallery in both venues' }).waitFor()
    },
  },
  {
    name: 'output',
    room: 'output',
    prepare: async (page) => {
      await page.getByRole('switch', { name: 'Off' }).click()
      await page.getByRole('button', { name: /^Lighting network \d+ packets a second/ }).waitFor()
    },
  },
  {
    name: 'received',
    room: 'output',
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'Received beside ours' }).click()
      await page.getByText(/^\d+ fixtures stand and shine just as from here\.$/).waitFor()
      await page.getByRole('radio', { name: 'Space' }).click()
      await page.locator('canvas[data-frames]').first().waitFor()
    },
  },
  {
    name: 'true-up',
    room: 'refocus',
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'True up' }).click()
      await page.getByRole('button', { name: /^Bar 2 \d heads/ }).click()
      const steering = page.getByRole('region', { name: 'Steering' })
      await page.getByRole('button', { name: 'Take it' }).click()
      for (const [left, up] of SEEN_OFF) {
        await steering.getByLabel('Further to stage left, cm').fill(String(left))
        await steering.getByLabel('Further to stage left, cm').press('Enter')
        await steering.getByLabel('Further upstage, cm').fill(String(up))
        await steering.getByLabel('Further upstage, cm').press('Enter')
        await steering.getByRole('button', { name: 'And on to the next' }).click()
      }
      await page.getByText(/^It hangs/).waitFor()
      await page.mouse.move(640, 20)
    },
  },
  {
    name: 'stand-in',
    room: 'output',
    prepare: async (page) => {
      const box = page.getByRole('region', { name: 'Stand-in rig' })
      await box.getByRole('button', { name: 'Start' }).click()
      await page.goto((await box.getByRole('link', { name: 'Its page' }).getAttribute('href')) ?? '')
      await page.getByText(/^\d+ of \d+ lights on$/).waitFor()
      await page.getByText('turning').first().waitFor({ state: 'hidden' })
      await page.locator('canvas[data-frames]').waitFor()
    },
  },
  {
    name: 'paper',
    room: 'paper',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Hang plot' }).click()
      await page.getByRole('button', { name: 'Carry sheet' }).click()
      const marks = page.getByRole('navigation', { name: 'Bookmarks' })
      await marks.getByRole('button', { name: /^Carry sheet/ }).waitFor()
      await marks.getByRole('button', { name: /^3 Lantern gallery/ }).click()
      await page
        .getByRole('img', { name: 'Page 3', exact: true })
        .getByText('Lantern gallery')
        .first()
        .waitFor({ state: 'attached' })
    },
  },
  // From here on the show plays at its tour stop.
  {
    name: 'pass',
    room: 'refocus',
    prepare: async (page) => {
      await page.getByRole('button', { name: /show menu/ }).click()
      await page.getByRole('menuitem', { name: 'Quarry Playhouse' }).click()
      await page.getByRole('region', { name: 'Proposed change' }).getByRole('button', { name: /Keep/ }).click()
      await page.getByRole('radio', { name: 'Pass' }).click()
      const palettes = page.getByRole('navigation', { name: 'Palettes of the pass' })
      await palettes.getByRole('button', { name: /Lantern gallery/ }).click()
      await page.getByRole('button', { name: 'Let the stage follow' }).click()
      await page.getByRole('button', { name: /^34,/ }).click()
      await page.getByLabel('Compare with').selectOption({ label: 'Harbour Hall' })
      await page.getByText('Dashed: Harbour Hall').waitFor()
      await page.mouse.move(640, 20)
    },
  },
  {
    name: 'tablet',
    room: 'pass',
    size: { width: 1024, height: 768 },
    prepare: async (page) => {
      await page.getByRole('button', { name: /Dory bow to do/ }).click()
      await page.getByRole('button', { name: /^14,/ }).click()
      await page.getByRole('button', { name: 'Nudge to my right' }).click()
      await page.getByRole('button', { name: 'Nudge away from me' }).click()
      await page.getByText('0.05 m upstage, 0.05 m to stage left').waitFor()
    },
  },
]

async function take(page: Page, url: string, { name, room, prepare }: Picture): Promise<void> {
  await page.goto(`${url}/shows/salt-lantern/${room}`)
  // The page made for a tablet has a heading instead of the rooms.
  const isOpen = page.getByRole('link', { name: 'Focus', exact: true }).or(page.getByRole('heading', { level: 1 }))
  await isOpen.first().waitFor()
  await page.getByText('Looking for the server').waitFor({ state: 'hidden' })
  await prepare(page)
  await page.screenshot({ path: `docs/screenshots/${name}.png`, animations: 'disabled' })
}

const say = (line: string) => console.log(line)

async function takeAll(): Promise<void> {
  ensureChromium(say)
  await buildWhenStale(say)
  const cluster = await throwawayCluster('data/test', say)
  const database = await freshDatabase(cluster.address)
  const server = await startServer(database.address, { host: '127.0.0.1', port: await freePort(4400) })
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_FLAGS })
  try {
    for (const picture of PICTURES) {
      const context = await browser.newContext({ viewport: picture.size ?? { width: 1280, height: 800 } })
      await take(await context.newPage(), server.url, picture)
      await context.close()
      say(`docs/screenshots/${picture.name}.png`)
    }
  } finally {
    await browser.close()
    await server.stop()
    await database.drop()
    await cluster.stop()
  }
}

takeAll().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error)
    process.exit(1)
  },
)
