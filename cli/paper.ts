/**
 * `npm run -s paper`: reads a back-up of a show on standard input, writes its focus charts as PDF on standard
 * output. Words after `--` say what else: `--size A3 --papers palette-charts,hang-plot`.
 */
import { buffer } from 'node:stream/consumers'
import { parseArgs } from 'node:util'
import { z } from 'zod'
import { readShowDocument } from '#core/exchange/showFile'
import { FIRST_CHOICE, firstWish, paperChoice } from '#core/paper/choice'
import { PAPERS } from '#core/show/entities'
import { showId } from '#core/show/ids'
import { parsedJson, refuse, unpacked } from './input'
import { printPdf } from './printPdf'

const { values } = parseArgs({
  args: process.argv.slice(3),
  options: { size: { type: 'string' }, papers: { type: 'string' } },
})
const named = z.array(z.enum(PAPERS)).safeParse(values.papers?.split(',').map((name) => name.trim()) ?? [])
if (!named.success) refuse(`--papers: there are ${PAPERS.join(', ')}`)
const choice = paperChoice.safeParse({
  size: values.size ?? FIRST_CHOICE.size,
  papers: named.data.length > 0 ? named.data.map(firstWish) : FIRST_CHOICE.papers,
})
if (!choice.success) refuse(`--size: there are A4, A3 and Letter`)
const read = readShowDocument(parsedJson(unpacked(await buffer(process.stdin))), showId.parse('printed'))
if (!read.ok) refuse(`document: ${read.message}`)

const pdf = await printPdf(read.show, choice.data, Date.now())
if (pdf === null) refuse('document: nothing of what was asked for is in this show')
process.stdout.write(pdf)
