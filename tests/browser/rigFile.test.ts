/** A rig file made by hand comes into the demo, item by item; the demo's own goes out and finds itself again. */
import { readFileSync } from 'node:fs'
import { readZip } from '../../server/exchange/zip'
import { expect, expectAccessible, test } from './app'

test('looks into a rig file, places it by two points, takes what is chosen, and finds its own again', async ({
  showPage,
}) => {
  const dialog = showPage.getByRole('dialog')
  const openRigFile = async (file: string) => {
    await showPage.getByRole('button', { name: /show menu/ }).click()
    await showPage.getByRole('menuitem', { name: 'Open a rig file' }).click()
    await dialog.getByLabel('Choose the file').setInputFiles(file)
  }
  await openRigFile('tests/browser/rigs/quay-studio-rig.csv')
  await expect(dialog.getByRole('alert')).toContainText('quay-studio-rig.csv cannot be read: it is no whole zip file')
  await dialog.getByLabel('Choose the file').setInputFiles('tests/files/quay.mvr')
  const items = dialog.getByRole('region', { name: 'What comes in' })
  const item = (name: string) => items.getByRole('checkbox', { name })
  // Of another type, and only of the same number: nothing of them is suggested.
  await expect(item('fixture 12: elsewhere')).not.toBeChecked()
  await expect(item('set piece Crate on the quay: new')).toBeChecked()
  await dialog.getByRole('tab', { name: /Said of it/ }).click()
  await expect(dialog.getByRole('list', { name: 'Said of it' })).toContainText('Ghost has no model that can be read')
  await expectAccessible(showPage)
  await dialog.getByRole('tab', { name: /All/ }).click()

  await dialog.getByLabel('First place').selectOption({ label: 'Bollard' })
  await dialog.getByRole('textbox', { name: 'Stage x' }).first().fill('-3')
  await dialog.getByRole('textbox', { name: 'Stage x' }).first().press('Enter')
  await expect(items.getByText('-3.00, 0.50, 0.25 m')).toBeVisible()
  await item('hang Quay bar: new').uncheck()
  await dialog.getByRole('button', { name: /^Take/ }).last().click()
  await expect(dialog).toBeHidden()
  const undo = showPage.getByRole('button', { name: /^Undo/ })
  await expect(undo).toContainText('take 1 type, 1 hang, 2 fixtures, 1 target and 1 set piece from a file')
  await expect(showPage.getByRole('img', { name: /^Hang Mast/ })).toHaveCount(1)

  const download = showPage.waitForEvent('download')
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Write the rig to a file (MVR)' }).click()
  const written = await (await download).path()
  await showPage.keyboard.press('Escape')
  await openRigFile(written)
  await expect(items.getByRole('checkbox')).toHaveCount(1)
  // Nobody wanted that layer as a group, and it is offered once more.
  await expect(item('group Lights: new')).not.toBeChecked()
  await dialog.getByRole('radio', { name: 'Not kept' }).click()
  await expect(dialog.getByRole('button', { name: /^Take 0/ })).toBeDisabled()
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await undo.click()
  await expect(showPage.getByRole('img', { name: /^Hang Mast/ })).toHaveCount(0)
})

test('keeps a rig file, writes what has no place here again, from a back-up as well, and lets go of it', async ({
  showPage,
}) => {
  const dialog = showPage.getByRole('dialog')
  const chooseInMenu = async (item: string | RegExp) => {
    await showPage.getByRole('button', { name: /show menu/ }).click()
    await showPage.getByRole('menuitem', { name: item }).click()
  }
  const downloaded = async (item: string) => {
    const download = showPage.waitForEvent('download')
    await chooseInMenu(item)
    const path = await (await download).path()
    await showPage.keyboard.press('Escape')
    return path
  }
  const writtenRig = async () => readZip(readFileSync(await downloaded('Write the rig to a file (MVR)')), () => true)
  const sceneIn = (files: ReadonlyMap<string, Uint8Array>) =>
    new TextDecoder().decode(files.get('GeneralSceneDescription.xml'))
  await chooseInMenu('Open a rig file, drawing or picture')
  await dialog.getByLabel('Choose the file').setInputFiles('tests/files/quay.mvr')
  await expect(dialog.getByRole('radio', { name: 'Kept', exact: true })).toBeChecked()
  await dialog.getByRole('button', { name: /^Take/ }).last().click()
  await expect(dialog).toBeHidden()
  const written = await writtenRig()
  expect(sceneIn(written)).toContain('<Buoy name="Red buoy" uuid="0A000000-0000-4000-8000-0000000000C3"/>')
  expect([...written.keys()]).toContain('ghost.3ds')

  const backup = await downloaded('Back up to a file')
  await chooseInMenu('Open a back-up')
  await dialog.getByLabel('Choose the file').setInputFiles(backup)
  await expect(showPage.getByRole('group', { name: 'Stage plan' })).toBeVisible()
  expect(sceneIn(await writtenRig())).toBe(sceneIn(written))

  await showPage.getByRole('link', { name: 'Rig' }).click()
  await showPage.getByRole('button', { name: 'Let go of quay.mvr' }).click()
  await expect(showPage.getByRole('region', { name: 'Kept files' })).toBeHidden()
  expect(sceneIn(await writtenRig())).not.toContain('Red buoy')
})

