/** The hand: every attribute, fans, the other side, neutral, highlight, taking, clearing, blind. */
import { drag, expect, expectAccessible, expectSelected, middle, openFamilies, select, targetMark, test } from './app'
import type { Locator, Page } from '@playwright/test'

const hand = (showPage: Page) => showPage.getByRole('complementary', { name: 'In hand' })
const value = (showPage: Page, label: string) => hand(showPage).getByLabel(label)
const undone = (showPage: Page, label: RegExp) => expect(showPage.getByRole('button', { name: label })).toBeVisible()

async function type(field: Locator, text: string) {
  await field.fill(text)
  await field.press('Enter')
}

test('sets and changes every attribute, by typing, dragging and keys', async ({ showPage }) => {
  await select(showPage, '12-14')
  await type(value(showPage, 'intensity in per cent'), '40')
  await expect(value(showPage, 'intensity in per cent')).toHaveValue('40')
  await type(value(showPage, 'intensity in per cent'), '+5')
  await expect(value(showPage, 'intensity in per cent')).toHaveValue('45')
  await type(value(showPage, 'intensity in per cent'), '-20 %')
  await expect(value(showPage, 'intensity in per cent')).toHaveValue('36')
  await type(value(showPage, 'intensity in per cent'), 'bright')
  await expect(hand(showPage).getByRole('alert')).toHaveText('Type a number, or +5, or -10 %.')
  await value(showPage, 'intensity in per cent').press('Escape')

  await openFamilies(showPage, 'Beam')
  const edge = hand(showPage).getByRole('slider', { name: 'edge' })
  await edge.press('End')
  await expect(edge).toHaveAttribute('aria-valuenow', '100')
  const at = await middle(edge)
  await drag(showPage, at, { x: at.x - 30, y: at.y })
  await expect(edge).not.toHaveAttribute('aria-valuenow', '100')
  await undone(showPage, /^Undo: edge of 3 fixtures/)
  await hand(showPage).getByRole('button', { name: 'Ends and home of edge' }).click()
  await showPage.getByRole('button', { name: /^Home/ }).click()
  await expect(edge).toHaveAttribute('aria-valuenow', '0')

  await select(showPage, '13')
  await type(value(showPage, 'intensity in per cent'), '80')
  await select(showPage, '12-14')
  await expect(value(showPage, 'intensity in per cent')).toHaveValue('36–80')
})

test('a gobo is put in by name, spun and stopped again; the strip by Record says what is taken', async ({
  showPage,
}) => {
  await select(showPage, '15-17')
  await openFamilies(showPage, 'Gobo')
  await type(value(showPage, 'gobo in slot'), 'Net')
  await hand(showPage).getByRole('region', { name: 'Gobo' }).getByRole('button', { name: '2 more' }).click()
  await type(value(showPage, 'gobo turn in degrees'), '12 rpm')
  const turn = value(showPage, 'gobo turn in turns a minute')
  await expect(turn).toHaveValue('12 rpm')
  await type(turn, '+8')
  await expect(turn).toHaveValue('20 rpm')
  await type(turn, '200 rpm')
  await expect(showPage.getByRole('alert').filter({ hasText: 'spins at 60 rpm at most' })).toBeVisible()
  await hand(showPage).getByRole('button', { name: 'Ends and home of gobo turn' }).click()
  await showPage.getByRole('button', { name: /^Stand/ }).click()
  await expect(value(showPage, 'gobo turn in degrees')).toHaveValue('0.0')
  // What was asked for was done after all.
  await expect(showPage.getByRole('alert').filter({ hasText: 'rpm at most' })).toBeHidden()

  const strip = hand(showPage).getByRole('button', { name: 'Takes 6 values of gobo' })
  await strip.click()
  await showPage.getByRole('button', { name: 'Attributes of gobo' }).click()
  await showPage.getByRole('button', { name: 'gobo turn', exact: true }).click()
  await expectAccessible(showPage)
  await showPage.keyboard.press('Escape')
  await expect(
    hand(showPage).getByRole('button', { name: 'Takes 3 values of gobo, holds back 3 of gobo' }),
  ).toBeVisible()
})

