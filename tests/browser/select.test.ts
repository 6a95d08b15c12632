/** Selecting: in words, by lasso, by pattern, by live groups, within a working set. */
import { expect, expectAccessible, expectSelected, middle, select, test } from './app'
import type { Page } from '@playwright/test'

const entry = (desk: Page) => desk.getByRole('combobox', { name: 'Select' })
const fixture = (desk: Page, number: number) => desk.getByRole('img', { name: new RegExp(`^Fixture ${number}(,|$)`) })

test('types a selection: completed, shown before Enter, explained, remembered', async ({ desk }) => {
  await entry(desk).fill('bar 2 wa')
  await entry(desk).press('ArrowDown')
  await entry(desk).press('Enter')
  await expect(entry(desk)).toHaveValue('Bar 2 washes')
  await expect(desk.getByText('selects 6')).toBeVisible()
  await entry(desk).press('End')
  await desk.keyboard.type(' every 2, 12')
  await expect(desk.getByText('selects 4')).toBeVisible()
  await desk.keyboard.press('Enter')
  await expectSelected(desk, [21, 23, 25, 12])

  await entry(desk).fill('99')
  await entry(desk).press('Enter')
  await expect(desk.getByRole('alert').filter({ hasText: 'There is no fixture 99.' })).toBeVisible()
  await entry(desk).fill('-23')
  await entry(desk).press('Enter')
  await expectSelected(desk, [21, 25, 12])
  await entry(desk).focus()
  await desk.keyboard.press('ArrowUp')
  await desk.keyboard.press('ArrowUp')
  await expect(entry(desk)).toHaveValue('Bar 2 washes every 2, 12')
  await desk.keyboard.press('Escape')

  await desk.keyboard.press('Backspace')
  await expectSelected(desk, [21, 23, 25, 12])
})

test('orders and parts a selection, steps through the parts and back to the whole', async ({ desk }) => {
  await select(desk, '12-17')
  await desk.keyboard.press('r')
  await expectSelected(desk, [17, 16, 15, 14, 13, 12])
  await desk.getByRole('button', { name: 'Pattern' }).click()
  await desk.getByRole('button', { name: 'Mirrored pairs' }).click()
  await expectSelected(desk, [17, 12])
  await expect(fixture(desk, 14)).toHaveAccessibleName('Fixture 14, waiting')
  await desk.keyboard.press('n')
  await expectSelected(desk, [16, 13])
  await desk.getByRole('button', { name: 'Previous subset' }).click()
  await expectSelected(desk, [17, 12])
  await desk.keyboard.press('w')
  await expectSelected(desk, [17, 16, 15, 14, 13, 12])

  await desk.getByRole('button', { name: 'Order' }).click()
  await desk.getByRole('menuitem', { name: 'By number' }).click()
  await expectSelected(desk, [12, 13, 14, 15, 16, 17])
})

test('draws round fixtures with the lasso', async ({ desk }) => {
  await desk.getByRole('radio', { name: 'Lasso' }).click()
  const at = await middle(fixture(desk, 23))
  await desk.mouse.move(at.x - 25, at.y - 25)
  await desk.mouse.down()
  for (const [x, y] of [
    [25, -25],
    [25, 25],
    [-25, 25],
    [-25, -20],
  ] as const)
    await desk.mouse.move(at.x + x, at.y + y, { steps: 6 })
  await desk.mouse.up()
  await expectSelected(desk, [23])
})

test('keeps, changes and reorders groups, and extends what was made for them', async ({ desk }) => {
  await select(desk, '12-16')
  await desk.getByRole('button', { name: 'Keep selection' }).click()
  await desk.getByLabel('Name of the group').fill('Five')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('button', { name: 'Five', exact: true })).toBeVisible()

  await select(desk, '12-18')
  await desk.getByRole('button', { name: 'More for group Five' }).click()
  await desk.getByRole('button', { name: 'Members from the selection' }).click()
  const dialog = desk.getByRole('dialog', { name: 'Made for Five' })
  await expect(dialog.getByText('Palette 1 Dory bow')).toBeVisible()
  await expect(dialog.getByRole('listitem').filter({ hasText: 'Palette 1 Dory bow' })).toContainText('18')
  await dialog.getByRole('button', { name: /^Extend/ }).click()
  await expect(dialog).toBeHidden()
  await select(desk, '18')
  await desk.getByRole('button', { name: /Palette 1 Dory bow/ }).click()
  await expect(desk.getByText('In hand: 1 fixture')).toBeVisible()

  const groups = desk.getByRole('region', { name: 'Groups' }).getByRole('listitem')
  await groups.filter({ hasText: 'Five' }).getByRole('button', { name: 'Five', exact: true }).press('Alt+ArrowUp')
  await expect(groups.nth(7)).toContainText('Five')
  await expect(desk.getByRole('button', { name: /^Undo: reorder groups/ })).toBeVisible()
})

test('a working set shuts out what is not in it, in this window only', async ({ desk, context, url }) => {
  await select(desk, '12-14')
  await desk.getByRole('button', { name: 'From selection' }).click()
  await desk.getByLabel('Name of the working set').fill('Mid')
  await desk.keyboard.press('Enter')
  await desk.getByRole('button', { name: /^Mid 3$/ }).click()
  await expect(desk.getByText('Working set Mid is on in this window')).toBeVisible()
  await select(desk, '14-16')
  await expect(desk.getByRole('alert').filter({ hasText: 'No fixture' })).toBeHidden()
  await expectSelected(desk, [14])
  await fixture(desk, 21).click()
  await expect(desk.getByText('1 fixture is outside the working set Mid.')).toBeVisible()
  await expect(fixture(desk, 21)).toHaveAccessibleName('Fixture 21, shut out')
  await expect(desk.getByRole('button', { name: /^Palette 3 Lantern gallery, outside the working set/ })).toBeVisible()
  await expectAccessible(desk)

  const other = await context.newPage()
  await other.goto(url)
  await expect(other.getByRole('group', { name: 'Stage plan' })).toBeVisible()
  await expect(other.getByText('is on in this window')).toBeHidden()
  await desk.getByRole('button', { name: 'Turn it off' }).click()
  await select(desk, '21')
  await expectSelected(desk, [21])
})

test('shows the keys and lets them be changed', async ({ desk }) => {
  await desk.keyboard.press('?')
  const map = desk.getByRole('dialog', { name: 'Keyboard map' })
  await map.getByRole('button', { name: /^Next subset or fixture/ }).click()
  await desk.keyboard.press('Control+t')
  await expect(map.getByRole('status')).toContainText('belongs to the browser')
  await desk.keyboard.press('j')
  await expect(map.getByRole('button', { name: 'Next subset or fixture: J. Change its key' })).toBeVisible()
  await expectAccessible(desk)
  await map.getByRole('button', { name: 'Close' }).click()
  await select(desk, '12-13')
  await desk.keyboard.press('j')
  await expectSelected(desk, [12])
})
