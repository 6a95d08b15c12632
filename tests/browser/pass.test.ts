import { drag, expect, expectAccessible, openShowPage, test } from './app'
import type { Page } from '@playwright/test'

const part = (page: Page, name: string) =>
  page.getByRole('radiogroup', { name: 'Seen as' }).getByRole('radio', { name })

/** The pass of the demo is at its tour stop. */
async function playAtQuarry(page: Page) {
  await page.getByRole('button', { name: /show menu/ }).click()
  await page.getByRole('menuitem', { name: 'Quarry Playhouse' }).click()
  await page.getByRole('region', { name: 'Proposed change' }).getByRole('button', { name: /Keep/ }).click()
  await page.getByRole('link', { name: 'Refocus', exact: true }).click()
  await part(page, 'Pass').click()
}

test('a pass is gone through palette by palette, nudged, put back and ticked off, by two people at once', async ({
  showPage,
  url,
  elsewhere,
}) => {
  await playAtQuarry(showPage)
  const list = showPage.getByRole('navigation', { name: 'Palettes of the pass' })
  const bar = showPage.getByRole('group', { name: 'Check', exact: true })
  const now = showPage.getByRole('complementary', { name: 'Checked now' })
  await expect(bar).toContainText('8 of 20, about 28 minutes left')
  await expect(now.getByRole('heading', { name: 'Lamplighter’s round' })).toBeVisible()
  await expect(now).toContainText('Plays here without 26')
  await expectAccessible(showPage)

  await bar.getByRole('button', { name: 'Let the stage follow' }).click()
  await expect(showPage.getByRole('status', { name: 'The stage shows a check' })).toContainText('you check Lamplighter')
  await showPage.keyboard.press('Space')
  await expect(now.getByRole('heading', { name: 'Lantern gallery' })).toBeVisible()
  await expect(bar).toContainText('9 of 20')
  await expect(showPage.getByRole('status', { name: 'The stage shows a check' })).toContainText('you check Lantern')

  await now.getByRole('button', { name: /^35,/ }).click()
  await showPage.keyboard.press('ArrowUp')
  await showPage.keyboard.press('ArrowUp')
  await expect(now).toContainText('0.10 m upstage')
  await bar.getByRole('button', { name: 'Put back' }).click()
  await expect(now).toContainText('As solved here')
  await now.getByRole('button', { name: 'all', exact: true }).click()

  const stranger = await elsewhere()
  await openShowPage(stranger, url)
  await stranger.getByRole('link', { name: 'Refocus', exact: true }).click()
  await part(stranger, 'Pass').click()
  const theirs = stranger.getByRole('navigation', { name: 'Palettes of the pass' })
  await theirs.getByRole('button', { name: /Lantern gallery/ }).click()
  await expect(stranger.getByText(/is checking this one/)).toBeVisible()
  await theirs.getByRole('button', { name: /Shore line/ }).click()
  await stranger.getByRole('button', { name: 'Let the stage follow' }).click()
  await expect(list.getByRole('button', { name: /Shore line/ })).not.toContainText('to do')
  await stranger.getByRole('button', { name: /^Right, go on/ }).click()
  await expect(list.getByRole('button', { name: /Shore line/ })).toContainText('right as solved')

  await bar.getByRole('button', { name: 'Another look' }).click()
  await expect(list.getByRole('button', { name: /Lantern gallery/ })).toContainText('needs another look')
  await showPage.getByRole('button', { name: 'Let go of the stage' }).click()
  await expect(showPage.getByRole('status', { name: 'The stage shows a check' })).not.toContainText('you check')
  await showPage.getByLabel('Compare with').selectOption({ label: 'Harbour Hall' })
  await expect(showPage.getByText('Dashed: Harbour Hall')).toBeVisible()
  await showPage.getByRole('button', { name: /^Seen to: cue 14/ }).click()
  await expect(showPage.getByRole('region', { name: 'Noted on cues' })).toContainText('1 left')
})

