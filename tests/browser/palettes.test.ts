/** Palettes: found on their shelves, recorded with a mask, updated, edited in place, used, moved, made and taken out. */
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import {
  aimOf,
  expect,
  expectAccessible,
  expectSelected,
  openFamilies,
  openShowPage,
  record,
  select,
  test,
} from './app'

const hand = (showPage: Page) => showPage.getByRole('complementary', { name: 'In hand' })
const card = (showPage: Page, name: RegExp) => showPage.getByRole('button', { name })
const undone = (showPage: Page, label: RegExp) => expect(showPage.getByRole('button', { name: label })).toBeVisible()
const proposal = (showPage: Page) => showPage.getByRole('region', { name: 'Proposed change' })

async function menu(showPage: Page, number: number, item: string) {
  await card(showPage, new RegExp(`^Palette ${number} `)).hover()
  await showPage.getByRole('button', { name: `More for palette ${number}`, exact: true }).click()
  await showPage.getByRole('button', { name: item }).click()
}
async function tidy(showPage: Page, item: string) {
  await showPage.getByRole('button', { name: 'Make, bring in or tidy palettes' }).click()
  await showPage.getByRole('button', { name: item }).click()
}

test('shelves: sizes, finding, what they take, another number by dragging', async ({ showPage }) => {
  await showPage.getByRole('radio', { name: 'list' }).click()
  await expectAccessible(showPage)
  await showPage.getByRole('searchbox', { name: 'Find a palette' }).fill('dory')
  await expect(showPage.getByRole('article')).toHaveCount(2)
  await showPage.getByRole('searchbox', { name: 'Find a palette' }).fill('attic')
  await expect(showPage.getByText('No focus palette is called or numbered “attic”.')).toBeVisible()
  await showPage.getByRole('searchbox', { name: 'Find a palette' }).fill('')
  await showPage.getByRole('radio', { name: 'cards' }).click()

  await showPage.getByRole('button', { name: 'The focus shelf takes position, beam, shutters' }).click()
  await showPage.getByRole('button', { name: 'Attributes of beam' }).click()
  await showPage.getByRole('button', { name: 'iris' }).click()
  await undone(showPage, /^Undo: the focus shelf takes position, beam without iris, shutters/)
  await showPage.keyboard.press('Escape')

  await card(showPage, /^Palette 4 Jetty end/).dragTo(card(showPage, /^Palette 1 Dory bow/))
  await expect(card(showPage, /^Palette 1 Jetty end/)).toBeVisible()
  await expect(card(showPage, /^Palette 2 Dory bow/)).toBeVisible()
  await expect(card(showPage, /^Palette 5 Net loft door/)).toBeVisible()
})

test('what somebody leans on by now is taken back all the same, and it is told what goes along', async ({
  showPage,
  elsewhere,
  url,
}) => {
  await select(showPage, '12-14')
  await showPage.getByRole('combobox', { name: 'Aim at a target' }).fill('jetty r')
  await showPage.getByRole('option', { name: /Jetty root/ }).click()
  await record(showPage, 'palette', { shelf: 'position', number: '90', name: 'Root' })
  await showPage.getByRole('tab', { name: 'Position' }).click()
  await expect(card(showPage, /Root, in hand$/)).toBeVisible()

  const other = await elsewhere()
  await openShowPage(other, url)
  await select(other, '13')
  await other.keyboard.press('Control+k')
  await other.keyboard.type('Root')
  await expect(other.getByText('Recall for the 1 selected')).toBeVisible()
  await other.keyboard.press('Enter')
  await expect(other.getByText('In hand: 1 fixture, position')).toBeVisible()
  // The hand shows it at once; that it can be undone, only once the server has it.
  await undone(other, /^Undo: .*Root/)

  await showPage.keyboard.press('Control+z')
  const refusal = showPage.getByRole('alert')
  await expect(refusal).toContainText('leans on the palette Root. All the same would also change 1 value in hand.')
  await refusal.getByRole('button', { name: 'Undo all the same' }).click()
  await expect(showPage.getByText('Changed along with it: 1 value in hand.')).toBeVisible()
  await expect(card(showPage, /^Palette 90/)).toBeHidden()
  await expect(other.getByText('In hand: 1 fixture')).toBeHidden()
  await showPage.keyboard.press('Control+z')
  await expect(card(showPage, /^Palette 90 Root/)).toBeVisible()
  await other.context().close()
})

