/**
 * Pictures and pages that are good but for some places: what can be shown is looked at, all else is refused in
 * words, and the show stays as it is. A few in every test run, many in the trials, counted.
 */
import { readFileSync, truncateSync, writeFileSync } from 'node:fs'
import { showId } from '#core/show/ids'
import { FIRST_CHOICE, firstWish } from '#core/paper/choice'
import { buildSaltLantern } from '#demo/saltLantern'
import { seededRandom } from '#core/standIn/seededRandom'
import { printPdf } from '../../cli/printPdf'
import { mutatedBytes, mutatedText } from '../support/mutations'
import { expect, test } from './app'

/** Of each kind. */
const ROUNDS = 2 + 50 * Number(process.env['TRIALS_TIMES'] ?? 0)
const FIRST_SEED = Number(process.env['TRIALS_SEED'] ?? 1)
/** What nothing may keep anybody waiting for longer, milliseconds; counted, since a machine may be busy. */
const LONG = 2000

const textOf = (bytes: Uint8Array) => Buffer.from(bytes).toString('latin1')

/** A PDF is half text, which goes wrong otherwise than bytes do. */
function oddPdf(bytes: Uint8Array, random: () => number): Uint8Array {
  return random() < 0.5 ? mutatedBytes(bytes, random) : Buffer.from(mutatedText(textOf(bytes), random), 'latin1')
}

/** The picture, said to be so many pixels wide and high, bytes 16 to 23 of it. */
function saidToBe(png: Buffer, pixels: number): Buffer {
  const large = Buffer.from(png)
  large.writeUInt32BE(pixels, 16)
  large.writeUInt32BE(pixels, 20)
  return large
}

test('pictures that are too large to be unpacked, or none, are refused before they are', async ({
  showPage,
}, testInfo) => {
  await showPage.getByRole('button', { name: /show menu/ }).click()
  await showPage.getByRole('menuitem', { name: 'Open a rig file, drawing or picture' }).click()
  const dialog = showPage.getByRole('dialog')
  const png = readFileSync('tests/files/ground.png')
  const heavy = testInfo.outputPath('heavy.pdf')
  writeFileSync(heavy, '%PDF-1.4')
  truncateSync(heavy, 100_000_001)
  const written = (name: string, buffer: Buffer) => ({ name, mimeType: '', buffer })
  for (const [file, said] of [
    [
      written('wide.png', saidToBe(png, 20_000)),
      /^wide.png has 20000 by 20000 pixels, and a picture may have 150 million/,
    ],
    [written('dance.png', Buffer.from('GIF89a\x20\x00\x20\x00')), /^dance.png is no PNG or JPEG picture, whatever/],
    [written('empty.jpg', Buffer.alloc(0)), /^empty.jpg cannot be read/],
    [heavy, /^heavy.pdf has 101 MB, and a picture or PDF may have 100/],
  ] as const) {
    await dialog.getByLabel('Choose the file').setInputFiles(file)
    await expect(dialog.getByRole('alert')).toHaveText(said)
  }
})

test('pictures with odd places are looked at or refused, and change nothing', async ({ showPage }) => {
  test.setTimeout(180_000 + ROUNDS * 10_000)
  const jpeg = await showPage.evaluate(
    async (png) => {
      const image = Object.assign(new Image(), { src: png })
      await image.decode()
      const canvas = Object.assign(document.createElement('canvas'), { width: image.width, height: image.height })
      canvas.getContext('2d')?.drawImage(image, 0, 0)
      return canvas.toDataURL('image/jpeg').split(',')[1] ?? ''
    },
    `data:image/png;base64,${readFileSync('tests/files/ground.png').toString('base64')}`,
  )
  const choice = { ...FIRST_CHOICE, papers: [firstWish('patch')] }
  const print = await printPdf(buildSaltLantern(showId.parse('printed')), choice, 0)
  if (!print) throw new Error('nothing was printed')
  const kinds = [
    { name: 'ground.png', bytes: readFileSync('tests/files/ground.png'), odd: mutatedBytes },
    { name: 'ground.jpg', bytes: Buffer.from(jpeg, 'base64'), odd: mutatedBytes },
    { name: 'ground.pdf', bytes: readFileSync('tests/files/ground.pdf'), odd: oddPdf },
    { name: 'patch.pdf', bytes: print, odd: oddPdf },
  ] as const

  const dialog = showPage.getByRole('dialog')
  const refused = dialog.getByRole('alert')
  for (const { name, bytes, odd } of kinds) {
    const counts = { read: 0, refused: 0, 'taking long': 0, slowest: 0 }
    for (let round = -1; round < ROUNDS; round++) {
      const buffer = Buffer.from(round < 0 ? bytes : odd(bytes, seededRandom(FIRST_SEED + round)))
      // The driver keeps every field that was filled: a fresh page lets go of them.
      if (round % 200 === 199) await showPage.reload()
      if (await dialog.isHidden()) {
        await showPage.getByRole('button', { name: /show menu/ }).click()
        await showPage.getByRole('menuitem', { name: 'Open a rig file, drawing or picture' }).click()
      }
      // Its name tells what is said of it from what was said before.
      const file = `${round + 1}-${name}`
      const looked = dialog.getByRole('heading', { name: `${file} into The Salt Lantern` })
      const begun = Date.now()
      await dialog.getByLabel('Choose the file').setInputFiles({ name: file, mimeType: '', buffer })
      await expect(looked.or(refused.filter({ hasText: file }))).toBeVisible()
      const took = Date.now() - begun
      counts.slowest = Math.max(counts.slowest, took)
      if (took > LONG) counts['taking long']++
      const isRead = await looked.isVisible()
      if (round < 0) expect([file, isRead]).toEqual([file, true])
      counts[isRead ? 'read' : 'refused']++
      if (!isRead) continue
      await dialog.getByRole('button', { name: 'Cancel' }).click()
      await expect(dialog).toBeHidden()
    }
    if (ROUNDS > 2) console.log(`${name} with odd places:`, counts)
  }
  await showPage.keyboard.press('Escape')
  await expect(showPage.getByRole('button', { name: /^Undo/ })).toBeDisabled()
})