test('a drawing of the set comes in by layers, as large as two places say; the stage goes out', async ({
  showPage,
}) => {
  const dialog = showPage.getByRole('dialog')
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Open a rig file, drawing or picture' }).click()
  await dialog.getByLabel('Choose the file').setInputFiles('tests/files/wharf.obj')
  const items = dialog.getByRole('region', { name: 'What comes in' })
  await expect(items.getByText('2.00, 2.50, 0.00 m')).toBeVisible()
  await dialog.getByRole('button', { name: 'ft', exact: true }).click()
  await expect(items.getByText('0.61, 0.76, 0.00 m')).toBeVisible()
  await expect(dialog.getByRole('textbox', { name: 'Scale' })).toHaveValue('0.3048')
  for (const [i, [corner, x, y]] of [
    ['Ramp, corner 1', '4', '5'],
    ['Ramp, corner 2', '4', '6'],
  ].entries()) {
    await dialog.getByLabel(i === 0 ? 'First place' : 'Second place').selectOption({ label: corner ?? '' })
    for (const [axis, metres] of [
      ['x', x],
      ['y', y],
    ] as const) {
      const field = dialog.getByRole('textbox', { name: `Stage ${axis}` }).nth(i)
      await field.fill(metres ?? '')
      await field.press('Enter')
    }
  }
  await expect(dialog.getByRole('textbox', { name: 'Scale' })).toHaveValue('0.5')
  await expectAccessible(showPage)
  await items.getByRole('checkbox', { name: 'set piece Post: new' }).uncheck()
  await dialog.getByRole('button', { name: 'Take 1' }).click()
  await expect(dialog).toBeHidden()
  await expect(showPage.getByRole('button', { name: /^Undo/ })).toContainText('take 1 set piece from a file')

  for (const [as, head] of [
    ['DXF', /^0\r\nSECTION/],
    ['GLB', /^glTF/],
    ['SVG', /^<\?xml[\s\S]*Ramp/],
  ] as const) {
    const download = showPage.waitForEvent('download')
    await showPage.getByRole('button', { name: /show menu/ }).click()
    await showPage.getByRole('menuitem', { name: `Write the stage as ${as}` }).click()
    expect(readFileSync(await (await download).path(), 'latin1')).toMatch(head)
    await showPage.keyboard.press('Escape')
  }
})

