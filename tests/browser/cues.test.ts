import type { Page } from '@playwright/test'
import { drag, expect, expectAccessible, middle, openDesk, select, targetMark, test } from './app'

async function openCues(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Cues' }).click()
  await expect(page.getByRole('region', { name: 'Carry sheet' })).toBeVisible()
}

const cells = (page: Page) => page.getByRole('group', { name: /^Cells of the carry sheet/ })
const panel = (page: Page, name: string) => page.getByRole('complementary', { name })
const running = (page: Page, list: string) => page.getByRole('region', { name: `Run ${list}` })

/** Looks at a cue that is in view, and chooses one of its cells: the nth fixture from the left. */
async function chooseCell(page: Page, cue: RegExp, nth: number): Promise<void> {
  await page.getByRole('button', { name: cue }).click()
  await cells(page).focus()
  for (let i = 0; i < nth; i++) await page.keyboard.press('ArrowRight')
}

test('a cell says where its value comes from and how far it carries, and can be changed', async ({ desk }) => {
  await openCues(desk)
  await chooseCell(desk, /^Cue 12 Nets/, 1)
  const cell = panel(desk, 'Cells')
  await expect(cell.getByRole('region', { name: 'What stands here' })).toContainText(
    /position\s*Bridge to lighthouse\s*set here, to cue 13/,
  )
  await desk.keyboard.press('ArrowDown')
  await expect(cell).toContainText('from cue 12')
  await cell.getByRole('button', { name: 'Block', exact: true }).click()
  await expect(cell).toContainText('blocked')
  await cell.getByRole('button', { name: 'Unblock' }).click()
  await expect(cell).toContainText('from cue 12')
  await cell.getByRole('button', { name: 'Take out' }).click()
  await expect(desk.getByRole('alert').or(desk.getByRole('status'))).toContainText(/what is seen is carried/)
  await cell.getByRole('combobox', { name: 'palette' }).selectOption({ label: '22 Bridge to jetty' })
  await cell.getByLabel('A change counts').selectOption('here only')
  await cell.getByRole('button', { name: 'Link', exact: true }).click()
  await expect(cell).toContainText(/Bridge to jetty\s*set here, ends here/)
  await desk.keyboard.press('Control+z')
  await expect(cell).toContainText('from cue 12')

  await desk.getByRole('combobox', { name: 'Family shown' }).selectOption('intensity')
  await cell.getByLabel(/intensity, %/).fill('35')
  await cell.getByRole('button', { name: 'Set', exact: true }).click()
  await expect(cell).toContainText('35 %')
  await cell.getByRole('link', { name: 'Bridge to lighthouse' }).first().click()
  await expect(desk.getByRole('complementary', { name: 'Palette 23' })).toBeVisible()
})

test('a window that comes later stands in the middle of the fade; pause stops it for all', async ({ desk, url }) => {
  await openCues(desk)
  const detail = panel(desk, 'Cue 14.5')
  await desk.getByRole('button', { name: /^Cue 14.5/ }).click()
  for (const label of ['Rise, s', 'Fall, s']) {
    await detail.getByLabel(label).fill('900')
    await detail.getByLabel(label).press('Enter')
  }
  await desk.keyboard.press('Control+Enter')
  await expect(running(desk, 'Main')).toContainText(/14\.5\s*Wave one\s*8\d\d\.\d s/)
  const other = await desk.context().newPage()
  await openDesk(other, url)
  await openCues(other)
  await expect(running(other, 'Main')).toContainText(/14\.5\s*Wave one\s*8\d\d\.\d s/)
  await running(other, 'Main').getByRole('button', { name: 'Pause' }).click()
  await expect(running(desk, 'Main')).toContainText('paused')
  await desk.reload()
  await expect(running(desk, 'Main')).toContainText('paused')
  await running(desk, 'Main').getByRole('button', { name: 'On', exact: true }).click()
  await expect(running(other, 'Main')).toContainText(/8\d\d\.\d s/)
  await running(other, 'Main').getByRole('button', { name: 'Release' }).click()
  await expect(running(desk, 'Main')).toContainText('not on stage')
})

