/** The second chapter of the guide, done as it says, from an empty show to a place that follows a set piece. */
import { drag, expect, expectAccessible, expectSelected, middle, select, test } from './app'

test('is read beside the show, and its second chapter leads from nothing to a place that follows', async ({
  showPage,
}) => {
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Guide' }).click()
  const guide = showPage.getByRole('dialog', { name: 'Guide' })
  await expect(guide.getByRole('navigation', { name: 'Chapters' }).getByRole('button')).toHaveCount(10)
  const picture = guide.getByRole('img', { name: 'The Focus room' })
  await expect
    .poll(() => picture.evaluate((image) => (image instanceof HTMLImageElement ? image.naturalWidth : 0)))
    .toBeGreaterThan(600)
  await expectAccessible(showPage)
  await guide.getByRole('button', { name: 'Next chapter' }).click()
  await expect(guide.getByRole('heading', { name: /^2\. From nothing/ })).toBeVisible()
  await guide.getByRole('button', { name: 'Close' }).click()

  const panel = showPage.getByRole('complementary', { name: 'Properties' })
  const form = (name: string) => panel.getByRole('form', { name })
  const begin = async (what: string) => {
    await showPage.keyboard.press('Escape')
    await showPage.keyboard.press('Escape')
    await panel.getByRole('button', { name: what, exact: true }).click()
  }
  // 1
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'New show' }).click()
  await showPage.getByLabel('Name of the show').fill('Ten minutes')
  await showPage.getByRole('button', { name: 'Make show' }).click()
  await expect(showPage.getByText('No fixtures yet.')).toBeVisible()
  // 2
  await panel.getByRole('button', { name: 'Hang', exact: true }).click()
  await form('New hang').getByLabel('Name', { exact: true }).fill('Bar')
  await form('New hang').getByLabel('Upstage, m').fill('3')
  await form('New hang').getByLabel('Trim height, m').fill('6')
  await form('New hang').getByLabel('Length, m').fill('10')
  await panel.getByRole('button', { name: 'Hang it' }).click()
  await expect(panel.getByRole('heading', { name: 'Bar' })).toBeVisible()
  // 3
  await begin('Row of fixtures')
  await form('Row of fixtures').getByLabel('Type').selectOption('Ostrel Tern 700')
  await form('Row of fixtures').getByLabel('Numbered from').fill('1')
  await form('Row of fixtures').getByLabel('How many').fill('4')
  await form('Row of fixtures')
    .getByRole('button', { name: /^Place/ })
    .click()
  await expect(panel.getByRole('heading', { name: '4 fixtures' })).toBeVisible()
  // 4
  await begin('Set piece')
  await form('New set piece').getByLabel('Name', { exact: true }).fill('Boat')
  await form('New set piece').getByLabel('Across, m').fill('-2')
  await form('New set piece').getByLabel('Upstage, m').fill('4')
  await panel.getByRole('button', { name: 'Put it there' }).click()
  await expect(panel.getByRole('heading', { name: 'Boat' })).toBeVisible()
  // 5
  await begin('Target')
  await form('New target').getByLabel('Name', { exact: true }).fill('Bow')
  await form('New target').getByLabel('Stands').selectOption('On Boat')
  await form('New target').getByLabel('Across, m').fill('0.5')
  await form('New target').getByLabel('Upstage, m').fill('0')
  await form('New target').getByLabel('Height, m').fill('1')
  await panel.getByRole('button', { name: 'Name it' }).click()
  await expect(panel.getByRole('heading', { name: 'Bow' })).toBeVisible()
  // 6
  await showPage.getByRole('link', { name: 'Focus', exact: true }).click()
  const hand = showPage.getByRole('complementary', { name: 'In hand' })
  await expect(hand).toBeVisible()
  await select(showPage, '1-4')
  await expectSelected(showPage, [1, 2, 3, 4])
  await showPage.getByRole('combobox', { name: 'Aim at a target' }).fill('Bow')
  await showPage.getByRole('option', { name: 'Bow' }).click()
  await expect(showPage.getByText('4 solved, all reach').first()).toBeVisible()
  // 7 and 8
  for (const [open, what, called] of [
    [/^Record/, 'palette', 'Bow'],
    [/^Cue$/, 'cue', 'At the bow'],
  ] as const) {
    await hand.getByRole('button', { name: open }).click()
    const recording = showPage.getByRole('form', { name: `Record a ${what}` })
    await recording.getByLabel('name').fill(called)
    await recording.getByRole('button', { name: /^Record/ }).click()
    await expect(recording).toBeHidden()
  }
  // 9
  await showPage.getByRole('link', { name: 'Rig', exact: true }).click()
  // The room stands only once its panel does: until then the keys, and the plan, are those of Focus.
  await expect(panel).toBeVisible()
  await showPage.keyboard.press('Alt+m')
  await expect(showPage.getByRole('radio', { name: 'Move' })).toBeChecked()
  const boat = await middle(showPage.getByRole('img', { name: /Boat/ }).first())
  await drag(showPage, boat, { x: boat.x + 60, y: boat.y + 20 })
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal.getByRole('status')).toHaveText(/1 palette, 1 cue follow/)
  await proposal.getByRole('button', { name: /Keep/ }).click()
  await expect(showPage.getByRole('button', { name: /^Undo/ })).toContainText('move Boat')
})
