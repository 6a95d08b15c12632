import type { Page } from '@playwright/test'
import { drag, expect, expectAccessible, middle, openShowPage, select, targetMark, test } from './app'

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

test('a cell says where its value comes from and how far it carries, and can be changed', async ({ showPage }) => {
  await openCues(showPage)
  await chooseCell(showPage, /^Cue 12 Nets/, 1)
  const cell = panel(showPage, 'Cells')
  await expect(cell.getByRole('region', { name: 'What stands here' })).toContainText(
    /position\s*Bridge to lighthouse\s*set here, to cue 13/,
  )
  await showPage.keyboard.press('ArrowDown')
  await expect(cell).toContainText('from cue 12')
  await cell.getByRole('button', { name: 'Block', exact: true }).click()
  await expect(cell).toContainText('blocked')
  await cell.getByRole('button', { name: 'Unblock' }).click()
  await expect(cell).toContainText('from cue 12')
  await cell.getByRole('button', { name: 'Take out' }).click()
  await expect(showPage.getByRole('alert').or(showPage.getByRole('status'))).toContainText(/what is seen is carried/)
  await cell.getByRole('combobox', { name: 'palette' }).selectOption({ label: '22 Bridge to jetty' })
  await cell.getByLabel('A change counts').selectOption('here only')
  await cell.getByRole('button', { name: 'Link', exact: true }).click()
  await expect(cell).toContainText(/Bridge to jetty\s*set here, ends here/)
  await showPage.keyboard.press('Control+z')
  await expect(cell).toContainText('from cue 12')
  await cell.getByRole('button', { name: 'Back to rest' }).click()
  await expect(cell).toContainText(/position\s*back to rest\s*set here, ends here/)
  await showPage.keyboard.press('Control+z')
  await expect(cell).toContainText('from cue 12')

  await showPage.getByRole('combobox', { name: 'Family shown' }).selectOption('intensity')
  await cell.getByLabel(/intensity, %/).fill('35')
  await cell.getByRole('button', { name: 'Set', exact: true }).click()
  await expect(cell).toContainText('35 %')
  await cell.getByRole('link', { name: 'Bridge to lighthouse' }).first().click()
  await expect(showPage.getByRole('complementary', { name: 'Palette 23' })).toBeVisible()
})

test('a window that comes later stands in the middle of the fade; pause stops it for all', async ({
  showPage,
  url,
}) => {
  await openCues(showPage)
  const detail = panel(showPage, 'Cue 14.5')
  await showPage.getByRole('button', { name: /^Cue 14.5/ }).click()
  for (const label of ['Rise, s', 'Fall, s']) {
    await detail.getByLabel(label).fill('900')
    await detail.getByLabel(label).press('Enter')
  }
  await showPage.keyboard.press('Control+Enter')
  await expect(running(showPage, 'Main')).toContainText(/14\.5\s*Wave one\s*8\d\d\.\d s/)
  const other = await showPage.context().newPage()
  await openShowPage(other, url)
  await openCues(other)
  await expect(running(other, 'Main')).toContainText(/14\.5\s*Wave one\s*8\d\d\.\d s/)
  await running(other, 'Main').getByRole('button', { name: 'Pause' }).click()
  await expect(running(showPage, 'Main')).toContainText('paused')
  await showPage.reload()
  await expect(running(showPage, 'Main')).toContainText('paused')
  await running(showPage, 'Main').getByRole('button', { name: 'On', exact: true }).click()
  await expect(running(other, 'Main')).toContainText(/8\d\d\.\d s/)
  await running(other, 'Main').getByRole('button', { name: 'Release' }).click()
  await expect(running(showPage, 'Main')).toContainText('not on stage')
})