test('records for any fixture, seen as a table first, merges over it and says what changes', async ({ showPage }) => {
  await select(showPage, '12-14')
  await showPage.getByRole('combobox', { name: 'Aim at a target' }).fill('jetty r')
  await showPage.getByRole('option', { name: /Jetty root/ }).click()
  await hand(showPage)
    .getByRole('button', { name: /^Record position/ })
    .click()
  const form = showPage.getByRole('form', { name: 'Record a palette' })
  await form.getByLabel('name').fill('Root')
  await form.getByRole('button', { name: 'See the table' }).click()
  await expect(form.getByRole('row', { name: 'any fixture position at Jetty root' })).toBeVisible()
  await form.getByRole('button', { name: 'Record position palette' }).click()
  await showPage.getByRole('tab', { name: 'Position' }).click()
  await expect(card(showPage, /Root, in hand$/)).toContainText('3 fixtures')
  await expect(card(showPage, /Root, in hand$/)).toContainText('serves any')

  await select(showPage, '12')
  await showPage.keyboard.press('ArrowUp')
  await hand(showPage)
    .getByRole('button', { name: /^Record position/ })
    .click()
  await form.getByRole('radio', { name: 'merge' }).click()
  await form.getByRole('button', { name: 'See the table' }).click()
  await expect(form.getByRole('row', { name: '12 position – at Jetty root, 0.10 m upstage' })).toBeVisible()
  await form.getByRole('button', { name: 'Merge into it' }).click()
  await expect(proposal(showPage).getByRole('status')).toContainText('1 palette')
  await proposal(showPage).getByRole('button', { name: /^Keep/ }).click()
  await undone(showPage, /^Undo: merge position of fixture 12 into Root/)
})

test('updates what was changed in hand at its source; what follows is seen first', async ({ showPage }) => {
  await select(showPage, '12-15')
  await showPage.keyboard.press('ArrowUp')
  await hand(showPage).getByRole('button', { name: 'Update the palettes this came from' }).click()
  await showPage.getByRole('button', { name: 'See what follows' }).click()
  await expect(proposal(showPage)).toContainText('Dory bow moves 0.10 m, turns 1.9°')
  await expect(proposal(showPage)).toContainText('14, 19, 32')
  await proposal(showPage).getByRole('radio', { name: 'pools move' }).click()
  const pools = proposal(showPage).getByRole('table', { name: 'How far each pool moves' })
  await expect(pools.getByRole('row')).toHaveCount(5)
  await expect(pools.getByRole('row', { name: /^12 0\.10 m [+-]\d\.\d° [+-]\d\.\d°$/ })).toBeVisible()
  await expectAccessible(showPage)
  await proposal(showPage).getByRole('button', { name: /^Keep/ }).click()
  await undone(showPage, /^Undo: update Dory bow \(4 fixtures\)/)
  await expect(hand(showPage).getByRole('button', { name: 'Update the palettes this came from' })).toBeHidden()
  await showPage.keyboard.press('Control+z')
  await expect(hand(showPage).getByRole('button', { name: 'Update the palettes this came from' })).toBeVisible()
})

test('edits a palette in the hand, with a banner in every room, and keeps or drops it', async ({ showPage }) => {
  await menu(showPage, 1, 'Edit it in the hand')
  const banner = showPage.getByRole('status', { name: 'Palette open in the hand' })
  await expect(banner).toContainText('Nothing is changed yet.')
  await expectSelected(showPage, [12, 13, 14, 15, 16, 17])
  await select(showPage, '11')
  await showPage.keyboard.press('ArrowUp')
  await expect(banner).toContainText('no cue follows; 1 fixture comes in.')
  await showPage.keyboard.press('Control+z')
  await expect(banner).toContainText('Nothing is changed yet.')
  await select(showPage, '13')
  await showPage.keyboard.press('ArrowUp')
  await expect(banner).toContainText('2 palettes, 6 cues follow')
  await showPage.getByRole('link', { name: 'Cues', exact: true }).click()
  await expect(banner).toContainText('Dory bow is open')
  await showPage.reload()
  await expect(banner).toContainText('2 palettes, 6 cues follow')
  await showPage.getByRole('link', { name: 'Focus', exact: true }).click()
  await banner.getByRole('button', { name: 'Keep in the palette' }).click()
  await proposal(showPage).getByRole('button', { name: /^Keep/ }).click()
  await expect(banner).toBeHidden()
  await expect(hand(showPage).getByText('nothing', { exact: true })).toBeVisible()
  await menu(showPage, 1, 'Edit it in the hand')
  await banner.getByRole('button', { name: 'Drop the changes' }).click()
  await expect(banner).toBeHidden()
})

