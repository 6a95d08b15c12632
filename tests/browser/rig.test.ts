import type { Page } from '@playwright/test'
import { drag, expect, expectAccessible, middle, openDesk, select, test } from './app'

const panel = (page: Page) => page.getByRole('complementary', { name: 'Properties' })
const proposal = (page: Page) => page.getByRole('region', { name: 'Proposed change' })
const cell = (page: Page, grid: string, number: number, column: number) =>
  page
    .getByRole('grid', { name: grid })
    .getByRole('row', { name: new RegExp(`^${number} `) })
    .getByRole('gridcell')
    .nth(column)

async function openRig(page: Page, part?: string): Promise<void> {
  await page.getByRole('link', { name: 'Rig' }).click()
  await expect(page.getByRole('grid', { name: 'Fixtures' })).toBeVisible()
  if (part) await page.getByRole('link', { name: part }).click()
}

/** Columns of the table of fixtures, from 0. */
const ALONG = 5
const DROP = 7
const NOTE = 13

test('table, plan and panel are one selection; an edit is for all selected rows and says what follows', async ({
  desk,
}) => {
  await openRig(desk)
  await cell(desk, 'Fixtures', 11, DROP).click()
  await cell(desk, 'Fixtures', 14, DROP).click({ modifiers: ['Shift'] })
  for (const number of [11, 12, 13, 14])
    await expect(desk.getByRole('img', { name: new RegExp(`^Fixture ${number}, selected`) })).toBeVisible()
  await expect(panel(desk).getByRole('heading', { name: '4 fixtures' })).toBeVisible()
  await expect(panel(desk).getByLabel('Along, m')).toHaveAttribute('placeholder', 'mixed')

  await desk.keyboard.type('2x')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('alert').filter({ hasText: '“2x” is not a number.' })).toBeVisible()
  await desk.keyboard.press('Escape')
  await desk.keyboard.type('0.3')
  await desk.keyboard.press('Enter')
  await expect(proposal(desk).getByRole('status')).toContainText('Change drop of 4 fixtures')
  await expect(proposal(desk)).toContainText('Set in cues')
  await desk.keyboard.press('Enter')
  await expect(cell(desk, 'Fixtures', 12, DROP)).toHaveText('0.3')
  await desk.keyboard.press('Control+z')
  await expect(cell(desk, 'Fixtures', 12, DROP)).toHaveText('0.12')

  await desk.getByRole('img', { name: /^Fixture 36/ }).click()
  await expect(desk.getByRole('grid', { name: 'Fixtures' }).getByRole('row', { selected: true })).toContainText('Bar 3')
})

