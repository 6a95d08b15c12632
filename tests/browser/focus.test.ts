import type { Page } from '@playwright/test'
import {
  aimOf,
  drag,
  expect,
  expectAccessible,
  expectSelected,
  middle,
  numbersFollowed,
  openFamilies,
  record,
  select,
  targetMark,
  test,
} from './app'

const fixture = (page: Page, number: number) =>
  page.getByRole('group', { name: 'Stage plan' }).getByRole('img', { name: new RegExp(`^Fixture ${number}(,|$)`) })

test('shows light that is not selected in its own colour, for whoever likes it so', async ({ showPage }) => {
  const own = showPage.getByRole('button', { name: 'Light in its own colour' })
  await expect(own).toHaveAttribute('aria-pressed', 'false')
  await own.click()
  await expect(own).toHaveAttribute('aria-pressed', 'true')
  await showPage.reload()
  await expect(own).toHaveAttribute('aria-pressed', 'true')
  await expectAccessible(showPage)
})

test('selects by typing, clicking and drawing a box, and keeps the order', async ({ showPage }) => {
  await select(showPage, '12-14, 21')
  await expectSelected(showPage, [12, 13, 14, 21])
  await fixture(showPage, 31).click()
  await expectSelected(showPage, [31])
  await fixture(showPage, 35).click({ modifiers: ['Shift'] })
  await fixture(showPage, 33).click({ modifiers: ['Shift'] })
  await expectSelected(showPage, [31, 35, 33])
  await fixture(showPage, 31).click({ modifiers: ['Shift'] })
  await expectSelected(showPage, [35, 33])

  const right = await middle(fixture(showPage, 6))
  const left = await middle(fixture(showPage, 2))
  await drag(showPage, { x: right.x + 20, y: right.y + 25 }, { x: left.x - 20, y: left.y - 25 })
  await expectSelected(showPage, [6, 5, 4, 3, 2])

  await showPage.keyboard.type('12, 77')
  await showPage.keyboard.press('Enter')
  await expect(showPage.getByRole('alert')).toHaveText('There is no fixture 77.')
  await expectSelected(showPage, [6, 5, 4, 3, 2])
})

test('aims by target, by the stage, by degrees and by nudges, and undoes each by name', async ({ showPage }) => {
  await select(showPage, '14')
  const picker = showPage.getByRole('combobox', { name: 'Aim at a target' })
  await picker.fill('jetty e')
  await showPage.getByRole('option', { name: /Jetty end/ }).click()
  await expect(picker).toHaveAttribute('placeholder', 'Jetty end')
  const atJetty = await aimOf(showPage, 14).innerText()

  await showPage.keyboard.press('Escape')
  await select(showPage, '14')
  await showPage.keyboard.press('Alt+a')
  const mark = await middle(targetMark(showPage, 'Dory bow'))
  await showPage.mouse.click(mark.x, mark.y)
  await expect(picker).toHaveAttribute('placeholder', 'Dory bow')
  await expect(aimOf(showPage, 14)).not.toHaveText(atJetty)

  await showPage.mouse.click(mark.x + 90, mark.y + 30)
  await expect(picker).toHaveAttribute('placeholder', 'A free place')
  await expect(showPage.getByRole('button', { name: /^Undo: aim fixture 14 at the stage/ })).toBeEnabled()
  await showPage.keyboard.press('Control+z')
  await expect(picker).toHaveAttribute('placeholder', 'Dory bow')

  await showPage.keyboard.press('ArrowUp')
  await expect(showPage.getByText('0.10 m upstage of it')).toBeVisible()
  await showPage.keyboard.press('Shift+ArrowUp')
  await expect(showPage.getByText('0.11 m upstage of it')).toBeVisible()

  await showPage.getByLabel('pan in degrees').fill('400')
  await showPage.keyboard.press('Enter')
  await expect(showPage.getByRole('alert').filter({ hasText: 'beyond its stops, -270° to 270°' })).toBeVisible()
  await showPage.getByLabel('pan in degrees').fill('-33.5')
  await showPage.keyboard.press('Enter')
  await expect(aimOf(showPage, 14)).toContainText('-33.5°')
  await expect(picker).toHaveAttribute('placeholder', 'Raw angles, no target')
})