test('finds what was stored by hand beside a palette, shows the pair, links it and takes it back', async ({
  showPage,
}) => {
  await openCues(showPage)
  await showPage.getByRole('button', { name: '4 loose' }).click()
  const loose = panel(showPage, 'Loose values')
  await expect(loose.getByRole('listitem')).toHaveCount(4)
  await loose.getByRole('listitem').filter({ hasText: '37' }).getByRole('button').first().hover()
  await expect(showPage.getByRole('group', { name: 'Plan of what is compared' })).toBeVisible()
  await loose.getByLabel('within, m').fill('0.2')
  await expect(loose.getByRole('listitem')).toHaveCount(2)
  await loose.getByLabel('within, m').fill('0.5')
  await loose.getByRole('checkbox', { name: 'Link fixture 17 in cue 33' }).uncheck()
  await loose.getByRole('button', { name: 'Link 3', exact: true }).click()
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal).toContainText('Look different')
  await proposal.getByRole('button', { name: 'Cue 14.5, before and after' }).click()
  await expect(showPage.getByText('Cue 14.5: dashed as it is')).toBeVisible()
  await expectAccessible(showPage)
  await showPage.keyboard.press('Enter')
  await expect(showPage.getByRole('button', { name: '1 loose' })).toBeVisible()
  await showPage.keyboard.press('Control+z')
  await expect(showPage.getByRole('button', { name: '4 loose' })).toBeVisible()
})

test('keeps a cue and a fixture out of a change; they are held, and follow again when told', async ({ showPage }) => {
  const mark = await middle(targetMark(showPage, 'Dory bow'))
  await showPage.keyboard.press('Alt+m')
  await drag(showPage, mark, { x: mark.x, y: mark.y - 40 })
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await proposal.getByRole('button', { name: 'Cue 19, before and after' }).click()
  await proposal.getByRole('button', { name: 'cue 19', exact: true }).click()
  await proposal.getByLabel('Fixtures to keep out').fill('13')
  await showPage.keyboard.press('Enter')
  await expect(proposal).toContainText(/Held as they were\s*13 in cue 14; 12-17 in cue 19/)
  await proposal.getByRole('button', { name: /^Keep Enter/ }).click()
  await openCues(showPage)
  await showPage.getByRole('button', { name: '4 loose, 8 held' }).click()
  await panel(showPage, 'Loose values').getByRole('button', { name: 'Let them follow again' }).click()
  await showPage.keyboard.press('Enter')
  await expect(showPage.getByRole('button', { name: '4 loose', exact: true })).toBeVisible()
})

test('lists hold what they take; cues are moved and taken out with what that does shown first', async ({
  showPage,
}) => {
  await openCues(showPage)
  await showPage.getByRole('button', { name: 'Add a cue list' }).click()
  const settings = showPage.getByRole('dialog', { name: 'Settings of List 3' })
  await settings.getByLabel('Name').fill('Places')
  await settings.getByLabel('Name').press('Enter')
  await expect(showPage.getByRole('radio', { name: 'Places' })).toBeChecked()
  await expect(showPage.getByText('Cues stand here, one row each.')).toBeVisible()
  await showPage.getByRole('radio', { name: 'Main' }).click()
  await showPage.getByRole('button', { name: /^Cue 14 Dory/ }).click()
  const detail = panel(showPage, 'Cue 14')
  await detail.getByRole('button', { name: 'Move', exact: true }).click()
  await detail.getByLabel('to number').fill('11.2')
  await showPage.keyboard.press('Enter')
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal.getByRole('status')).toContainText(/Move cue 14 to 11\.2: \d+ cues look different/)
  await showPage.keyboard.press('Escape')
  await detail.getByRole('button', { name: 'Take out' }).click()
  await detail.getByRole('radio', { name: 'stay as they look' }).click()
  await detail.getByRole('button', { name: 'Take it out' }).click()
  // Nothing else looks different, so it is done at once.
  await expect(showPage.getByRole('button', { name: /^Cue 14 Dory/ })).toBeHidden()
  await expect(showPage.getByRole('button', { name: /^Undo: take out cue 14/ })).toBeVisible()
  await expectAccessible(showPage)
})

test('merges into a cue what is in hand; what is lit in a range goes out in one entry', async ({ showPage }) => {
  await select(showPage, '31-38 lit out')
  await expect(showPage.getByText('In hand: 8 fixtures, intensity')).toBeVisible()
  const hand = showPage.getByRole('complementary', { name: 'In hand' })
  await hand.getByRole('switch', { name: 'Take intensity' }).click()
  await hand.getByRole('button', { name: 'Cue', exact: true }).click()
  const form = showPage.getByRole('form', { name: 'Record a cue' })
  await form.getByRole('radio', { name: 'merge' }).click()
  await expect(form).toContainText('Stores intensity of 8 fixtures.')
  await form.getByRole('button', { name: 'Merge into cue 14' }).click()
  await expect(form).toBeHidden()
  await expect(showPage.getByText('In hand: ')).toBeHidden()
  await openCues(showPage)
  await showPage.getByRole('combobox', { name: 'Family shown' }).selectOption('intensity')
  await chooseCell(showPage, /^Cue 14 Dory/, 21)
  await expect(panel(showPage, 'Cells')).toContainText(/intensity\s*0 %\s*set here/)
})