test('looks inside, goes to where it is used and back, and hands its links on when it is deleted', async ({
  showPage,
}) => {
  await menu(showPage, 1, 'Look inside …')
  const panel = showPage.getByRole('complementary', { name: 'Palette 1' })
  await expect(panel).toContainText('Serves 6 here: the very fixtures.')
  await expect(panel.getByRole('row', { name: /^12-17 at Dory bow .*pool 1\.80 m .*60 %/ })).toBeVisible()
  await panel.getByRole('button', { name: '12-17', exact: true }).click()
  await expect(panel.getByRole('row', { name: /^14 at Dory bow/ })).toBeVisible()
  await panel.getByLabel('note').fill('tight on the lamp')
  await panel.getByLabel('note').press('Enter')
  await undone(showPage, /^Undo: change the note of Dory bow/)
  await expectAccessible(showPage)
  await panel.getByRole('link', { name: '14', exact: true }).click()
  await expect(showPage.getByRole('complementary', { name: 'Cue 14' })).toBeVisible()
  await showPage.getByRole('complementary', { name: 'Cue 14' }).getByRole('link', { name: 'Dory bow' }).click()
  await expect(panel).toBeVisible()

  await panel.getByRole('button', { name: 'Delete the palette …' }).click()
  await expect(panel).toContainText('1 palette and 3 cues lean on it')
  await panel.getByRole('combobox', { name: 'Palette the links go to' }).selectOption({ label: '2 Dory stern' })
  await panel.getByRole('button', { name: 'Hand over' }).click()
  await undone(showPage, /^Undo: delete Dory bow, links to Dory stern/)
  await expect(card(showPage, /^Palette 2 Dory stern/)).toContainText('5 cues')
})

test('recalls loose with Alt, for all it holds, and takes it off again', async ({ showPage }) => {
  await menu(showPage, 1, 'Recall for all it holds')
  await expect(hand(showPage).getByText('6 fixtures, position and beam')).toBeVisible()
  await select(showPage, '12-17')
  await menu(showPage, 1, 'Take it off again')
  await expect(hand(showPage).getByText('nothing', { exact: true })).toBeVisible()
  await card(showPage, /^Palette 1 Dory bow/).click({ modifiers: ['Alt'] })
  await undone(showPage, /^Undo: recall Dory bow for 6 fixtures, loose/)
})

test('takes by attribute, for once', async ({ showPage }) => {
  await select(showPage, '12')
  await openFamilies(showPage, 'Beam')
  const edge = hand(showPage).getByRole('slider', { name: 'edge' })
  await edge.press('End')
  await hand(showPage).getByRole('slider', { name: 'zoom' }).press('End')
  await hand(showPage).getByRole('button', { name: 'Ends and home of edge' }).click()
  await showPage.getByRole('button', { name: 'Hold it back' }).click()
  await hand(showPage).getByRole('button', { name: 'until changed' }).click()
  await expect(hand(showPage).getByRole('button', { name: 'once' })).toBeVisible()
  await hand(showPage)
    .getByRole('button', { name: /^Record beam/ })
    .click()
  const form = showPage.getByRole('form', { name: 'Record a palette' })
  await form.getByLabel('name').fill('Wide')
  await form.getByRole('button', { name: 'See the table' }).click()
  await expect(form.getByRole('row')).toHaveCount(2)
  await form.getByRole('button', { name: 'Record beam palette' }).click()
  await expect(hand(showPage).getByRole('button', { name: 'until changed' })).toBeVisible()
})