test('drags the light by its handle, with the numbers following before the drop', async ({ showPage }) => {
  await select(showPage, '12-17')
  const handle = await middle(showPage.getByRole('img', { name: 'Handle of the light' }))
  const before = await aimOf(showPage, 12).innerText()
  const dragIt = async () => {
    await showPage.mouse.move(handle.x, handle.y)
    await showPage.mouse.down()
    await showPage.mouse.move(handle.x + 30, handle.y - 40, { steps: 5 })
  }
  await dragIt()
  await showPage.mouse.up()
  await expect(showPage.getByRole('button', { name: /^Undo: aim 6 fixtures at Dory bow/ })).toBeEnabled()
  await numbersFollowed(showPage)
  const after = await aimOf(showPage, 12).innerText()
  expect(after).not.toBe(before)
  await showPage.keyboard.press('Control+z')
  await expect(aimOf(showPage, 12)).toHaveText(before, { useInnerText: true })
  await dragIt()
  await expect(aimOf(showPage, 12)).toHaveText(after, { useInnerText: true })
  await expect(showPage.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled()
  await showPage.mouse.up()
})

test('says how far a light falls short of what it cannot reach', async ({ showPage }) => {
  await select(showPage, '51')
  await showPage.keyboard.press('Alt+a')
  // A standing head cannot look at its own foot.
  const foot = await middle(fixture(showPage, 51))
  await showPage.mouse.click(foot.x, foot.y)
  await expect(showPage.getByText(/51: \d+\.\d° short, misses by/)).toBeVisible()
  await expect(showPage.getByText('1 of 1 out of reach').first()).toBeVisible()
})

test('records a position and a focus palette, recalls by a click and previews by hovering', async ({ showPage }) => {
  await select(showPage, '12-17')
  await showPage.getByRole('combobox', { name: 'Aim at a target' }).fill('Keeper')
  await showPage.getByRole('option', { name: /Keeper/ }).click()
  await openFamilies(showPage, 'Beam')
  await showPage.getByLabel('pool in metres').fill('1.5')
  await showPage.keyboard.press('Enter')
  await showPage.getByRole('button', { name: 'Full' }).click()
  await expect(showPage.getByRole('button', { name: 'Record position and beam' })).toBeVisible()
  await record(showPage, 'palette', { shelf: 'position', number: '33', name: 'Only the place' })
  await showPage.getByRole('tab', { name: 'Position' }).click()
  await expect(showPage.getByRole('button', { name: 'Palette 33 Only the place, in hand' })).toContainText('6 fixtures')
  await record(showPage, 'palette', { shelf: 'focus', number: '10.5', name: 'Place and pool' })
  await showPage.getByRole('tab', { name: 'Focus' }).click()
  const card = showPage.getByRole('button', { name: /Palette 10.5 Place and pool/ })
  await expect(card).toBeVisible()

  await showPage.getByRole('button', { name: 'Clear', exact: true }).click()
  await showPage.getByRole('button', { name: /^Everything/ }).click()
  await expect(showPage.getByText('In hand: 6 fixtures')).toBeHidden()
  await card.hover()
  await expect(showPage.getByRole('img', { name: /, 6 as the palette looked at would have them/ })).toBeVisible()
  await card.click()
  await expect(aimOf(showPage, 12)).toContainText('1.50 m')
  await expect(showPage.getByRole('button', { name: 'Palette 10.5 Place and pool, in hand' })).toBeVisible()
  // Intensity was only there to see by: no palette took it.
  await expect(showPage.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
})

test('refuses a number that is taken, at the place and with the remedy', async ({ showPage }) => {
  await showPage.getByRole('button', { name: /Palette 1 Dory bow/ }).click()
  await showPage.getByRole('button', { name: /^Record position/ }).click()
  const form = showPage.getByRole('form', { name: 'Record a palette' })
  await form.getByLabel('number').fill('2')
  await form.getByLabel('name').fill('Twin')
  await form.getByRole('button', { name: /^Record/ }).click()
  await expect(showPage.getByRole('alert')).toHaveText(/Number 2 is Dory stern. Choose another number./)
  await expect(form.getByLabel('name')).toHaveValue('Twin')
})

test('is accessible in both themes', async ({ showPage }) => {
  await select(showPage, '12-17')
  await expectAccessible(showPage)
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Paper theme' }).click()
  await expectAccessible(showPage)
})

test('pans, zooms and fits the plan by wheel and keys', async ({ showPage }) => {
  const at = () => middle(fixture(showPage, 11))
  const fitted = await at()
  await showPage.mouse.move(640, 320)
  await showPage.mouse.wheel(0, -300)
  await expect(async () => expect((await at()).x).toBeLessThan(fitted.x - 5)).toPass()
  const zoomed = await at()
  await showPage.keyboard.press('ArrowLeft')
  await expect(async () => expect((await at()).x).toBeGreaterThan(zoomed.x + 30)).toPass()
  await showPage.keyboard.press('Home')
  await expect(async () => expect((await at()).x).toBeCloseTo(fitted.x, 0)).toPass()
})

test('panels are drawn to other sizes by pointer and keys, and keep them', async ({ showPage }) => {
  const edge = (name: string) => showPage.getByRole('separator', { name })
  const widthOf = async (name: string) =>
    (await showPage.getByRole('complementary', { name }).boundingBox())?.width ?? 0
  const before = await widthOf('In hand')
  const grip = await edge('Width of the hand').boundingBox()
  if (!grip) throw new Error('no edge')
  await showPage.mouse.move(grip.x + 3, grip.y + 200)
  await showPage.mouse.down()
  await showPage.mouse.move(grip.x - 37, grip.y + 200, { steps: 4 })
  await showPage.mouse.up()
  expect(await widthOf('In hand')).toBe(before + 40)

  await edge('Width of Select').press('ArrowRight')
  await edge('Width of Select').press('Shift+ArrowRight')
  await expect(edge('Width of Select')).toHaveAttribute('aria-valuenow', '266')
  await edge('Height of the shelf').press('ArrowUp')
  await edge('Height of the shelf').press('ArrowUp')
  await showPage.getByRole('radio', { name: 'list', exact: true }).click()
  const cards = showPage.getByRole('article')
  const [first, fifth, sixth] = await Promise.all([0, 4, 5].map((n) => cards.nth(n).boundingBox()))
  expect([fifth?.x, sixth?.x === first?.x]).toEqual([first?.x, false])
  await expectAccessible(showPage)

  await showPage.reload()
  await expect(edge('Width of Select')).toHaveAttribute('aria-valuenow', '266')
  expect(await widthOf('In hand')).toBe(before + 40)
  await edge('Width of the hand').dblclick()
  await expect(edge('Width of the hand')).toHaveAttribute('aria-valuenow', '316')
})
