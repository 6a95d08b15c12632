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
  await expect(dialog.getByText('The show has all of this just as the file has it.')).toBeVisible()
  await dialog.getByRole('radio', { name: 'Not kept' }).click()
  await expect(dialog.getByRole('button', { name: 'Take all' })).toBeDisabled()
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
  await chooseInMenu('Open a rig file or a drawing')
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
  await showPage.getByRole('menuitem', { name: 'Open a rig file or a drawing' }).click()
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