test('finds what was stored by hand beside a palette, shows the pair, links it and takes it back', async ({ desk }) => {
  await openCues(desk)
  await desk.getByRole('button', { name: '4 loose' }).click()
  const loose = panel(desk, 'Loose values')
  await expect(loose.getByRole('listitem')).toHaveCount(4)
  await loose.getByRole('listitem').filter({ hasText: '37' }).getByRole('button').first().hover()
  await expect(desk.getByRole('group', { name: 'Plan of what is compared' })).toBeVisible()
  await loose.getByLabel('within, m').fill('0.2')
  await expect(loose.getByRole('listitem')).toHaveCount(2)
  await loose.getByLabel('within, m').fill('0.5')
  await loose.getByRole('checkbox', { name: 'Link fixture 17 in cue 33' }).uncheck()
  await loose.getByRole('button', { name: 'Link 3', exact: true }).click()
  const proposal = desk.getByRole('region', { name: 'Proposed change' })
  await expect(proposal).toContainText('Look different')
  await proposal.getByRole('button', { name: 'Cue 14.5, before and after' }).click()
  await expect(desk.getByText('Cue 14.5: dashed as it is')).toBeVisible()
  await expectAccessible(desk)
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('button', { name: '1 loose' })).toBeVisible()
  await desk.keyboard.press('Control+z')
  await expect(desk.getByRole('button', { name: '4 loose' })).toBeVisible()
})

test('keeps a cue and a fixture out of a change; they are held, and follow again when told', async ({ desk }) => {
  const mark = await middle(targetMark(desk, 'Dory bow'))
  await desk.keyboard.press('Alt+m')
  await drag(desk, mark, { x: mark.x, y: mark.y - 40 })
  const proposal = desk.getByRole('region', { name: 'Proposed change' })
  await proposal.getByRole('button', { name: 'Cue 19, before and after' }).click()
  await proposal.getByRole('button', { name: 'cue 19', exact: true }).click()
  await proposal.getByLabel('Fixtures to keep out').fill('13')
  await desk.keyboard.press('Enter')
  await expect(proposal).toContainText(/Held as they were\s*13 in cue 14; 12, 13, 14, 15, 16, 17 in cue 19/)
  await proposal.getByRole('button', { name: /^Keep Enter/ }).click()
  await openCues(desk)
  await desk.getByRole('button', { name: '4 loose, 8 held' }).click()
  await panel(desk, 'Loose values').getByRole('button', { name: 'Let them follow again' }).click()
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('button', { name: '4 loose', exact: true })).toBeVisible()
})

test('lists hold what they take; cues are moved and taken out with what that does shown first', async ({ desk }) => {
  await openCues(desk)
  await desk.getByRole('button', { name: 'Add a cue list' }).click()
  const settings = desk.getByRole('dialog', { name: 'Settings of List 3' })
  await settings.getByLabel('Name').fill('Places')
  await settings.getByLabel('Name').press('Enter')
  await expect(desk.getByRole('radio', { name: 'Places' })).toBeChecked()
  await expect(desk.getByText('Cues stand here, one row each.')).toBeVisible()
  await desk.getByRole('radio', { name: 'Main' }).click()
  await desk.getByRole('button', { name: /^Cue 14 Dory/ }).click()
  const detail = panel(desk, 'Cue 14')
  await detail.getByRole('button', { name: 'Move', exact: true }).click()
  await detail.getByLabel('to number').fill('11.2')
  await desk.keyboard.press('Enter')
  const proposal = desk.getByRole('region', { name: 'Proposed change' })
  await expect(proposal.getByRole('status')).toContainText(/Move cue 14 to 11\.2: \d+ cues look different/)
  await desk.keyboard.press('Escape')
  await detail.getByRole('button', { name: 'Take out' }).click()
  await detail.getByRole('radio', { name: 'stay as they look' }).click()
  await detail.getByRole('button', { name: 'Take it out' }).click()
  // Nothing else looks different, so it is done at once.
  await expect(desk.getByRole('button', { name: /^Cue 14 Dory/ })).toBeHidden()
  await expect(desk.getByRole('button', { name: /^Undo: take out cue 14/ })).toBeVisible()
  await expectAccessible(desk)
})