test('makes many at once, finds duplicates, and travels in a sheet', async ({ showPage, elsewhere, url }) => {
  await tidy(showPage, 'Make from targets or types …')
  const make = showPage.getByRole('dialog', { name: 'Make palettes' })
  await make.getByRole('checkbox', { name: /^Dory bow/ }).check()
  await make.getByRole('checkbox', { name: /^Shore line/ }).check()
  await make.getByRole('checkbox', { name: /^Mid bar pairs/ }).check()
  await expectAccessible(showPage)
  await make.getByRole('button', { name: 'Make them' }).click()
  await undone(showPage, /^Undo: make 2 palettes from targets/)

  await tidy(showPage, 'Make from targets or types …')
  await make.getByRole('radio', { name: 'types' }).click()
  await make.getByRole('combobox', { name: /^type/ }).selectOption({ label: 'Plover 250' })
  await make.getByRole('radio', { name: 'gobo', exact: true }).click()
  await expect(make.getByText('Tern 700: Dots', { exact: true })).toBeVisible()
  await make.getByRole('button', { name: 'Make them' }).click()
  await expect(card(showPage, /Dots$/)).toBeVisible()

  await menu(showPage, 94, 'Look inside …')
  await showPage.getByRole('button', { name: 'Copy or split' }).click()
  await showPage.getByRole('button', { name: /^Copy it to/ }).click()
  await tidy(showPage, 'Find duplicates …')
  const same = showPage.getByRole('dialog', { name: 'Palettes that hold the same' })
  await same.getByRole('button', { name: 'Keep this one' }).first().click()
  await expect(same.getByText('No two palettes on a shelf hold the same.')).toBeVisible()
  await same.getByRole('button', { name: 'Close' }).click()

  await tidy(showPage, 'Import and export sheets …')
  const download = showPage.waitForEvent('download')
  await showPage.getByRole('button', { name: 'As a table (CSV)' }).click()
  const sheet = readFileSync(await (await download).path(), 'utf8')
  await showPage.getByLabel('Choose a sheet').setInputFiles({
    name: 'palettes.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`${sheet}\n500,Odd,focus,brass,,,,position,,fixture 99,position,angles,,,,,,,,1,2`),
  })
  const sheets = showPage.getByRole('dialog', { name: 'Palette sheets' })
  await expect(sheets.getByText('there is no fixture 99')).toBeVisible()
  await sheets.getByRole('radio', { name: 'renumber' }).click()
  await sheets.getByRole('button', { name: 'Bring them in' }).click()
  await undone(showPage, /^Undo: import \d+ palettes/)
  const other = await elsewhere()
  await openShowPage(other, url)
  await other.getByRole('tab', { name: 'Gobo' }).click()
  await other.getByRole('searchbox', { name: 'Find a palette' }).fill('dots')
  await expect(card(other, /Dots$/)).toHaveCount(2)
})

test('a recall takes its time, in every window that is open or comes later', async ({ showPage, context, url }) => {
  const over = async (seconds: string) => {
    await showPage.getByLabel('Seconds a recall takes').fill(seconds)
    await showPage.getByLabel('Seconds a recall takes').press('Enter')
  }
  const pan = (page: Page) => aimOf(page, 12).getByRole('cell').first()
  await over('3000')
  // Typing goes on to the showPage, not into the field.
  await select(showPage, '12')
  const before = await pan(showPage).innerText()
  await card(showPage, /^Palette 2 Dory stern/).click()
  await expect(showPage.getByText('In hand: 1 fixture, position and beam')).toBeVisible()
  // It has hardly set out, here and in a window that is opened now.
  await expect(pan(showPage)).toHaveText(new RegExp(`^${before.slice(0, -2)}`))
  const other = await context.newPage()
  await openShowPage(other, url)
  await select(other, '12')
  await expect(pan(other)).toHaveText(new RegExp(`^${before.slice(0, -2)}`))
  await over('0')
  await card(showPage, /^Palette 2 Dory stern/).click()
  await expect(pan(showPage)).not.toHaveText(new RegExp(`^${before.slice(0, -2)}`))
})

test('what is being typed into a field stays while the show changes', async ({ showPage, context, url }) => {
  const seconds = showPage.getByLabel('Seconds a recall takes')
  await seconds.fill('12')
  const other = await context.newPage()
  await openShowPage(other, url)
  await other.getByRole('button', { name: 'Blind', exact: true }).click()
  await expect(showPage.getByText('Blind.')).toBeVisible()
  await expect(seconds).toHaveValue('12')
  await seconds.press('Enter')
  await seconds.fill('many')
  await seconds.press('Escape')
  await expect(seconds).toHaveValue('12')
})

test('takes fixtures out of a palette: what it holds before and after is seen first', async ({ showPage }) => {
  await select(showPage, '11')
  await menu(showPage, 5, 'Remove the selected 1')
  await expect(proposal(showPage)).toContainText(
    /Remove everything of fixture 11 from Net loft door; \d+ cue values stay/,
  )
  const table = proposal(showPage).getByRole('table', { name: 'What the palette holds before and after' })
  await expect(table.getByRole('row', { name: /^11 position at Net loft door taken out/ })).toBeVisible()
  await expect(table.getByRole('row', { name: /^12 position at Net loft door at Net loft door/ })).toBeVisible()
  await expectAccessible(showPage)
  await showPage.keyboard.press('Escape')
  await expect(proposal(showPage)).toBeHidden()
  await expect(card(showPage, /^Palette 5 Net loft door/)).toContainText('6 fixtures')
  await menu(showPage, 5, 'Remove the selected 1')
  await proposal(showPage).getByRole('button', { name: 'Keep' }).click()
  await undone(showPage, /^Undo: remove everything of fixture 11/)
})