test('cuts the pool in its picture: an edge in, leant, the frame turned, each undone by itself', async ({
  showPage,
}) => {
  await select(showPage, '12-14')
  await openFamilies(showPage, 'Shutters')
  const picture = hand(showPage).getByRole('img', { name: 'The pool as the shutters cut it' })
  await picture.scrollIntoViewIfNeeded()
  const box = await picture.boundingBox()
  if (!box) throw new Error('the picture is not there')
  /** A place of the picture: the rim of the pool is at 1. */
  const at = (x: number, y: number) => ({
    x: box.x + box.width / 2 + (x * 52 * box.width) / 148,
    y: box.y + box.height / 2 - (y * 52 * box.height) / 148,
  })
  const percent = async (label: string) => Number(await value(showPage, label).inputValue())
  await drag(showPage, at(0, 1), at(0, 0.5))
  await expect.poll(() => percent('top shutter in per cent')).toBeGreaterThan(20)
  expect(await percent('top shutter in per cent')).toBeLessThan(30)
  await undone(showPage, /^Undo: top shutter of 3 fixtures/)
  await drag(showPage, at(0.62, 0.5), at(0.62, 0.35))
  await expect.poll(() => percent('top shutter angle in degrees')).toBeGreaterThan(5)
  await drag(showPage, at(0, 1.27), at(0.9, 0.9))
  await expect.poll(() => percent('frame turn in degrees')).toBeGreaterThan(35)
  await showPage.keyboard.press('Control+z')
  await expect.poll(() => percent('frame turn in degrees')).toBe(0)
  await expectAccessible(showPage)
})

test('says of each attribute how many have it; lamps that do not turn are not aimed', async ({ showPage }) => {
  await select(showPage, '11-14, 31-33, 61')
  await expect(hand(showPage).getByRole('group', { name: 'intensity', exact: true })).not.toContainText('of')
  await openFamilies(showPage, 'Beam')
  await expect(hand(showPage).getByRole('group', { name: 'iris' })).toContainText('4 of 8')
  await expect(hand(showPage)).toContainText('7 of 8 turn')
  await select(showPage, '61-66')
  await expect(hand(showPage)).toContainText('it points where it was hung')
  await expect(hand(showPage).getByRole('group', { name: 'iris' })).toHaveCount(0)
  await type(value(showPage, 'intensity in per cent'), '50')
  await undone(showPage, /^Undo: intensity (of|for) 6 fixtures/)
})

test('turns heads on the pad, with an axis locked, and to the other side', async ({ showPage }) => {
  await select(showPage, '12')
  await type(value(showPage, 'pan in degrees'), '10')
  await type(value(showPage, 'tilt in degrees'), '30')
  await hand(showPage).getByRole('button', { name: 'Lock tilt while dragging' }).click()
  await hand(showPage).getByRole('button', { name: 'Pad', exact: true }).click()
  const pad = hand(showPage).getByRole('group', { name: 'Pan and tilt pad' })
  await pad.scrollIntoViewIfNeeded()
  const at = await middle(pad)
  await drag(showPage, at, { x: at.x + 40, y: at.y - 20 })
  await expect(value(showPage, 'pan in degrees')).not.toHaveValue('10.00')
  await expect(value(showPage, 'tilt in degrees')).toHaveValue('30.00')

  await expect(hand(showPage).getByRole('button', { name: /^Other side \d+\.\d s$/ })).toBeEnabled()
  await hand(showPage).getByRole('button', { name: 'Other side' }).click()
  await expect(value(showPage, 'tilt in degrees')).toHaveValue('-30.00')
  await undone(showPage, /^Undo: fixture 12 to the other side/)
})

test('fans degrees and places, live, and lets go when something else is changed', async ({ showPage }) => {
  await select(showPage, '12-17')
  await showPage.keyboard.press('Alt+u')
  const fan = showPage.getByRole('form', { name: 'Fan' })
  await fan.getByLabel('What to fan').selectOption('intensity')
  await fan.getByLabel('From, %').fill('20')
  await fan.getByLabel('to, %', { exact: false }).last().fill('70')
  await expect(value(showPage, 'intensity in per cent')).toHaveValue('20–70')
  await fan.getByRole('button', { name: 'Keep the fan' }).click()
  await undone(showPage, /^Undo: fan intensity of 6 fixtures/)

  await fan.getByLabel('What to fan').selectOption('places')
  await fan.getByRole('button', { name: 'Line' }).click()
  await drag(
    showPage,
    await middle(targetMark(showPage, 'Shore mark')),
    await middle(targetMark(showPage, 'Jetty end')),
  )
  await fan.getByRole('radio', { name: 'crossing' }).click()
  await fan.getByRole('button', { name: 'Keep the fan' }).click()
  await undone(showPage, /^Undo: spread 6 fixtures along a line on the stage/)

  await type(value(showPage, 'intensity in per cent'), '50')
  await openFamilies(showPage, 'Beam')
  await hand(showPage).getByRole('slider', { name: 'edge' }).press('End')
  await expect(fan).toBeHidden()
  await showPage.keyboard.press('Alt+u')
  await expect(fan).toBeVisible()
  await expectAccessible(showPage)
  await select(showPage, '21')
  await expect(fan).toBeHidden()
})

