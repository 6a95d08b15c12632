import type { Page } from '@playwright/test'
import {
  aimOf,
  drag,
  expect,
  expectAccessible,
  expectSelected,
  middle,
  numbersFollowed,
  record,
  select,
  targetMark,
  test,
} from './app'

const fixture = (page: Page, number: number) =>
  page.getByRole('group', { name: 'Stage plan' }).getByRole('img', { name: new RegExp(`^Fixture ${number}(,|$)`) })

test('selects by typing, clicking and drawing a box, and keeps the order', async ({ desk }) => {
  await select(desk, '12-14, 21')
  await expectSelected(desk, [12, 13, 14, 21])
  await fixture(desk, 31).click()
  await expectSelected(desk, [31])
  await fixture(desk, 35).click({ modifiers: ['Shift'] })
  await fixture(desk, 33).click({ modifiers: ['Shift'] })
  await expectSelected(desk, [31, 35, 33])
  await fixture(desk, 31).click({ modifiers: ['Shift'] })
  await expectSelected(desk, [35, 33])

  const right = await middle(fixture(desk, 6))
  const left = await middle(fixture(desk, 2))
  await drag(desk, { x: right.x + 20, y: right.y + 25 }, { x: left.x - 20, y: left.y - 25 })
  await expectSelected(desk, [6, 5, 4, 3, 2])

  await desk.keyboard.type('12, 77')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('alert')).toHaveText('There is no fixture 77.')
  await expectSelected(desk, [6, 5, 4, 3, 2])
})

test('aims by target, by the stage, by degrees and by nudges, and undoes each by name', async ({ desk }) => {
  await select(desk, '14')
  const picker = desk.getByRole('combobox', { name: 'Aim at a target' })
  await picker.fill('jetty e')
  await desk.getByRole('option', { name: /Jetty end/ }).click()
  await expect(picker).toHaveAttribute('placeholder', 'Jetty end')
  const atJetty = await aimOf(desk, 14).innerText()

  await desk.keyboard.press('Escape')
  await select(desk, '14')
  await desk.keyboard.press('Alt+a')
  const mark = await middle(targetMark(desk, 'Dory bow'))
  await desk.mouse.click(mark.x, mark.y)
  await expect(picker).toHaveAttribute('placeholder', 'Dory bow')
  await expect(aimOf(desk, 14)).not.toHaveText(atJetty)

  await desk.mouse.click(mark.x + 90, mark.y + 30)
  await expect(picker).toHaveAttribute('placeholder', 'A free place')
  await expect(desk.getByRole('button', { name: /^Undo: aim fixture 14 at the stage/ })).toBeEnabled()
  await desk.keyboard.press('Control+z')
  await expect(picker).toHaveAttribute('placeholder', 'Dory bow')

  await desk.keyboard.press('ArrowUp')
  await expect(desk.getByText('0.10 m upstage of it')).toBeVisible()
  await desk.keyboard.press('Shift+ArrowUp')
  await expect(desk.getByText('0.11 m upstage of it')).toBeVisible()

  await desk.getByLabel('pan in degrees').fill('400')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('alert').filter({ hasText: 'beyond its stops, -270° to 270°' })).toBeVisible()
  await desk.getByLabel('pan in degrees').fill('-33.5')
  await desk.keyboard.press('Enter')
  await expect(aimOf(desk, 14)).toContainText('-33.5°')
  await expect(picker).toHaveAttribute('placeholder', 'Raw angles, no target')
})

