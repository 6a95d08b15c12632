import type { Page } from '@playwright/test'
import { drag, expect, expectAccessible, middle, openShowPage, select, test } from './app'

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
  showPage,
}) => {
  await openRig(showPage)
  await cell(showPage, 'Fixtures', 11, DROP).click()
  await cell(showPage, 'Fixtures', 14, DROP).click({ modifiers: ['Shift'] })
  for (const number of [11, 12, 13, 14])
    await expect(showPage.getByRole('img', { name: new RegExp(`^Fixture ${number}, selected`) })).toBeVisible()
  await expect(panel(showPage).getByRole('heading', { name: '4 fixtures' })).toBeVisible()
  await expect(panel(showPage).getByLabel('Along, m')).toHaveAttribute('placeholder', 'mixed')

  await showPage.keyboard.type('2x')
  await showPage.keyboard.press('Enter')
  await expect(showPage.getByRole('alert').filter({ hasText: '“2x” is not a number.' })).toBeVisible()
  await showPage.keyboard.press('Escape')
  await showPage.keyboard.type('0.3')
  await showPage.keyboard.press('Enter')
  await expect(proposal(showPage).getByRole('status')).toContainText('Change drop of 4 fixtures')
  await expect(proposal(showPage)).toContainText('Set in cues')
  await showPage.keyboard.press('Enter')
  await expect(cell(showPage, 'Fixtures', 12, DROP)).toHaveText('0.3')
  await expect(showPage.getByRole('grid', { name: 'Fixtures' })).toBeFocused()
  await showPage.keyboard.press('Control+z')
  await expect(cell(showPage, 'Fixtures', 12, DROP)).toHaveText('0.12')

  await showPage.getByRole('img', { name: /^Fixture 36/ }).click()
  await expect(showPage.getByRole('grid', { name: 'Fixtures' }).getByRole('row', { selected: true })).toContainText(
    'Bar 3',
  )
})

