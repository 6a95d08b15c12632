import { drag, expect, expectAccessible, middle, openShowPage, record, select, targetMark, test } from './app'

test('says what follows a moved target before it is done; keeping carries it, undo takes it back', async ({
  showPage,
}) => {
  const mark = await middle(targetMark(showPage, 'Dory bow'))
  await showPage.keyboard.press('Alt+m')
  await drag(showPage, mark, { x: mark.x, y: mark.y - 40 })
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal.getByRole('status')).toHaveText(
    /^Move Dory bow \d\.\d\d m upstage: 3 palettes, \d+ cues follow$/,
  )
  await expect(proposal).toContainText(/Dory bow moves \d\.\d\d m/)
  await expect(proposal).toContainText('14, 19, 32')
  await showPage.keyboard.press('Escape')
  await expect(proposal).toBeHidden()
  expect((await middle(targetMark(showPage, 'Dory bow'))).y).toBeCloseTo(mark.y, 0)

  await drag(showPage, mark, { x: mark.x, y: mark.y - 40 })
  await showPage.keyboard.press('Enter')
  await expect(proposal).toBeHidden()
  await expect(showPage.getByRole('button', { name: /^Undo: move Dory bow/ })).toBeEnabled()
  expect((await middle(targetMark(showPage, 'Dory bow'))).y).toBeLessThan(mark.y - 30)
  await showPage.keyboard.press('Control+z')
  await expect(async () => expect((await middle(targetMark(showPage, 'Dory bow'))).y).toBeCloseTo(mark.y, 0)).toPass()
})

test('moves a set piece with what is tied to it, and a hang by its trim', async ({ showPage }) => {
  const bow = await middle(targetMark(showPage, 'Dory bow'))
  await showPage.keyboard.press('Alt+m')
  const hull = showPage.locator('[data-set-piece="Dory"] path')
  const grip = await middle(hull)
  await showPage.keyboard.down('Alt')
  await drag(showPage, { x: grip.x - 22, y: grip.y + 8 }, { x: grip.x + 38, y: grip.y + 8 })
  await showPage.keyboard.up('Alt')
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal.getByRole('status')).toContainText('to stage left')
  await proposal.getByRole('button', { name: /Keep/ }).click()
  await expect(async () =>
    expect((await middle(targetMark(showPage, 'Dory bow'))).x).toBeCloseTo(bow.x + 60, 0),
  ).toPass()

  await showPage.getByRole('button', { name: /^Trim height of Bar 3/ }).click()
  await showPage.keyboard.type('6.1')
  await showPage.keyboard.press('Enter')
  await expect(proposal.getByRole('status')).toContainText('Move Bar 3 0.80 m down')
  await expect(proposal).toContainText(/Stays behind.*Storm crossing/)
  await proposal.getByRole('button', { name: /Keep/ }).click()
  await expect(showPage.getByRole('button', { name: 'Trim height of Bar 3, 6.10 metres' })).toBeVisible()
})

test('plays the other venue with the same palettes', async ({ showPage }) => {
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Quarry Playhouse' }).click()
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal).toContainText('Lantern gallery moves 1.24 m')
  await proposal.getByRole('button', { name: /Keep/ }).click()
  await expect(showPage.getByRole('button', { name: /at Quarry Playhouse.*show menu/ })).toBeVisible()
})

test('keeps two windows in step, and each person’s undo their own', async ({ showPage, url, elsewhere }) => {
  const sameperson = await showPage.context().newPage()
  await openShowPage(sameperson, url)
  const stranger = await elsewhere()
  await openShowPage(stranger, url)
  await select(showPage, '12-17')
  await showPage.getByRole('button', { name: /Palette 4 Jetty end/ }).click()
  await expect(sameperson.getByText('In hand: 6 fixtures, position and beam')).toBeVisible()
  await expect(stranger.getByText('In hand: ')).toBeHidden()
  await record(showPage, 'palette', { shelf: 'position', number: '40', name: 'Seen by all' })
  await stranger.getByRole('tab', { name: 'Position' }).click()
  await stranger.getByRole('searchbox', { name: 'Find a palette' }).fill('seen by')
  await expect(stranger.getByRole('button', { name: /Palette 40 Seen by all/ })).toBeVisible()
  await expect(stranger.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled()
  await sameperson.getByRole('button', { name: /^Undo: record Seen by all/ }).click()
  await expect(stranger.getByRole('button', { name: /Palette 40 Seen by all/ })).toBeHidden()
})

test('records cues with links, steps through them and shows them in the carry sheet', async ({ showPage }) => {
  await showPage.getByRole('button', { name: /Palette 3 Lantern gallery/ }).click()
  await record(showPage, 'cue', { number: '40', name: 'Lamp once more' })
  await expect(showPage.getByText('In hand: ')).toBeHidden()
  const stepper = showPage.getByRole('group', { name: 'Cue on stage' })
  await expect(stepper).toContainText('40 Lamp once more')
  await stepper.getByRole('button', { name: 'Previous cue' }).click()
  await expect(stepper).toContainText('36 Bows')
  await showPage.keyboard.press('PageDown')
  await expect(stepper).toContainText('40 Lamp once more')

  await showPage.getByRole('link', { name: 'Cues' }).click()
  const detail = showPage.getByRole('complementary', { name: 'Cue 40' })
  await expect(detail).toContainText('Lantern gallery')
  await showPage.getByRole('group', { name: /^Cells of the carry sheet/ }).hover()
  await showPage.mouse.wheel(0, -560)
  await showPage.getByRole('button', { name: 'Wave one' }).click()
  await expect(showPage.getByRole('complementary', { name: 'Cue 14.5' })).toContainText('37 aimed by hand')
  await showPage.getByRole('button', { name: 'To stage' }).click()
  await expect(showPage.getByRole('complementary', { name: 'Cue 14.5' })).toContainText('on stage')
  await expectAccessible(showPage)
})