test('drags the light by its handle, with the numbers following before the drop', async ({ desk }) => {
  await select(desk, '12-17')
  const handle = await middle(desk.getByRole('img', { name: 'Handle of the light' }))
  const before = await aimOf(desk, 12).innerText()
  const dragIt = async () => {
    await desk.mouse.move(handle.x, handle.y)
    await desk.mouse.down()
    await desk.mouse.move(handle.x + 30, handle.y - 40, { steps: 5 })
  }
  await dragIt()
  await desk.mouse.up()
  await expect(desk.getByRole('button', { name: /^Undo: aim 6 fixtures at Dory bow/ })).toBeEnabled()
  await numbersFollowed(desk)
  const after = await aimOf(desk, 12).innerText()
  expect(after).not.toBe(before)
  await desk.keyboard.press('Control+z')
  await expect(aimOf(desk, 12)).toHaveText(before, { useInnerText: true })
  await dragIt()
  await expect(aimOf(desk, 12)).toHaveText(after, { useInnerText: true })
  await expect(desk.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled()
  await desk.mouse.up()
})

test('says how far a light falls short of what it cannot reach', async ({ desk }) => {
  await select(desk, '51')
  await desk.keyboard.press('Alt+a')
  // A standing head cannot look at its own foot.
  const foot = await middle(fixture(desk, 51))
  await desk.mouse.click(foot.x, foot.y)
  await expect(desk.getByText(/51: \d+\.\d° short, misses by/)).toBeVisible()
  await expect(desk.getByText('1 of 1 out of reach').first()).toBeVisible()
})

test('records a position and a focus palette, recalls by a click and previews by hovering', async ({ desk }) => {
  await select(desk, '12-17')
  await desk.getByRole('combobox', { name: 'Aim at a target' }).fill('Keeper')
  await desk.getByRole('option', { name: /Keeper/ }).click()
  await desk.getByLabel('pool in metres').fill('1.5')
  await desk.keyboard.press('Enter')
  await desk.getByRole('button', { name: 'Full' }).click()
  await expect(desk.getByRole('button', { name: 'Record position and beam' })).toBeVisible()
  await record(desk, 'palette', { shelf: 'position', number: '33', name: 'Only the place' })
  await desk.getByRole('tab', { name: 'Position' }).click()
  await expect(desk.getByRole('button', { name: 'Palette 33 Only the place, in hand' })).toContainText('6 fixtures')
  await record(desk, 'palette', { shelf: 'focus', number: '10.5', name: 'Place and pool' })
  await desk.getByRole('tab', { name: 'Focus' }).click()
  const card = desk.getByRole('button', { name: /Palette 10.5 Place and pool/ })
  await expect(card).toBeVisible()

  await desk.getByRole('button', { name: 'Clear', exact: true }).click()
  await desk.getByRole('button', { name: /^Everything/ }).click()
  await expect(desk.getByText('In hand: 6 fixtures')).toBeHidden()
  await card.hover()
  await expect(desk.getByRole('img', { name: /, 6 as the palette looked at would have them/ })).toBeVisible()
  await card.click()
  await expect(aimOf(desk, 12)).toContainText('1.50 m')
  await expect(desk.getByRole('button', { name: 'Palette 10.5 Place and pool, in hand' })).toBeVisible()
  // Intensity was only there to see by: no palette took it.
  await expect(desk.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
})

test('refuses a number that is taken, at the place and with the remedy', async ({ desk }) => {
  await desk.getByRole('button', { name: /Palette 1 Dory bow/ }).click()
  await desk.getByRole('button', { name: /^Record position/ }).click()
  const form = desk.getByRole('form', { name: 'Record a palette' })
  await form.getByLabel('number').fill('2')
  await form.getByLabel('name').fill('Twin')
  await form.getByRole('button', { name: /^Record/ }).click()
  await expect(desk.getByRole('alert')).toHaveText(/Number 2 is Dory stern. Choose another number./)
  await expect(form.getByLabel('name')).toHaveValue('Twin')
})

test('is accessible in both themes', async ({ desk }) => {
  await select(desk, '12-17')
  await expectAccessible(desk)
  await desk.getByRole('button', { name: /show menu/ }).click()
  await desk.getByRole('menuitem', { name: 'Paper theme' }).click()
  await expectAccessible(desk)
})

test('pans, zooms and fits the plan by wheel and keys', async ({ desk }) => {
  const at = () => middle(fixture(desk, 11))
  const fitted = await at()
  await desk.mouse.move(640, 320)
  await desk.mouse.wheel(0, -300)
  await expect(async () => expect((await at()).x).toBeLessThan(fitted.x - 5)).toPass()
  const zoomed = await at()
  await desk.keyboard.press('ArrowLeft')
  await expect(async () => expect((await at()).x).toBeGreaterThan(zoomed.x + 30)).toPass()
  await desk.keyboard.press('Home')
  await expect(async () => expect((await at()).x).toBeCloseTo(fitted.x, 0)).toPass()
})

test('panels are drawn to other sizes by pointer and keys, and keep them', async ({ desk }) => {
  const edge = (name: string) => desk.getByRole('separator', { name })
  const widthOf = async (name: string) => (await desk.getByRole('complementary', { name }).boundingBox())?.width ?? 0
  const before = await widthOf('In hand')
  const grip = await edge('Width of the hand').boundingBox()
  if (!grip) throw new Error('no edge')
  await desk.mouse.move(grip.x + 3, grip.y + 200)
  await desk.mouse.down()
  await desk.mouse.move(grip.x - 37, grip.y + 200, { steps: 4 })
  await desk.mouse.up()
  expect(await widthOf('In hand')).toBe(before + 40)

  await edge('Width of Select').press('ArrowRight')
  await edge('Width of Select').press('Shift+ArrowRight')
  await expect(edge('Width of Select')).toHaveAttribute('aria-valuenow', '266')
  await edge('Height of the shelf').press('ArrowUp')
  await edge('Height of the shelf').press('ArrowUp')
  await desk.getByRole('radio', { name: 'list', exact: true }).click()
  const cards = desk.getByRole('article')
  const [first, fifth, sixth] = await Promise.all([0, 4, 5].map((n) => cards.nth(n).boundingBox()))
  expect([fifth?.x, sixth?.x === first?.x]).toEqual([first?.x, false])
  await expectAccessible(desk)

  await desk.reload()
  await expect(edge('Width of Select')).toHaveAttribute('aria-valuenow', '266')
  expect(await widthOf('In hand')).toBe(before + 40)
  await edge('Width of the hand').dblclick()
  await expect(edge('Width of the hand')).toHaveAttribute('aria-valuenow', '316')
})
