import { readFileSync } from 'node:fs'
import { expect, expectAccessible, record, select, test } from './app'

const rig = (name: string) => `tests/browser/rigs/quay-studio-${name}.csv`

test('builds a show from tables made elsewhere, and one trim carries through its cues', async ({ showPage }) => {
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'New show' }).click()
  await showPage.getByRole('textbox', { name: 'Name of the show' }).fill('Quay Studio')
  await showPage.getByRole('button', { name: 'Make show' }).click()
  await expect(showPage.getByText('No fixtures yet.')).toBeVisible()
  await showPage.getByRole('link', { name: 'Focus', exact: true }).click()
  await expect(showPage.getByText('Hangs and their fixtures belong here.')).toBeVisible()
  await expectAccessible(showPage)

  const openTables = async () => {
    await showPage.getByRole('button', { name: /show menu/ }).click()
    await showPage.getByRole('menuitem', { name: 'Open tables' }).click()
  }
  const dialog = showPage.getByRole('dialog')
  // The empty state itself offers the first step.
  await showPage.getByRole('button', { name: 'Open tables' }).click()
  await dialog.getByLabel('Choose files').setInputFiles([rig('rig'), rig('hangs'), rig('targets')])
  await expect(dialog.getByRole('status')).toHaveText('7 hangs, 27 fixtures, 10 targets will come in.')
  await dialog.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(dialog).toBeHidden()

  await openTables()
  await dialog.getByLabel(/paste a table/).fill(readFileSync(rig('rig-with-mistakes'), 'utf8'))
  await dialog.getByRole('button', { name: 'Read it' }).click()
  const report = dialog.getByRole('table', { name: /Rows to look at/ })
  await expect(report.getByRole('row')).toHaveCount(7)
  for (const words of [
    /^5 whole row has 14 cells/,
    /^10 hang .*Bar Q/,
    /^14 universe .*70000/,
    /^18 number “131”/,
    /^19 yaw “east”/,
    /^22 address 3\.139 overlaps fixture 134/,
  ])
    await expect(report.getByRole('row', { name: words })).toBeVisible()
  await expect(dialog.getByRole('region', { name: 'Pasted table' })).toContainText('already in the show')
  await expectAccessible(showPage)
  await dialog.getByRole('button', { name: 'Cancel' }).click()

  // What speaks of what came before: in one go, and taken back in one.
  await openTables()
  for (const table of [
    'cue\tname\tfixtures\tpalettes\tlevel\n80\tLast look\tFront\tAt the door\t60 %\n81\tGone\tBack\t\t0',
    'palette\tnumber\ttarget\tfixtures\nAt the door\t80\tClock face\tFront',
    'group\tfixtures\nFront\t101-116',
  ]) {
    await dialog.getByLabel(/paste a table/).fill(table)
    await dialog.getByRole('button', { name: 'Read it' }).click()
  }
  await expect(dialog.getByRole('status')).toHaveText(/^1 group, 1 palette, 1 cue will come in\. Cues go into/)
  await expect(dialog.getByRole('row', { name: /^3 fixtures .*Back/ })).toBeVisible()
  await expectAccessible(showPage)
  await dialog.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(dialog).toBeHidden()
  const undo = showPage.getByRole('button', { name: /^Undo/ })
  await expect(undo).toContainText('import 1 group, 1 palette, 1 cue')
  await showPage.getByRole('tab', { name: 'Position' }).click()
  await expect(showPage.getByRole('button', { name: /^Palette 80 At the door/ })).toBeVisible()
  await undo.click()
  await expect(showPage.getByRole('button', { name: /^Palette 80 At the door/ })).toBeHidden()

  for (const [i, target] of ['Cello', 'Crate', 'Clock face'].entries()) {
    await select(showPage, '101-116')
    await showPage.getByRole('combobox', { name: 'Aim at a target' }).fill(target)
    await showPage.getByRole('option', { name: target }).click()
    await expect(showPage.getByText('12 solved, all reach').first()).toBeVisible()
    await record(showPage, 'palette', { shelf: 'position', name: target })
    await record(showPage, 'cue', { name: `To the ${target}` })
    await expect(showPage.getByRole('group', { name: 'Cue on stage' })).toContainText(`${i + 1} To the ${target}`)
  }
  await select(showPage, '113')
  const lit = showPage.getByRole('complementary', { name: 'In hand' }).getByRole('row', { name: /113/ })
  const untouched = await lit.innerText()
  await showPage.getByRole('button', { name: /^Trim height of Bar B/ }).click()
  await showPage.keyboard.type('5.3')
  await showPage.keyboard.press('Enter')
  const proposal = showPage.getByRole('region', { name: 'Proposed change' })
  await expect(proposal.getByRole('status')).toHaveText('Move Bar B 0.60 m down: 3 palettes, 3 cues follow')
  // The numbers follow just after the proposal is seen.
  await expect(lit).not.toHaveText(untouched, { useInnerText: true })
  const proposed = await lit.innerText()
  await proposal.getByRole('button', { name: /Keep/ }).click()
  await expect(showPage.getByRole('button', { name: 'Trim height of Bar B, 5.30 metres' })).toBeVisible()
  await expect(lit).toHaveText(proposed, { useInnerText: true })

  await showPage.getByRole('tab', { name: 'Position' }).click()
  const download = showPage.waitForEvent('download')
  await showPage.getByRole('button', { name: /^Palette 1 Cello/ }).hover()
  await showPage.getByRole('button', { name: 'More for palette 1', exact: true }).click()
  await showPage.getByRole('link', { name: 'Export its aims as CSV' }).click()
  const csv = readFileSync(await (await download).path(), 'utf8')
  expect(csv.split('\n')[0]).toBe(
    'palette,palette name,number,name,target,pan (deg),tilt (deg),throw (m),zoom (deg),pool (m),state,short (deg),miss (m),' +
      'pan (%),pan (8 bit),pan (16 bit),pan (24 bit),tilt (%),tilt (8 bit),tilt (16 bit),tilt (24 bit)',
  )
  expect(csv).toMatch(
    /^1,Cello,101,Tern 101,Cello,-?\d+\.\d{4},-?\d+\.\d{4},\d+\.\d{3},,,reached,,,\d+\.\d{4},\d+,\d+,\d+,\d+\.\d{4},\d+,\d+,\d+$/m,
  )
})