test('goes neutral by its mask, once or until changed, and back', async ({ showPage }) => {
  await select(showPage, '12')
  const before = await value(showPage, 'pan in degrees').inputValue()
  await hand(showPage).getByRole('button', { name: 'What neutral sets' }).click()
  await showPage.getByRole('checkbox', { name: 'Position' }).uncheck()
  await showPage.getByRole('radio', { name: 'Once' }).click()
  await showPage.keyboard.press('Escape')
  await hand(showPage).getByRole('button', { name: 'Neutral', exact: true }).click()
  await openFamilies(showPage, 'Colour')
  await hand(showPage).getByRole('radio', { name: 'Parts' }).click()
  await expect(value(showPage, 'Cyan in per cent')).toHaveValue('0')
  await expect(value(showPage, 'pan in degrees')).toHaveValue(before)
  await hand(showPage).getByRole('button', { name: 'Neutral', exact: true }).click()
  await expect(value(showPage, 'tilt in degrees')).toHaveValue('0.00')
  await showPage.getByRole('button', { name: 'Back as it was' }).click()
  await expect(value(showPage, 'pan in degrees')).toHaveValue(before)
})

test('takes from stage, from a cue and from another fixture, seen first; clears in steps', async ({ showPage }) => {
  await select(showPage, '12-14')
  await hand(showPage).getByRole('button', { name: 'Take into the hand' }).click()
  const take = showPage.getByRole('form', { name: 'Take into the hand' })
  await take.getByRole('radio', { name: 'Cue' }).click()
  await expect(take.getByRole('status')).toHaveText('Choose a cue.')
  await take.getByLabel('Cue', { exact: true }).selectOption({ label: 'Main 14 Dory runs aground' })
  await take.getByRole('button', { name: 'All but position' }).click()
  await expect(take.getByRole('status')).toContainText('from cue 14')
  await take.getByRole('button', { name: 'Take into the hand' }).click()
  await expect(showPage.getByText('In hand: 3 fixtures').first()).toBeVisible()

  await select(showPage, '18')
  await hand(showPage).getByRole('button', { name: 'Take into the hand' }).click()
  await take.getByRole('radio', { name: 'Fixture' }).click()
  await take.getByLabel('Number of the fixture to copy from').fill('14')
  await take.getByRole('radio', { name: 'As loose values' }).click()
  await take.getByRole('button', { name: 'Take into the hand' }).click()
  await undone(showPage, /^Undo: copy .* of fixture 14 to fixture 18/)

  await select(showPage, '15')
  await showPage.keyboard.press('Control+c')
  await select(showPage, '18')
  await showPage.keyboard.press('Control+v')
  await undone(showPage, /^Undo: copy intensity, .* of fixture 15 to fixture 18/)

  await hand(showPage).getByRole('button', { name: 'Clear', exact: true }).click()
  await showPage.getByRole('button', { name: 'Selection 1 fixture, the hand stays' }).click()
  await expect(hand(showPage).getByText('4 fixtures,')).toBeVisible()
  await hand(showPage).getByRole('button', { name: 'Clear', exact: true }).click()
  await showPage.getByRole('button', { name: /^Everything 4 fixtures/ }).click()
  await expect(hand(showPage).getByText('nothing', { exact: true })).toBeVisible()
})

test('highlights what is worked on while stepping, without taking it in hand', async ({ showPage }) => {
  await select(showPage, '31-33')
  await hand(showPage).getByRole('button', { name: 'Highlight: off' }).click()
  await showPage.getByRole('button', { name: 'The others dimmed' }).click()
  await expect(hand(showPage).getByRole('button', { name: 'Highlight: the others dimmed' })).toBeVisible()
  await showPage.keyboard.press('.')
  await expectSelected(showPage, [31])
  await expect(hand(showPage).getByText('nothing', { exact: true })).toBeVisible()
  await showPage.keyboard.press('Alt+k')
  await expect(hand(showPage).getByRole('button', { name: 'Highlight: off' })).toBeVisible()
})

test('works blind beside what the stage shows, and the hand survives a reload', async ({ showPage }) => {
  await select(showPage, '12-14')
  await hand(showPage).getByRole('button', { name: 'Blind', exact: true }).click()
  await expect(showPage.getByRole('group', { name: 'Stage plan, on stage' })).toBeVisible()
  await showPage.getByRole('button', { name: /Palette 4 Jetty end/ }).click()
  await expect(showPage.getByText('In hand: 3 fixtures').first()).toBeVisible()
  await expectAccessible(showPage)
  await showPage.reload()
  await expect(showPage.getByText('In hand: 3 fixtures').first()).toBeVisible()
  await expect(showPage.getByText('Blind.')).toBeVisible()
  await showPage.getByRole('button', { name: 'Only this picture' }).click()
  await expect(showPage.getByRole('group', { name: 'Stage plan, on stage' })).toBeHidden()
  await showPage.getByRole('button', { name: 'Show the hand' }).click()
  await expect(showPage.getByText('Blind.')).toBeHidden()
})