test('rows go to a spreadsheet and come back: known ones change, new ones are added, a fault changes nothing', async ({
  showPage,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openRig(showPage)
  await cell(showPage, 'Fixtures', 11, NOTE).click()
  await showPage.keyboard.press('Control+c')
  const copied = await showPage.evaluate(() => navigator.clipboard.readText())
  const [header = '', line = ''] = copied.split('\n')
  expect(header.split('\t')[0]).toBe('Number')
  const cells = line.split('\t')
  const changed = [...cells.slice(0, NOTE), 'over the jetty'].join('\t')
  const added = ['81', 'Spare', ...cells.slice(2, ALONG), '5.8', ...cells.slice(ALONG + 1, 11), '', '', ''].join('\t')

  await showPage.evaluate(
    (text) => navigator.clipboard.writeText(text),
    [header, changed, '82\tLost\tTern 700\tFull\tBar 9\t0'].join('\n'),
  )
  await showPage.keyboard.press('Control+v')
  await expect(showPage.getByRole('alert')).toHaveText(
    /Nothing was pasted. Line 3, hang: there is no hang called “Bar 9”/,
  )
  await expect(cell(showPage, 'Fixtures', 11, NOTE)).toHaveText('')

  await showPage.evaluate((text) => navigator.clipboard.writeText(text), [header, changed, added].join('\n'))
  await showPage.getByRole('grid', { name: 'Fixtures' }).focus()
  await showPage.keyboard.press('Control+v')
  await expect(cell(showPage, 'Fixtures', 11, NOTE)).toHaveText('over the jetty')
  await expect(showPage.getByRole('button', { name: /^Undo: change 1 and add 1 fixtures from a paste/ })).toBeEnabled()

  await showPage.getByLabel('Filter fixtures').fill('spare')
  await expect(showPage.getByRole('grid', { name: 'Fixtures' }).getByRole('row')).toHaveCount(2)
  await showPage.getByLabel('Filter fixtures').fill('')
  await showPage.getByRole('columnheader', { name: 'Along' }).getByRole('button').click()
  await showPage.getByRole('columnheader', { name: 'Along' }).getByRole('button').click()
  await expect(showPage.getByRole('grid', { name: 'Fixtures' }).getByRole('row').nth(1)).toContainText('Spare')
})

test('warns what leans on fixtures, hangs and targets before they go', async ({ showPage }) => {
  await openRig(showPage)
  await showPage.getByRole('img', { name: /^Fixture 14/ }).click()
  await panel(showPage).getByRole('button', { name: 'Take out' }).click()
  const box = panel(showPage).getByRole('region', { name: 'Take out fixture 14' })
  await expect(box).toContainText(/groups, \d+ palettes and \d+ cues lean on fixture 14/)
  await expect(box).toContainText('Mid bar profiles')
  await box.getByRole('button', { name: 'Take out fixture 14' }).click()
  await expect(showPage.getByRole('img', { name: /^Fixture 14/ })).toBeHidden()
  await showPage.keyboard.press('Control+z')
  await expect(showPage.getByRole('img', { name: /^Fixture 14/ })).toBeVisible()

  await showPage.getByRole('radio', { name: 'Hangs' }).click()
  await showPage.getByRole('gridcell', { name: 'Bar 2' }).click()
  await panel(showPage).getByRole('button', { name: 'Take out' }).click()
  await panel(showPage).getByLabel('What hangs on it').selectOption('moves to Bar 1')
  await panel(showPage).getByRole('button', { name: 'Take out Bar 2' }).click()
  await expect(showPage.getByRole('img', { name: 'Hang Bar 2' })).toBeHidden()
  await expect(showPage.getByRole('img', { name: /^Fixture 21/ })).toBeVisible()

  await showPage.getByRole('radio', { name: 'Targets' }).click()
  await showPage.getByRole('gridcell', { name: 'Dory bow' }).click()
  await panel(showPage).getByRole('button', { name: 'Take out' }).click()
  await expect(panel(showPage)).toContainText('They stay aimed at the place it has now')
})

test('moves a hang in section to a typed trim, live in another window', async ({ showPage, elsewhere, url }) => {
  const other = await elsewhere()
  await openShowPage(other, url)
  await openRig(showPage)
  await showPage.getByRole('radio', { name: 'Section' }).click()
  await showPage.getByLabel('Section looked at from').selectOption('From the house')
  await showPage.keyboard.press('Alt+m')
  const bar = await middle(showPage.getByText('Bar 3', { exact: true }).first())
  await drag(showPage, bar, { x: bar.x, y: bar.y + 30 })
  await expect(proposal(showPage).getByRole('status')).toContainText('Move Bar 3')
  await proposal(showPage)
    .getByRole('button', { name: /Put back/ })
    .click()
  await panel(showPage).getByLabel('Trim height, m').fill('-1')
  await panel(showPage).getByLabel('Trim height, m').press('Enter')
  await expect(panel(showPage).getByRole('alert')).toHaveText('Bar 3 cannot hang 1.00 m below the stage floor.')
  await panel(showPage).getByLabel('Trim height, m').fill('6.2')
  await panel(showPage).getByLabel('Trim height, m').press('Enter')
  await proposal(showPage).getByRole('button', { name: /Keep/ }).click()
  await expect(other.getByRole('button', { name: /^Trim height of Bar 3/ })).toContainText('6.20')
})

test('edits a type as a draft with its reach in view, checks its channels and keeps it as a whole', async ({
  showPage,
}) => {
  await openRig(showPage, 'Types')
  await showPage
    .getByRole('navigation', { name: 'Types' })
    .getByRole('button', { name: /Plover 250/ })
    .click()
  await expect(showPage.getByRole('img', { name: 'Reach: pan -315° to 315°, tilt -130° to 130°' })).toBeVisible()
  const tilt = showPage.getByRole('group', { name: 'Tilt' })
  await tilt.getByLabel('Upper stop, °').fill('-140')
  await tilt.getByLabel('Upper stop, °').press('Enter')
  await expect(tilt.getByRole('alert')).toHaveText('The lower stop must lie below the upper one.')
  await tilt.getByLabel('Upper stop, °').fill('125')
  await tilt.getByLabel('Upper stop, °').press('Enter')
  await expect(showPage.getByRole('img', { name: 'Reach: pan -315° to 315°, tilt -130° to 125°' })).toBeVisible()
  await expect(showPage.getByRole('gridcell', { name: /tilt stops are -130° and 125°/ })).toBeVisible()

  const channels = showPage.getByRole('grid', { name: 'Channels of Full' })
  await channels.getByRole('row', { name: /^Tilt/ }).getByRole('gridcell').nth(2).click()
  await showPage.keyboard.type('2')
  await showPage.keyboard.press('Enter')
  await expect(channels.getByRole('gridcell', { name: /channel 2 is taken by Pan already/ })).toBeVisible()
  await showPage.getByRole('button', { name: 'Lay out' }).click()
  await expect(channels.getByRole('gridcell', { name: /is taken by/ })).toBeHidden()
  await channels
    .getByRole('row', { name: /^Intensity/ })
    .getByRole('gridcell')
    .nth(4)
    .click()
  await showPage.keyboard.type('0-99')
  await showPage.keyboard.press('Enter')
  await showPage.getByRole('button', { name: 'Add levels' }).click()
  await expect(channels.getByRole('gridcell', { name: '100–255' })).toBeVisible()
  await showPage.getByRole('group', { name: 'More of Intensity' }).getByLabel('Curve').selectOption('slow at first')
  await showPage.getByLabel('Add to beam').selectOption({ label: 'iris' })
  await expect(showPage.getByText('no channel for iris')).toBeVisible()
  await expectAccessible(showPage)
  await showPage.getByRole('button', { name: 'Take out iris' }).click()
  await showPage.getByRole('button', { name: 'Keep changes' }).click()
  await expect(showPage.getByRole('button', { name: /^Undo: change the type Plover 250/ })).toBeEnabled()

  await showPage.getByRole('button', { name: 'Take out', exact: true }).last().click()
  await expect(showPage.getByText('12 fixtures are Plover 250.')).toBeVisible()
  await showPage.getByRole('button', { name: 'Take out Plover 250' }).click()
  await showPage.getByRole('link', { name: 'Check' }).click()
  await expect(showPage.getByText('has no type, so it cannot be aimed').first()).toBeVisible()
  await showPage.getByRole('button', { name: 'Show the fixtures' }).first().click()
  await expect(showPage.getByRole('img', { name: /^Fixture 31, selected/ })).toBeVisible()
})

test('tries a type out: channels level by level, what they mean, and the light they make', async ({ showPage }) => {
  await openRig(showPage)
  await showPage.getByRole('link', { name: 'Types' }).click()
  await showPage
    .getByRole('navigation', { name: 'Types' })
    .getByRole('button', { name: /Tern 700/ })
    .click()
  await showPage.getByRole('radio', { name: 'Try it out' }).click()
  const row = (name: string) =>
    showPage.getByRole('listitem').filter({ has: showPage.getByRole('slider', { name, exact: true }) })
  await row('Gobo').getByRole('textbox').fill('120')
  await row('Gobo').getByRole('textbox').press('Enter')
  await expect(row('Gobo')).toContainText('gobo Ripples')
  await row('Top shutter').getByRole('slider').press('End')
  await expect(row('Top shutter')).toContainText('top shutter 100 %')
  await showPage.getByRole('button', { name: 'At rest', exact: true }).click()
  await expect(row('Intensity')).toContainText('intensity 0 %')
  await expect(row('Gobo')).toContainText('gobo Open')
  await expectAccessible(showPage)
  await expect(showPage.getByRole('button', { name: 'Nothing changed' })).toBeDisabled()
})

test('shows a clash at the row and on the map, and patches it away by rule', async ({ showPage }) => {
  await openRig(showPage, 'Patch')
  const first = showPage.getByRole('region', { name: 'Universe 1' })
  await expect(first).toContainText('port address 0 (0:0:0)')
  await cell(showPage, 'Patch', 2, 6).dblclick()
  await showPage.keyboard.type('20')
  await showPage.keyboard.press('Enter')
  await expect(cell(showPage, 'Patch', 2, 9)).toHaveText('shares channels with 1')
  await cell(showPage, 'Patch', 1, 6).dblclick()
  await showPage.keyboard.type('500')
  await showPage.keyboard.press('Enter')
  await expect(first).toContainText('Fixture 1 runs 11 channels past 512')
  await showPage.getByRole('button', { name: 'Select them' }).click()
  await showPage.getByRole('button', { name: /^Patch \d/ }).click()
  await expect(showPage.getByText('No channel is taken twice, none runs past 512.')).toBeVisible()
})

test('chooses a lens: what the light is there, who can, and what is in the way', async ({ showPage }) => {
  await openRig(showPage)
  await showPage.keyboard.press('Alt+z')
  await panel(showPage).getByLabel('Place').selectOption('Lighthouse door')
  await expect(panel(showPage).getByRole('status')).toHaveText(/^\d+ of 36 can/)
  await expect(panel(showPage).getByText('blocked by Lighthouse').first()).toBeVisible()
  const able = panel(showPage).getByRole('region', { name: 'Who can light it' })
  const before = await able.getByRole('status').innerText()
  await panel(showPage).getByLabel('In the middle, lux').fill('3000')
  await expect(able.getByRole('status')).not.toHaveText(before)
  await able.getByRole('rowheader').first().getByRole('button').click()
  await expect(panel(showPage).getByRole('region', { name: 'Light of the selection' })).toContainText('at full')

  const plan = showPage.getByRole('group', { name: 'Stage plan' })
  const bounds = await plan.boundingBox()
  if (!bounds) throw new Error('the plan is not on the screen')
  await showPage.mouse.click(bounds.x + 560, bounds.y + 330)
  await expect(panel(showPage).getByLabel('Place')).toHaveValue('')
  await expect(showPage.getByRole('img', { name: 'Place of the lens' })).toBeVisible()
})

test('writes names where they run into nothing, and the others while they are pointed at', async ({ showPage }) => {
  await openRig(showPage)
  const target = (name: string) => showPage.getByRole('img', { name: `Target ${name}` })
  await expect(target('House front').getByText('House front', { exact: true }).last()).toBeVisible()
  const crowded = target('Shore mark').locator('text')
  await expect(crowded).toBeHidden()
  await target('Shore mark').hover()
  await expect(crowded).toBeVisible()
})

test('draws the stage in space, and only when something changes', async ({ showPage }) => {
  await openRig(showPage)
  await showPage.getByRole('radio', { name: 'Space' }).click()
  const canvas = showPage.locator('canvas')
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
  await showPage.getByRole('button', { name: 'From above' }).click()
  await expect.poll(frames).toBeGreaterThan(resting)
  await cell(showPage, 'Fixtures', 14, 1).click()
  await showPage.getByRole('button', { name: 'From fixture 14' }).click()
  await showPage.getByRole('button', { name: 'Haze' }).click()
  await expect(showPage.getByRole('button', { name: 'Haze' })).toHaveAttribute('aria-pressed', 'false')
  expect(Number(await canvas.getAttribute('data-draw-calls'))).toBeLessThan(20)
})

test('is accessible in every part and both themes', async ({ showPage }) => {
  for (const theme of ['night', 'paper']) {
    if (theme === 'paper') {
      await showPage.getByRole('button', { name: /show menu/ }).click()
      await showPage.getByRole('menuitem', { name: 'Paper theme' }).click()
    }
    await openRig(showPage)
    await cell(showPage, 'Fixtures', 11, 1).click()
    await expectAccessible(showPage)
    await showPage.getByRole('radio', { name: 'Section' }).click()
    await panel(showPage).getByRole('button', { name: 'Close' }).click()
    await panel(showPage).getByRole('button', { name: 'Change the venue' }).click()
    await expectAccessible(showPage)
    await showPage.getByRole('radio', { name: 'Plan' }).click()
    for (const part of ['Types', 'Patch', 'Check']) {
      await showPage.getByRole('link', { name: part }).click()
      await expect(showPage.getByRole('main')).toBeVisible()
      await expectAccessible(showPage)
    }
    await showPage.getByRole('link', { name: 'Focus', exact: true }).click()
  }
})

test('the universe map shows what goes out, as it changes', async ({ showPage, context, url }) => {
  await showPage.getByRole('link', { name: 'Rig' }).click()
  await showPage.getByRole('link', { name: 'Patch' }).click()
  await showPage.getByRole('button', { name: 'Show levels' }).click()
  const channels = showPage.getByRole('img', { name: /^Fixture 1, channels 1 to/ }).locator('title')
  await expect(channels).toHaveText(/^(\d+ )+\d+$/)
  const before = await channels.textContent()
  const other = await context.newPage()
  await openShowPage(other, url)
  await select(other, '1')
  await other.getByLabel('pan in degrees').fill('100')
  await other.getByLabel('pan in degrees').press('Enter')
  await expect(channels).not.toHaveText(before ?? '')
  await other.keyboard.press('Control+z')
  await expect(channels).toHaveText(before ?? '')
})