test('a page and a drawing lie under the plan to scale, and a set piece is traced on their lines', async ({
  showPage,
}) => {
  const dialog = showPage.getByRole('dialog')
  const plan = showPage.getByRole('group', { name: 'Stage plan' })
  const open = async (file: string) => {
    await showPage.getByRole('button', { name: /show menu/ }).click()
    await showPage.getByRole('menuitem', { name: 'Open a rig file, drawing or picture' }).click()
    await dialog.getByLabel('Choose the file').setInputFiles(`tests/files/${file}`)
  }
  const undo = showPage.getByRole('button', { name: /^Undo/ })
  await showPage.getByRole('link', { name: 'Rig' }).click()
  await open('ground.pdf')
  const page = dialog.getByRole('textbox', { name: 'Page, of 2' })
  await page.fill('2')
  await page.press('Enter')
  await expect(dialog.getByText('ground.pdf, page 2')).toBeVisible()
  await dialog.getByRole('button', { name: '1 : 100' }).click()
  await dialog.getByLabel('First place').selectOption({ label: 'its lower left corner' })
  const across = dialog.getByRole('textbox', { name: 'Stage x' }).first()
  await across.fill('-14')
  await across.press('Enter')
  await expectAccessible(showPage)
  const served = showPage.waitForResponse(/\/files\/[0-9a-f]{64}$/)
  await dialog.getByRole('button', { name: 'Take all' }).click()
  await expect(dialog).toBeHidden()
  expect((await served).headers()['content-type']).toBe('image/png')
  await expect(undo).toContainText('take 1 underlay from a file')

  await open('quay-plan.dxf')
  await dialog.getByRole('tab', { name: 'Set pieces 1' }).click()
  await dialog.getByRole('button', { name: 'Leave all these' }).click()
  await dialog.getByRole('tab', { name: 'Riser 2' }).click()
  await dialog.getByRole('checkbox', { name: 'underlay Riser: new' }).check()
  await dialog.getByRole('button', { name: 'Take 6' }).click()
  await expect(dialog).toBeHidden()
  await expect(plan.getByRole('img', { name: 'Underlay quay-plan.dxf' })).toBeVisible()

  await showPage.getByRole('button', { name: /Under the plan/ }).click()
  const side = showPage.getByRole('complementary', { name: 'Properties' })
  const pdf = side.getByRole('group', { name: 'Underlay ground.pdf, page 2' })
  await expect(pdf.getByRole('textbox', { name: 'Across' })).toHaveValue('-14')
  await expect(pdf.getByRole('textbox', { name: 'Scale' })).toHaveValue('100')
  await pdf.getByRole('button', { name: 'Hide ground.pdf, page 2' }).click()
  await expect(plan.getByRole('img', { name: 'Underlay ground.pdf, page 2' })).toBeHidden()
  await side.getByRole('button', { name: 'Walls', exact: true }).click()
  await expect(side.getByRole('button', { name: 'Walls', exact: true })).toHaveAttribute('aria-pressed', 'false')
  await expectAccessible(showPage)
  await side.getByRole('button', { name: 'Close' }).click()

  await side.getByRole('button', { name: 'Set piece', exact: true }).click()
  await side.getByRole('textbox', { name: 'Name' }).fill('Riser')
  await side.getByRole('button', { name: 'Draw it on the plan' }).click()
  // The lines that are seen reach from -3 to 2 across and up to 4 upstage; the riser from -3, 1 to -1, 2.
  const lines = await plan.getByRole('img', { name: 'Underlay quay-plan.dxf' }).boundingBox()
  if (!lines) throw new Error('the lines are not drawn')
  const pixels = lines.width / 5
  for (const [x, y] of [
    [-3, 1],
    [-1, 1],
    [-1, 2],
    [-3, 2],
    [-3, 1],
  ] as const)
    await showPage.mouse.click(lines.x + (x + 3) * pixels + 2, lines.y + (4 - y) * pixels - 2)
  await expect(side.getByRole('textbox', { name: 'Outline' })).toHaveValue('-1 -0.5\n1 -0.5\n1 0.5\n-1 0.5')
  await side.getByRole('button', { name: 'Put it there' }).click()
  await expect(undo).toContainText('Riser')
  await expect(side.getByRole('textbox', { name: 'Across' }).first()).toHaveValue('-2')
  await expect(side.getByRole('textbox', { name: 'Upstage' }).first()).toHaveValue('1.5')
})

test('pages as scanners write them show what is on them', async ({ showPage }) => {
  const dialog = showPage.getByRole('dialog')
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Open a rig file, drawing or picture' }).click()
  await dialog.getByLabel('Choose the file').setInputFiles('tests/files/scan.pdf')
  const shown = dialog.getByRole('group', { name: 'Plan of the rig file' }).locator('image')
  /** Whether places of the page are dark, by parts of its width and height from the lower left. */
  const darkAt = (places: readonly (readonly [number, number])[]) =>
    shown.evaluate(async (element, wanted) => {
      const image = Object.assign(new Image(), { src: element.getAttribute('href') })
      await image.decode()
      const canvas = Object.assign(document.createElement('canvas'), { width: image.width, height: image.height })
      const context = canvas.getContext('2d')
      context?.drawImage(image, 0, 0)
      return wanted.map(([x, y]) => {
        const data = context?.getImageData(Math.floor(x * image.width), Math.floor((1 - y) * image.height), 1, 1).data
        return (data?.[0] ?? 255) < 128
      })
    }, places)
  await expect(dialog.getByText('scan.pdf, page 1')).toBeVisible()
  // The fax fills the left half; the letter H stands right of it, with nothing above its bar.
  expect(
    await darkAt([
      [0.1, 0.5],
      [0.4, 0.5],
      [0.66, 0.5],
      [0.72, 0.65],
    ]),
  ).toEqual([false, true, true, false])
  const page = dialog.getByRole('textbox', { name: 'Page, of 2' })
  await page.fill('2')
  await page.press('Enter')
  await expect(dialog.getByText('scan.pdf, page 2')).toBeVisible()
  expect(
    await darkAt([
      [0.01, 0.5],
      [0.25, 0.8],
      [0.6, 0.4],
    ]),
  ).toEqual([true, true, false])
})