test('keeps versions, tells what changed, goes back; a back-up opens as a show, a foreign file is refused', async ({
  showPage,
}) => {
  const menu = async (item: string) => {
    await showPage.getByRole('button', { name: /show menu/ }).click()
    await showPage.getByRole('menuitem', { name: item }).click()
  }
  await menu('History')
  const history = showPage.getByRole('dialog', { name: 'History' })
  await history.getByLabel('Name of the version').fill('Before the changes')
  await history.getByRole('button', { name: 'Keep' }).click()
  await expect(history.getByRole('button', { name: /^Before the changes/ })).toBeVisible()
  await showPage.keyboard.press('Escape')
  await openCues(showPage)
  await showPage.getByRole('button', { name: /^Cue 14 Dory/ }).click()
  await panel(showPage, 'Cue 14').getByLabel('Name', { exact: true }).fill('Aground')
  await showPage.keyboard.press('Enter')
  await menu('History')
  await history.getByRole('button', { name: /^Before the changes/ }).click()
  await expect(history.getByRole('region', { name: 'What changed' })).toContainText('name: Dory runs aground → Aground')
  await expectAccessible(showPage)
  await history.getByRole('button', { name: 'Restore', exact: true }).click()
  await history.getByRole('button', { name: 'Restore all of it' }).click()
  await expect(showPage.getByRole('button', { name: /^Cue 14 Dory runs aground/ })).toBeVisible()

  await menu('History')
  await history.getByRole('button', { name: /^Before: restore/ }).click()
  await history.getByRole('button', { name: 'Forget it' }).click()
  await expect(history.getByRole('button', { name: /^Before: restore/ })).toBeHidden()
  await showPage.keyboard.press('Escape')

  const download = showPage.waitForEvent('download')
  await menu('Back up to a file')
  const file = await (await download).path()
  await menu('Open a back-up')
  const dialog = showPage.getByRole('dialog', { name: 'Open a back-up' })
  await dialog.getByLabel('Choose the file').setInputFiles({
    name: 'foreign.rhopander',
    mimeType: 'application/gzip',
    buffer: Buffer.from('not one of ours'),
  })
  await expect(dialog.getByRole('alert')).toHaveText('This file cannot be restored. It is not a back-up of a show.')
  const before = showPage.url()
  await dialog.getByLabel('Choose the file').setInputFiles(file)
  await expect(showPage.getByRole('group', { name: 'Stage plan' })).toBeVisible()
  expect(showPage.url()).not.toBe(before)

  // As plain JSON it is read back too.
  const written = showPage.waitForEvent('download')
  await menu('Write as plain JSON')
  const plain = await (await written).path()
  const [, again] = [await menu('Open a back-up'), showPage.url()]
  await dialog.getByLabel('Choose the file').setInputFiles(plain)
  await expect(showPage).not.toHaveURL(again)
  await expect(showPage.getByRole('group', { name: 'Stage plan' })).toBeVisible()
})

test('an empty cue between others carries everything on, and what follows comes by itself', async ({ showPage }) => {
  await openCues(showPage)
  await showPage.getByRole('button', { name: /^Cue 14.5/ }).click()
  await panel(showPage, 'Cue 14.5').getByRole('button', { name: 'Insert' }).click()
  const form = showPage.getByRole('form', { name: 'Insert a cue' })
  await form.getByLabel('name').fill('Breath')
  await form.getByRole('button', { name: 'Insert' }).click()
  await showPage.getByRole('button', { name: /^Cue 14.75 Breath/ }).click()
  const detail = panel(showPage, 'Cue 14.75')
  await expect(detail).toContainText('This cue sets nothing: it carries everything on.')
  for (const label of ['Rise, s', 'Fall, s']) {
    await detail.getByLabel(label).fill('0.2')
    await detail.getByLabel(label).press('Enter')
  }
  await detail.getByRole('button', { name: 'To stage' }).click()
  await expect(detail).toContainText('on stage')
  // Cue 15 comes after the one before it.
  await showPage.keyboard.press('Control+Backspace')
  await showPage.keyboard.press('Control+Enter')
  await expect(running(showPage, 'Main')).toContainText(/15\s*Wave two/)
})