test('merges into a cue what is in hand; what is lit in a range goes out in one entry', async ({ desk }) => {
  await select(desk, '31-38 lit out')
  await expect(desk.getByText('In hand: 8 fixtures, intensity')).toBeVisible()
  const hand = desk.getByRole('complementary', { name: 'In hand' })
  await hand.getByRole('switch', { name: 'Take intensity' }).click()
  await hand.getByRole('button', { name: 'Cue', exact: true }).click()
  const form = desk.getByRole('form', { name: 'Record a cue' })
  await form.getByRole('radio', { name: 'merge' }).click()
  await expect(form).toContainText('Stores intensity of 8 fixtures.')
  await form.getByRole('button', { name: 'Merge into cue 14' }).click()
  await expect(form).toBeHidden()
  await expect(desk.getByText('In hand: ')).toBeHidden()
  await openCues(desk)
  await desk.getByRole('combobox', { name: 'Family shown' }).selectOption('intensity')
  await chooseCell(desk, /^Cue 14 Dory/, 21)
  await expect(panel(desk, 'Cells')).toContainText(/intensity\s*0 %\s*set here/)
})

test('keeps versions, tells what changed, goes back; a back-up opens as a show, a foreign file is refused', async ({
  desk,
}) => {
  const menu = async (item: string) => {
    await desk.getByRole('button', { name: /show menu/ }).click()
    await desk.getByRole('menuitem', { name: item }).click()
  }
  await menu('History')
  const history = desk.getByRole('dialog', { name: 'History' })
  await history.getByLabel('Name of the version').fill('Before the changes')
  await history.getByRole('button', { name: 'Keep' }).click()
  await expect(history.getByRole('button', { name: /^Before the changes/ })).toBeVisible()
  await desk.keyboard.press('Escape')
  await openCues(desk)
  await desk.getByRole('button', { name: /^Cue 14 Dory/ }).click()
  await panel(desk, 'Cue 14').getByLabel('Name', { exact: true }).fill('Aground')
  await desk.keyboard.press('Enter')
  await menu('History')
  await history.getByRole('button', { name: /^Before the changes/ }).click()
  await expect(history.getByRole('region', { name: 'What changed' })).toContainText('name: Dory runs aground → Aground')
  await expectAccessible(desk)
  await history.getByRole('button', { name: 'Restore', exact: true }).click()
  await history.getByRole('button', { name: 'Restore all of it' }).click()
  await expect(desk.getByRole('button', { name: /^Cue 14 Dory runs aground/ })).toBeVisible()

  const download = desk.waitForEvent('download')
  await menu('Back up to a file')
  const file = await (await download).path()
  await menu('Open a back-up')
  const dialog = desk.getByRole('dialog', { name: 'Open a back-up' })
  await dialog.getByLabel('Choose the file').setInputFiles({
    name: 'foreign.rhopander',
    mimeType: 'application/gzip',
    buffer: Buffer.from('not one of ours'),
  })
  await expect(dialog.getByRole('alert')).toHaveText('This file cannot be restored. It is not a back-up of a show.')
  const before = desk.url()
  await dialog.getByLabel('Choose the file').setInputFiles(file)
  await expect(desk.getByRole('group', { name: 'Stage plan' })).toBeVisible()
  expect(desk.url()).not.toBe(before)
})