test('rows go to a spreadsheet and come back: known ones change, new ones are added, a fault changes nothing', async ({
  desk,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openRig(desk)
  await cell(desk, 'Fixtures', 11, NOTE).click()
  await desk.keyboard.press('Control+c')
  const copied = await desk.evaluate(() => navigator.clipboard.readText())
  const [header = '', line = ''] = copied.split('\n')
  expect(header.split('\t')[0]).toBe('Number')
  const cells = line.split('\t')
  const changed = [...cells.slice(0, NOTE), 'over the jetty'].join('\t')
  const added = ['61', 'Spare', ...cells.slice(2, ALONG), '5.8', ...cells.slice(ALONG + 1, 11), '', '', ''].join('\t')

  await desk.evaluate(
    (text) => navigator.clipboard.writeText(text),
    [header, changed, '62\tLost\tTern 700\tFull\tBar 9\t0'].join('\n'),
  )
  await desk.keyboard.press('Control+v')
  await expect(desk.getByRole('alert')).toHaveText(/Nothing was pasted. Line 3, hang: there is no hang called “Bar 9”/)
  await expect(cell(desk, 'Fixtures', 11, NOTE)).toHaveText('')

  await desk.evaluate((text) => navigator.clipboard.writeText(text), [header, changed, added].join('\n'))
  await desk.getByRole('grid', { name: 'Fixtures' }).focus()
  await desk.keyboard.press('Control+v')
  await expect(cell(desk, 'Fixtures', 11, NOTE)).toHaveText('over the jetty')
  await expect(desk.getByRole('button', { name: /^Undo: change 1 and add 1 fixtures from a paste/ })).toBeEnabled()

  await desk.getByLabel('Filter fixtures').fill('spare')
  await expect(desk.getByRole('grid', { name: 'Fixtures' }).getByRole('row')).toHaveCount(2)
  await desk.getByLabel('Filter fixtures').fill('')
  await desk.getByRole('columnheader', { name: 'Along' }).getByRole('button').click()
  await desk.getByRole('columnheader', { name: 'Along' }).getByRole('button').click()
  await expect(desk.getByRole('grid', { name: 'Fixtures' }).getByRole('row').nth(1)).toContainText('Spare')
})

test('warns what leans on fixtures, hangs and targets before they go', async ({ desk }) => {
  await openRig(desk)
  await desk.getByRole('img', { name: /^Fixture 14/ }).click()
  await panel(desk).getByRole('button', { name: 'Take out' }).click()
  const box = panel(desk).getByRole('region', { name: 'Take out fixture 14' })
  await expect(box).toContainText(/groups, \d+ palettes and \d+ cues lean on fixture 14/)
  await expect(box).toContainText('Mid bar profiles')
  await box.getByRole('button', { name: 'Take out fixture 14' }).click()
  await expect(desk.getByRole('img', { name: /^Fixture 14/ })).toBeHidden()
  await desk.keyboard.press('Control+z')
  await expect(desk.getByRole('img', { name: /^Fixture 14/ })).toBeVisible()

  await desk.getByRole('radio', { name: 'Hangs' }).click()
  await desk.getByRole('gridcell', { name: 'Bar 2' }).click()
  await panel(desk).getByRole('button', { name: 'Take out' }).click()
  await panel(desk).getByLabel('What hangs on it').selectOption('moves to Bar 1')
  await panel(desk).getByRole('button', { name: 'Take out Bar 2' }).click()
  await expect(desk.getByRole('img', { name: 'Hang Bar 2' })).toBeHidden()
  await expect(desk.getByRole('img', { name: /^Fixture 21/ })).toBeVisible()

  await desk.getByRole('radio', { name: 'Targets' }).click()
  await desk.getByRole('gridcell', { name: 'Dory bow' }).click()
  await panel(desk).getByRole('button', { name: 'Take out' }).click()
  await expect(panel(desk)).toContainText('They stay aimed at the place it has now')
})

test('moves a hang in section to a typed trim, live in another window', async ({ desk, browser, url }) => {
  const other = await (await browser.newContext()).newPage()
  await openDesk(other, url)
  await openRig(desk)
  await desk.getByRole('radio', { name: 'Section' }).click()
  await desk.getByLabel('Section looked at from').selectOption('From the house')
  await desk.keyboard.press('Alt+m')
  const bar = await middle(desk.getByText('Bar 3', { exact: true }).first())
  await drag(desk, bar, { x: bar.x, y: bar.y + 30 })
  await expect(proposal(desk).getByRole('status')).toContainText('Move Bar 3')
  await proposal(desk)
    .getByRole('button', { name: /Put back/ })
    .click()
  await panel(desk).getByLabel('Trim height, m').fill('-1')
  await panel(desk).getByLabel('Trim height, m').press('Enter')
  await expect(panel(desk).getByRole('alert')).toHaveText('Bar 3 cannot hang 1.00 m below the stage floor.')
  await panel(desk).getByLabel('Trim height, m').fill('6.2')
  await panel(desk).getByLabel('Trim height, m').press('Enter')
  await proposal(desk).getByRole('button', { name: /Keep/ }).click()
  await expect(other.getByRole('button', { name: /^Trim height of Bar 3/ })).toContainText('6.20')
})

test('edits a type as a draft with its reach in view, checks its channels and keeps it as a whole', async ({
  desk,
}) => {
  await openRig(desk, 'Types')
  await desk
    .getByRole('navigation', { name: 'Types' })
    .getByRole('button', { name: /Plover 250/ })
    .click()
  await expect(desk.getByRole('img', { name: 'Reach: pan -315° to 315°, tilt -130° to 130°' })).toBeVisible()
  const tilt = desk.getByRole('group', { name: 'Tilt' })
  await tilt.getByLabel('Upper stop, °').fill('-140')
  await tilt.getByLabel('Upper stop, °').press('Enter')
  await expect(tilt.getByRole('alert')).toHaveText('The lower stop must lie below the upper one.')
  await tilt.getByLabel('Upper stop, °').fill('125')
  await tilt.getByLabel('Upper stop, °').press('Enter')
  await expect(desk.getByRole('img', { name: 'Reach: pan -315° to 315°, tilt -130° to 125°' })).toBeVisible()
  await expect(desk.getByRole('gridcell', { name: /tilt stops are -130° and 125°/ })).toBeVisible()

  const channels = desk.getByRole('grid', { name: 'Channels of Full' })
  await channels.getByRole('row', { name: /^Tilt/ }).getByRole('gridcell').nth(2).click()
  await desk.keyboard.type('2')
  await desk.keyboard.press('Enter')
  await expect(channels.getByRole('gridcell', { name: /channel 2 is taken by Pan already/ })).toBeVisible()
  await desk.getByRole('button', { name: 'Lay out in order' }).click()
  await expect(channels.getByRole('gridcell', { name: /is taken by/ })).toBeHidden()
  await desk.getByRole('button', { name: 'Keep changes' }).click()
  await expect(desk.getByRole('button', { name: /^Undo: change the type Plover 250/ })).toBeEnabled()

  await desk.getByRole('button', { name: 'Take out', exact: true }).last().click()
  await expect(desk.getByText('12 fixtures are Plover 250.')).toBeVisible()
  await desk.getByRole('button', { name: 'Take out Plover 250' }).click()
  await desk.getByRole('link', { name: 'Check' }).click()
  await expect(desk.getByText('has no type, so it cannot be aimed').first()).toBeVisible()
  await desk.getByRole('button', { name: 'Show the fixtures' }).first().click()
  await expect(desk.getByRole('img', { name: /^Fixture 31, selected/ })).toBeVisible()
})

test('shows a clash at the row and on the map, and patches it away by rule', async ({ desk }) => {
  await openRig(desk, 'Patch')
  const first = desk.getByRole('region', { name: 'Universe 1' })
  await expect(first).toContainText('port address 0 (0:0:0)')
  await cell(desk, 'Patch', 2, 6).dblclick()
  await desk.keyboard.type('20')
  await desk.keyboard.press('Enter')
  await expect(cell(desk, 'Patch', 2, 9)).toHaveText('shares channels with 1')
  await cell(desk, 'Patch', 1, 6).dblclick()
  await desk.keyboard.type('500')
  await desk.keyboard.press('Enter')
  await expect(first).toContainText('Fixture 1 runs 11 channels past 512')
  await desk.getByRole('button', { name: 'Select them' }).click()
  await desk.getByRole('button', { name: /^Patch \d/ }).click()
  await expect(desk.getByText('No channel is taken twice, none runs past 512.')).toBeVisible()
})

test('chooses a lens: what the light is there, who can, and what is in the way', async ({ desk }) => {
  await openRig(desk)
  await desk.keyboard.press('Alt+z')
  await panel(desk).getByLabel('Place').selectOption('Lighthouse door')
  await expect(panel(desk).getByRole('status')).toHaveText(/^\d+ of 36 can/)
  await expect(panel(desk).getByText('blocked by Lighthouse').first()).toBeVisible()
  const able = panel(desk).getByRole('region', { name: 'Who can light it' })
  const before = await able.getByRole('status').innerText()
  await panel(desk).getByLabel('In the middle, lux').fill('3000')
  await expect(able.getByRole('status')).not.toHaveText(before)
  await able.getByRole('rowheader').first().getByRole('button').click()
  await expect(panel(desk).getByRole('region', { name: 'Light of the selection' })).toContainText('at full')

  const plan = desk.getByRole('group', { name: 'Stage plan' })
  const bounds = await plan.boundingBox()
  if (!bounds) throw new Error('the plan is not on the screen')
  await desk.mouse.click(bounds.x + 560, bounds.y + 330)
  await expect(panel(desk).getByLabel('Place')).toHaveValue('')
  await expect(desk.getByRole('img', { name: 'Place of the lens' })).toBeVisible()
})

test('draws the stage in space, and only when something changes', async ({ desk }) => {
  await openRig(desk)
  await desk.getByRole('radio', { name: 'Space' }).click()
  const canvas = desk.locator('canvas')
  await expect(canvas).toHaveAttribute('data-draw-calls', /^\d+$/)
  const frames = async () => Number(await canvas.getAttribute('data-frames'))
  /** Whether nothing is drawn for ten frames; it would never be so if it were drawn all the time. */
  const isResting = () =>
    canvas.evaluate(async (element) => {
      const before = element.dataset['frames']
      for (let i = 0; i < 10; i++) await new Promise(requestAnimationFrame)
      return element.dataset['frames'] === before
    })
  await expect.poll(isResting).toBe(true)
  const resting = await frames()
  await desk.getByRole('button', { name: 'From above' }).click()
  await expect.poll(frames).toBeGreaterThan(resting)
  await cell(desk, 'Fixtures', 14, 1).click()
  await desk.getByRole('button', { name: 'From fixture 14' }).click()
  await desk.getByRole('button', { name: 'Haze' }).click()
  await expect(desk.getByRole('button', { name: 'Haze' })).toHaveAttribute('aria-pressed', 'false')
  expect(Number(await canvas.getAttribute('data-draw-calls'))).toBeLessThan(20)
})

test('is accessible in every part and both themes', async ({ desk }) => {
  for (const theme of ['night', 'paper']) {
    if (theme === 'paper') {
      await desk.getByRole('button', { name: /show menu/ }).click()
      await desk.getByRole('menuitem', { name: 'Paper theme' }).click()
    }
    await openRig(desk)
    await cell(desk, 'Fixtures', 11, 1).click()
    await expectAccessible(desk)
    await desk.getByRole('radio', { name: 'Section' }).click()
    await panel(desk).getByRole('button', { name: 'Close' }).click()
    await panel(desk).getByRole('button', { name: 'Change the venue' }).click()
    await expectAccessible(desk)
    await desk.getByRole('radio', { name: 'Plan' }).click()
    for (const part of ['Types', 'Patch', 'Check']) {
      await desk.getByRole('link', { name: part }).click()
      await expect(desk.getByRole('main')).toBeVisible()
      await expectAccessible(desk)
    }
    await desk.getByRole('link', { name: 'Focus' }).click()
  }
})

test('the universe map shows what goes out, as it changes', async ({ desk, context, url }) => {
  await desk.getByRole('link', { name: 'Rig' }).click()
  await desk.getByRole('link', { name: 'Patch' }).click()
  await desk.getByRole('button', { name: 'Show levels' }).click()
  const channels = desk.getByRole('img', { name: /^Fixture 1, channels 1 to/ }).locator('title')
  await expect(channels).toHaveText(/^(\d+ )+\d+$/)
  const before = await channels.textContent()
  const other = await context.newPage()
  await openDesk(other, url)
  await select(other, '1')
  await other.getByLabel('pan in degrees').fill('100')
  await other.getByLabel('pan in degrees').press('Enter')
  await expect(channels).not.toHaveText(before ?? '')
  await other.keyboard.press('Control+z')
  await expect(channels).toHaveText(before ?? '')
})