test('a family and fixtures move in their own time', async ({ showPage }) => {
  await openCues(showPage)
  await showPage.getByRole('button', { name: /^Cue 14 Dory/ }).click()
  const detail = panel(showPage, 'Cue 14')
  await detail.getByRole('button', { name: 'Own times or ways for a family or fixtures' }).click()
  const form = detail.getByRole('form', { name: 'Times of their own' })
  await form.getByLabel('family').selectOption('position')
  await form.getByLabel('fixtures').fill('Nowhere')
  await form.getByLabel('takes, s').fill('7')
  await form.getByRole('button', { name: 'Set' }).click()
  await expect(form.getByRole('alert')).toContainText('Nowhere')
  await form.getByLabel('fixtures').fill('12-13')
  await form.getByLabel('late, s').fill('2')
  await form.getByLabel('travels').selectOption('by angle')
  await form.getByRole('button', { name: 'Set' }).click()
  await expect(detail).toContainText(/12.*7 s, 2 s late, by angle/)
  await expect(detail.getByRole('combobox', { name: 'Light travels' })).toHaveValue('straight')
  await detail.getByRole('button', { name: /^No own time for .*13/ }).click()
  await expect(detail.getByRole('button', { name: /^No own time for/ })).toBeHidden()
  await showPage.keyboard.press('Control+z')
  await expect(detail.getByRole('button', { name: /^No own time for .*13/ })).toBeVisible()
})

test('tells which moves are too fast for the motors, and gives them the time or another way', async ({ showPage }) => {
  await openCues(showPage)
  await showPage.getByRole('button', { name: '2 cues too fast' }).click()
  const list = showPage.getByRole('list', { name: 'Too fast for the motors' })
  await expect(list.getByRole('listitem')).toHaveCount(2)
  await expectAccessible(showPage)
  await list.getByRole('button', { name: /Quick, ready for 17.*4 fixtures/ }).click()
  const motors = panel(showPage, 'Cue 16.5').getByRole('region', { name: 'Too fast for the motors' })
  await expect(motors).toContainText(/13needs 1\.\d+ s, has 0\.6/)
  await expect(motors).toContainText(/m behind/)
  await expectAccessible(showPage)
  await showPage.getByRole('button', { name: 'Do it: Move in 1.1 s' }).click()
  await expect(motors).toBeHidden()
  await expect(showPage.getByRole('button', { name: '1 cue too fast' })).toBeVisible()
  await showPage.keyboard.press('Control+z')
  await expect(motors).toBeVisible()

  await showPage.getByRole('button', { name: /^Cue 8 Down/ }).click()
  const others = panel(showPage, 'Cue 8').getByRole('region', { name: 'Too fast for the motors' })
  await expect(others).toContainText('straight past its pan axis')
  await showPage.getByRole('button', { name: 'Do it: 17, 18, 41, 43, 44 by angle' }).click()
  await expect(panel(showPage, 'Cue 8')).toContainText(/position of 17, 18, 41, 43, 44.*by angle/)
  await expect(others).not.toContainText('straight past its pan axis')
})

test('records what the stage shows, for this cue only', async ({ showPage }) => {
  const hand = panel(showPage, 'In hand')
  await select(showPage, '31-34')
  await hand.getByRole('switch', { name: 'Take intensity' }).click()
  await hand.getByRole('button', { name: 'Cue', exact: true }).click()
  const form = showPage.getByRole('form', { name: 'Record a cue' })
  await form.getByLabel('Of what').selectOption('what is on stage')
  await form.getByRole('radio', { name: 'here only' }).click()
  await form.getByLabel('number').fill('14.2')
  await form.getByLabel('name').fill('As it stands')
  await form.getByRole('button', { name: 'Record cue' }).click()
  await expect(form).toBeHidden()
  await openCues(showPage)
  await showPage.getByRole('button', { name: /^Cue 14.2 As it stands/ }).click()
  await expect(panel(showPage, 'Cue 14.2')).toContainText('on stage')
  await showPage.keyboard.press('Control+z')
  await expect(showPage.getByRole('button', { name: /^Cue 14.2/ })).toBeHidden()
})