test('spreads a group by rule, and whoever joins it is spread with it', async ({ showPage }) => {
  await menu(showPage, 4, 'Look inside …')
  const panel = showPage.getByRole('complementary', { name: 'Palette 4' })
  await panel.getByRole('button', { name: 'Spread a group …' }).click()
  await panel.getByLabel('Group to spread').selectOption('Mid bar profiles')
  await panel.getByLabel('Line or ring to spread along').selectOption('Shore line')
  await panel.getByRole('radio', { name: 'parallel' }).click()
  await panel.getByRole('button', { name: 'Spread', exact: true }).click()
  await proposal(showPage).getByRole('button', { name: 'Keep' }).click()
  await expect(panel).toContainText('Mid bar profiles spread along Shore line, parallel.')
  await expect(panel.getByRole('row', { name: /^12 at Shore line 0 % along/ })).toBeVisible()
  await expect(panel.getByRole('row', { name: /^17 at Shore line 100 % along/ })).toBeVisible()

  await showPage.getByRole('button', { name: 'More for group Mid bar profiles' }).click()
  await showPage.getByRole('button', { name: 'Members and order …' }).click()
  await showPage.getByRole('button', { name: 'Take fixture 12 out of the group' }).click()
  await expect(proposal(showPage)).toContainText('1 palette spread anew')
  await proposal(showPage).getByRole('button', { name: 'Keep' }).click()
  await expect(panel.getByRole('row', { name: /^13 at Shore line 0 % along/ })).toBeVisible()
  await expect(panel.getByRole('row', { name: /^12 at Shore/ })).toHaveCount(0)
  await showPage.getByRole('button', { name: /^Undo: change the members of group Mid bar profiles/ }).click()
  await expect(panel.getByRole('row', { name: /^12 at Shore line 0 % along/ })).toBeVisible()

  await panel.getByRole('button', { name: 'Keep the places, drop the rule' }).click()
  await undone(showPage, /^Undo: /)
  await expect(panel.getByRole('button', { name: 'Spread a group …' })).toBeVisible()
})

test('splits a palette by groups, and its cues use the parts', async ({ showPage }) => {
  await menu(showPage, 5, 'Look inside …')
  const panel = showPage.getByRole('complementary', { name: 'Palette 5' })
  await panel.getByRole('button', { name: 'Copy or split' }).click()
  await showPage.getByRole('checkbox', { name: 'Mid bar profiles' }).check()
  await showPage.getByRole('button', { name: 'Split by 1 group' }).click()
  await expect(proposal(showPage)).toContainText('Split Net loft door into 1 palette')
  await proposal(showPage).getByRole('button', { name: 'Keep' }).click()
  await undone(showPage, /^Undo: split Net loft door into 1 palette/)
  await expect(card(showPage, /^Palette \d+ Net loft door, Mid bar profiles/)).toContainText('5 fixtures')
  await expect(card(showPage, /^Palette 5 Net loft door/)).toContainText('1 fixture')
})

test('a palette is what everything rests at, and what highlight shows', async ({ showPage }) => {
  await select(showPage, '51')
  await openFamilies(showPage, 'Beam')
  await hand(showPage).getByLabel('zoom in degrees').fill('3')
  await hand(showPage).getByLabel('zoom in degrees').press('Enter')
  await record(showPage, 'palette', { shelf: 'beam', number: '90', name: 'Narrow' })
  await showPage.getByRole('tab', { name: 'Beam' }).click()
  await menu(showPage, 90, 'Look inside …')
  const panel = showPage.getByRole('complementary', { name: 'Palette 90' })
  await panel.getByRole('button', { name: 'Everything rests at it' }).click()
  await expect(panel.getByRole('button', { name: 'Everything rests at it' })).toHaveAttribute('aria-pressed', 'true')
  await panel.getByRole('button', { name: 'Back to the hand' }).click()
  await menu(showPage, 90, 'Take it off again')
  await expect(showPage.getByText('In hand: ')).toBeHidden()
  await expect(hand(showPage).getByLabel('zoom in degrees')).toHaveValue('3.0')
  await menu(showPage, 90, 'Look inside …')
  await panel.getByRole('button', { name: 'Everything rests at it' }).click()
  await panel.getByRole('button', { name: 'Highlight shows it' }).click()
  await undone(showPage, /^Undo: /)
})
