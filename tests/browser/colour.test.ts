import { expect, expectAccessible, openFamilies, select, test } from './app'
import type { Locator, Page } from '@playwright/test'

const picker = (page: Page) => page.getByRole('group', { name: 'Colour picker' })
const hex = (page: Page) => picker(page).getByLabel('colour as #rrggbb')
const by = (page: Page, way: string) => picker(page).getByRole('radio', { name: way }).click()

async function type(field: Locator, text: string) {
  await field.fill(text)
  await field.press('Enter')
}

/** Presses in a field of colours at a part of its width and height from its upper left. */
async function press(page: Page, pad: Locator, across: number, down: number) {
  await pad.scrollIntoViewIfNeeded()
  const box = await pad.boundingBox()
  if (!box) throw new Error('the field is not there')
  await page.mouse.move(box.x + box.width * across, box.y + box.height * down)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * across + 2, box.y + box.height * down)
  await page.mouse.up()
}

test.beforeEach(async ({ showPage }) => {
  await select(showPage, '11-14, 21, 31')
  await openFamilies(showPage, 'Colour')
})

test('a colour is chosen by code, by eye, as a white, in the diagram and by parts; what falls short is shown', async ({
  showPage,
}) => {
  await type(hex(showPage), '#7f1bff')
  await expect(hex(showPage)).toHaveValue('#7f1bff')
  await showPage.getByRole('button', { name: /^Undo: #/ }).click()
  await expect(hex(showPage)).toHaveValue('differ')
  await type(hex(showPage), '#7f1bff')
  await expect(picker(showPage).getByRole('listitem').filter({ hasText: 'Plover 250' })).toContainText('ΔE off')
  await press(showPage, picker(showPage).getByRole('slider', { name: 'Hue and saturation' }), 0.33, 0.1)
  await expect(hex(showPage)).toHaveValue(/^#[0-2].f[ef][0-3].$/)
  await type(hex(showPage), '#7f1bff')
  await expect(hex(showPage)).toHaveValue('#7f1bff')

  await by(showPage, 'White')
  await type(picker(showPage).getByLabel('temperature in kelvin'), '3200')
  await expect(hex(showPage)).toHaveValue(/^#ff[ab]/)
  await picker(showPage).getByRole('slider', { name: 'temperature' }).press('ArrowRight')
  await expect(picker(showPage).getByLabel('temperature in kelvin')).toHaveValue('3300')

  await by(showPage, 'x y')
  await type(picker(showPage).getByLabel('colour x'), '0.2')
  await expect(picker(showPage).getByLabel('colour x')).toHaveValue('0.200')
  await picker(showPage).getByRole('slider', { name: 'Place in the colour diagram' }).press('ArrowUp')
  await expectAccessible(showPage)

  await by(showPage, 'Parts')
  await expect(picker(showPage).getByRole('group', { name: 'Lime' })).toContainText('1 of 6')
  await type(picker(showPage).getByLabel('Cyan in per cent'), '25')
  await expect(picker(showPage).getByLabel('Cyan in per cent')).toHaveValue('25')
  await expect(hex(showPage)).toHaveValue('differ')
  await picker(showPage).getByRole('button', { name: 'Colour #7f1bff' }).click()
  await expect(hex(showPage)).toHaveValue('#7f1bff')
})

test('swatches come from palettes and from lists, of which bad rows are told', async ({ showPage }) => {
  await by(showPage, 'Swatch')
  await picker(showPage).getByRole('button', { name: 'Ember' }).click()
  await expect(hex(showPage)).toHaveValue('#ff8047')
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  const bring = picker(showPage).getByLabel('Bring in a list of swatches')
  await bring.setInputFiles(file('Glass.csv', 'name,x,y,Y\nSea,0.2,0.35,20\nRust,0.55,0.4,30\nNowhere,2,0.3,1\n'))
  await expect(showPage.getByText('Glass.csv, line 4: x is 2')).toBeVisible()
  await expect(picker(showPage).getByLabel('List of swatches', { exact: true })).toHaveValue('Glass')
  await picker(showPage).getByRole('button', { name: 'Sea' }).click()
  await by(showPage, 'x y')
  await expect(picker(showPage).getByLabel('colour y')).toHaveValue('0.350')
  await by(showPage, 'Swatch')
  await bring.setInputFiles(file('Notes.csv', 'what,when\na,b\n'))
  await expect(showPage.getByText(/Notes.csv: This is no list of swatches/)).toBeVisible()
  await picker(showPage).getByRole('button', { name: 'Take the list Glass out' }).click()
  await expect(picker(showPage).getByRole('button', { name: 'Ember' })).toBeVisible()
})

test('a palette shows what every type makes of its colour', async ({ showPage }) => {
  await showPage.getByRole('tab', { name: 'Colour' }).click()
  await showPage.getByRole('button', { name: /^Palette 64 Ember/ }).hover()
  await showPage.getByRole('button', { name: 'More for palette 64', exact: true }).click()
  await showPage.getByRole('button', { name: 'Look inside …' }).click()
  const pairs = showPage.getByRole('list', { name: 'What types make of it' })
  await expect(pairs.getByRole('listitem').filter({ hasText: 'Tern 700' })).toContainText('as asked')
  await expect(pairs.getByRole('listitem').filter({ hasText: 'Plover 250' })).toContainText('ΔE off')
  await expectAccessible(showPage)
})