test('the pass on a tablet moves light the way one faces, fixture by fixture', async ({ showPage }) => {
  await playAtQuarry(showPage)
  await showPage.setViewportSize({ width: 1024, height: 768 })
  await showPage.getByRole('link', { name: 'On stage' }).click()
  const list = showPage.getByRole('navigation', { name: 'Palettes of the pass' })
  await list.getByRole('button', { name: /Dory bow/ }).click()
  await expect(showPage.getByRole('heading', { level: 1, name: 'Dory bow' })).toBeVisible()
  await expectAccessible(showPage)
  const group = showPage.getByRole('group', { name: 'One fixture, or all' })
  await group.getByRole('button', { name: /^12,/ }).click()
  await showPage.getByRole('group', { name: 'I look' }).getByRole('button', { name: 'downstage' }).click()
  await showPage.getByRole('radio', { name: '20 cm' }).click()
  await showPage.getByRole('button', { name: 'Nudge to my left' }).click()
  await expect(showPage.getByText('0.20 m to stage left')).toBeVisible()
  await showPage.getByRole('button', { name: 'Good, next fixture' }).click()
  await expect(group.getByRole('button', { name: /^13,/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(group.getByRole('button', { name: '12, right, touched up' })).toBeVisible()
  const pad = showPage.getByRole('img', { name: /^Pad that moves the light/ })
  const { x, y, width } = (await pad.boundingBox()) ?? { x: 0, y: 0, width: 0 }
  const at = (right: number, away: number) => ({ x: x + width * (0.5 + right), y: y + width * (0.5 - away) })
  // My right is stage right as I look at the house.
  await drag(showPage, at(0.05, 0.05), at(0.1, 0.05))
  await expect(showPage.getByText(/^0\.0\d m to stage right$/)).toBeVisible()
  await drag(showPage, at(0, 0.46), at(0.46, 0))
  await expect(showPage.getByRole('button', { name: 'stage left', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await showPage.getByRole('button', { name: 'Note …' }).click()
  await showPage.getByRole('textbox', { name: 'Note' }).fill('Soften the edge')
  await showPage.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(showPage.getByText('Soften the edge')).toBeVisible()
  await showPage.getByRole('button', { name: 'Daylight' }).click()
  await expectAccessible(showPage)
  await showPage.setViewportSize({ width: 390, height: 844 })
  await showPage.getByRole('button', { name: 'List' }).click()
  await list.getByRole('button', { name: /Shore line/ }).click()
  await expect(showPage.getByRole('heading', { level: 1, name: 'Shore line' })).toBeVisible()
})

test('raw angles are seen with what they light, and tied to the stage as one step', async ({ showPage }) => {
  await showPage.getByRole('link', { name: 'Refocus', exact: true }).click()
  await part(showPage, 'Angles').click()
  const grid = showPage.getByRole('grid', { name: 'Raw angles' })
  await expect(grid.getByRole('row', { name: /30 Storm crossing 32/ })).toContainText('at Tide wall')
  await expect(grid.getByRole('row', { name: /31 Floor fan 51/ })).toContainText('lands nowhere')
  await expectAccessible(showPage)
  await showPage.getByRole('button', { name: 'Tie 9 to the stage' }).click()
  await expect(grid.getByRole('row', { name: /Storm crossing/ })).toHaveCount(0)
  await showPage.getByRole('button', { name: /^Undo: tie 9 raw angles to the stage; 4 stay/ }).click()
  await expect(grid.getByRole('row', { name: /30 Storm crossing 32/ })).toBeVisible()
})

test('touch-ups are listed with who made them, and made good or taken away', async ({ showPage }) => {
  await playAtQuarry(showPage)
  await part(showPage, 'Touch-ups').click()
  const grid = showPage.getByRole('grid', { name: 'Touch-ups here' })
  const row = grid.getByRole('row', { name: /3 Lantern gallery 31/ })
  await expect(row).toContainText('0.03 m upstage, 0.09 m to stage left')
  await expectAccessible(showPage)
  await row.getByRole('gridcell').first().click()
  await showPage.getByRole('button', { name: 'Make good in every venue' }).click()
  await expect(row).toHaveCount(0)
  await grid
    .getByRole('row', { name: /3 Lantern gallery 34/ })
    .getByRole('gridcell')
    .first()
    .click()
  await showPage.getByRole('button', { name: 'Take away' }).click()
  await expect(grid.getByRole('row', { name: /Lantern gallery/ })).toHaveCount(1)
})

test('touch-ups that agree say how the bar hangs; it is set as one change that takes them along', async ({
  showPage,
}) => {
  await showPage.getByRole('link', { name: 'Refocus', exact: true }).click()
  await part(showPage, 'Pass').click()
  await showPage.getByRole('button', { name: 'Begin', exact: true }).click()
  const now = showPage.getByRole('complementary', { name: 'Checked now' })
  for (const palette of ['Net loft door', 'Jetty end', 'Shore line']) {
    await showPage
      .getByRole('navigation', { name: 'Palettes of the pass' })
      .getByRole('button', { name: new RegExp(palette) })
      .click()
    for (let i = 0; i < 3; i++) await showPage.keyboard.press('ArrowUp')
    await expect(now).toContainText('0.15 m upstage')
  }
  await part(showPage, 'Touch-ups').click()
  const said = showPage.getByRole('region', { name: 'What the touch-ups say' })
  await expect(said.getByRole('heading', { level: 3 })).toHaveText(
    /^Bar 1 seems to hang 14 cm further downstage, give or take \d+\.$/,
  )
  await expect(said).toContainText('22 of 22 touch-ups go below 2 cm')
  await expectAccessible(showPage)
  await said.getByRole('button', { name: 'See what follows' }).click()
  await showPage.getByRole('region', { name: 'Proposed change' }).getByRole('button', { name: /Keep/ }).click()
  await expect(showPage.getByText(/Nothing is touched up at this venue/)).toBeVisible()
  await showPage.getByRole('button', { name: /^Undo: true up Bar 1; 22 touch-ups go/ }).click()
  await expect(said).toContainText('Bar 1 seems to hang')
})

test('the target is moved instead of what was touched up at it, and all palettes at it follow', async ({
  showPage,
}) => {
  await playAtQuarry(showPage)
  await part(showPage, 'Touch-ups').click()
  const grid = showPage.getByRole('grid', { name: 'Touch-ups here' })
  await grid
    .getByRole('row', { name: /3 Lantern gallery 31/ })
    .getByRole('gridcell')
    .first()
    .click()
  await showPage.getByRole('button', { name: /^Move .* itself 0.03 m upstage, 0.09 m to stage left$/ }).click()
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal).toContainText('1 palette, 22 cues follow')
  await proposal.getByRole('button', { name: /Keep/ }).click()
  await expect(grid.getByRole('row', { name: /3 Lantern gallery 31/ })).toHaveCount(0)
})

test('a palette is opened in both venues side by side', async ({ showPage }) => {
  await showPage.getByRole('link', { name: 'Refocus', exact: true }).click()
  await part(showPage, 'Difference').click()
  const grid = showPage.getByRole('grid', { name: 'Difference of two venues' })
  await grid
    .getByRole('row', { name: /Moon path/ })
    .getByRole('gridcell')
    .first()
    .click()
  const both = showPage.getByRole('region', { name: 'Moon path in both venues' })
  await expect(both.getByRole('group', { name: 'Plan at Harbour Hall' })).toBeVisible()
  await expect(both.getByRole('group', { name: 'Plan at Quarry Playhouse' })).toBeVisible()
  await expectAccessible(showPage)
  const download = showPage.waitForEvent('download')
  await showPage.getByRole('button', { name: 'To a table' }).click()
  expect((await download).suggestedFilename()).toBe('The Salt Lantern, difference.csv')
})

test('palettes are taken over from the other venue with a mask, seen before', async ({ showPage }) => {
  await playAtQuarry(showPage)
  await part(showPage, 'Take over').click()
  await showPage.getByRole('checkbox', { name: /Lantern gallery/ }).check()
  const grid = showPage.getByRole('grid', { name: 'Taken over' })
  await expect(grid.getByRole('row', { name: /Lantern gallery/ })).toHaveCount(3)
  await showPage.getByRole('radio', { name: 'as angles' }).click()
  await expect(grid.getByRole('row', { name: /Lantern gallery/ })).toHaveCount(8)
  await expectAccessible(showPage)
  await showPage.getByRole('radio', { name: 'as place' }).click()
  await showPage.getByRole('button', { name: 'Take 3 values over' }).click()
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal).toContainText('Lantern gallery moves 0.09 m')
  await proposal.getByRole('button', { name: /Keep/ }).click()
  await part(showPage, 'Touch-ups').click()
  await expect(showPage.getByText(/Nothing is touched up at this venue/)).toBeVisible()
})

test('palettes are taken over from another show’s back-up, read beside the page', async ({ showPage }) => {
  await showPage.getByRole('button', { name: /show menu/ }).click()
  const download = showPage.waitForEvent('download')
  await showPage.getByRole('menuitem', { name: 'Back up to a file' }).click()
  const file = await (await download).path()
  await showPage.getByRole('link', { name: 'Refocus', exact: true }).click()
  await part(showPage, 'Take over').click()
  const taken = showPage.getByRole('region', { name: 'What is taken' })
  const choose = taken.getByLabel('Another show’s back-up')
  await choose.setInputFiles({
    name: 'foreign.gz',
    mimeType: 'application/gzip',
    buffer: Buffer.from('not one of ours'),
  })
  await expect(taken.getByRole('alert')).toContainText('It cannot be read')
  await choose.setInputFiles(file)
  await expect(taken.getByRole('heading', { name: 'Palettes of The Salt Lantern at Harbour Hall' })).toBeVisible()
  await taken.getByRole('checkbox', { name: /Moon path/ }).check()
  await expect(showPage.getByText(/^Nothing is other there: \d+ values are the same here/)).toBeVisible()
})

test('a run goes through the cues that another venue changes, and notes go to the pass', async ({ showPage }) => {
  await showPage.getByRole('link', { name: 'Refocus', exact: true }).click()
  await part(showPage, 'Through the cues').click()
  await showPage.getByRole('button', { name: 'Look', exact: true }).click()
  const grid = showPage.getByRole('grid', { name: 'Cues in both venues' })
  await expect(grid.getByRole('row', { name: /21 Keeper comes down/ })).toBeVisible()
  await showPage.getByRole('button', { name: 'the worst ten' }).click()
  await expect(grid.getByRole('row')).toHaveCount(11)
  await showPage.getByRole('button', { name: 'Next cue that changes' }).click()
  const opened = showPage.getByRole('region', { name: /^Cue .* in both venues/ })
  await expect(opened.getByRole('group', { name: 'Plan at Quarry Playhouse' })).toBeVisible()
  await opened.getByLabel('Note for the pass').fill('Too high')
  await opened.getByLabel('Note for the pass').press('Enter')
  await expect(showPage.getByRole('button', { name: /^Undo: note on cue/ })).toBeVisible()
  await expectAccessible(showPage)
})
