import { spawnSync } from 'node:child_process'
import { beforeAll, describe, expect, it } from 'vitest'
import { aimsOfPalettes } from '#core/exchange/aimsTable'
import { palettesInOrder } from '#core/palettes/resolve'
import { firstWish } from '#core/paper/choice'
import { PAPERS } from '#core/show/entities'
import { ShowBuilder } from '#demo/builder'
import { buildSaltLantern } from '#demo/saltLantern'
import { harbourHall } from '#demo/stage'
import { ensurePoppler, fontsOf, greysOfPage, toldOf, wordsOfPage } from '../tests/support/poppler'
import { documentInColumns } from '../tests/support/showDocument'
import { printPdf } from './printPdf'

const show = buildSaltLantern('demo')
const AT = Date.UTC(2026, 10, 30)
const paper = (input: string | Buffer, ...args: string[]) =>
  spawnSync(process.execPath, ['scripts/run.mjs', '../cli/paper', ...args], { input, maxBuffer: 50_000_000 })

beforeAll(ensurePoppler)

/** Darker than any ink but that of lines. */
const DARK = 70
/** The longest dark line from left to right, pixels. */
function longestLine(rows: readonly Uint8Array[]): number {
  let longest = 0
  for (const row of rows) {
    let run = 0
    for (const grey of row) {
      run = grey < DARK ? run + 1 : 0
      longest = Math.max(longest, run)
    }
  }
  return longest
}

describe('a print', () => {
  it('of a palette says of each fixture what the aims table says, in letters that are embedded', async () => {
    const [, , gallery] = palettesInOrder(show)
    const pdf = await printPdf(show, { size: 'A4', papers: [{ paper: 'palette-charts', numbers: '3' }] }, AT)
    if (!pdf || !gallery) throw new Error('there is no third palette')
    const words = wordsOfPage(pdf, 1)
    const aims = aimsOfPalettes(show, [gallery.id])
    expect(aims.length).toBeGreaterThan(5)
    for (const { number, pan, tilt, throw: far } of aims) {
      const line = words.split('\n').find((text) => new RegExp(`^\\s+${number}\\s+Plover`).test(text)) ?? ''
      expect(line).toContain(`${Number(pan).toFixed(1)}°`)
      expect(line).toContain(`${Number(tilt).toFixed(1)}°`)
      expect(line).toContain(`${Number(far).toFixed(2)} m`)
    }
    for (const { name, isEmbedded } of fontsOf(pdf)) {
      expect(name).toContain('AtkinsonHyperlegible')
      expect(isEmbedded).toBe(true)
    }
    expect(toldOf(pdf).get('Pages')).toBe('1')
  })

  it.each([25, 50, 100] as const)('of a hang plot at 1:%i has a ruler that is true when measured', async (scale) => {
    const pdf = await printPdf(show, { size: 'A3', papers: [{ paper: 'hang-plot', scale }] }, AT)
    if (!pdf) throw new Error('there is no plot')
    expect(toldOf(pdf).get('Page size')).toMatch(/^1190\.55 x 841\.89 pts/)
    // The lower right sheet has nothing but the ruler near its corner.
    const words = wordsOfPage(pdf, 1)
    expect(words).toContain(`1:${scale}`)
    const metres = Number(/(\d+(?:\.\d)?)\s*m$/m.exec(words)?.[1])
    const pixels = longestLine(greysOfPage(pdf, 1))
    expect(pixels / 10).toBeCloseTo((metres * 1000) / scale, 0)
    expect(Math.abs(pixels / 10 - (metres * 1000) / scale)).toBeLessThan(0.4)
  })

  it('of a show that was just begun says what there is, and names of any letters do no harm', async () => {
    const builder = new ShowBuilder('empty', 'anna')
    builder.run('beginShow', { name: '<b>&"\u{1f600} Ж\u0001</b>', venue: harbourHall, types: [] })
    const papers = PAPERS.map(firstWish)
    const pdf = await printPdf(builder.show, { size: 'A4', papers }, AT)
    if (!pdf) throw new Error('not even the hang plot is there')
    expect(wordsOfPage(pdf, 1)).toContain('Hang plot')
    expect(Number(toldOf(pdf).get('Pages'))).toBeGreaterThan(2)
  })

  it('of nothing that the show has is none', async () => {
    expect(await printPdf(show, { size: 'A4', papers: [{ paper: 'palette-charts', numbers: '999' }] }, AT)).toBeNull()
  })
})

describe('npm run paper', () => {
  it('turns a back-up into a PDF', () => {
    const document = JSON.stringify(documentInColumns(show))
    const { status, stdout } = paper(document, '--size', 'Letter', '--papers', 'patch,hook-up')
    expect(status).toBe(0)
    expect(toldOf(stdout).get('Page size')).toMatch(/^612 x 792 pts/)
    expect(wordsOfPage(stdout, 2)).toContain('Universe 1')
  })

  it('says what is wrong in one line, and writes nothing', () => {
    for (const [input, args, why] of [
      ['{', [], /^document: not JSON/],
      ['{}', ['--papers', 'posters'], /^--papers: there are palette-charts, /],
      ['{}', ['--size', 'B5'], /^--size: there are A4, A3 and Letter/],
    ] as const) {
      const { status, stdout, stderr } = paper(input, ...args)
      expect(status).toBe(2)
      expect(stdout).toHaveLength(0)
      expect(String(stderr)).toMatch(why)
    }
  })
})
