/**
 * `npm run -s paper`: reads a back-up of a show on standard input, writes its focus charts as PDF on standard
 * output. Words after `--` say what else: `--size A3 --papers palette-charts,hang-plot`.
 */
import { buffer } from 'node:stream/consumers'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import pdfmake from 'pdfmake'
import { z } from 'zod'
import { readShowDocument } from '#core/exchange/showFile'
import { FIRST_CHOICE, firstWish, paperChoice } from '#core/paper/choice'
import { compose } from '#core/paper/compose'
import { FONT, pdfDefinition } from '#core/paper/pdfDefinition'
import { PAPERS } from '#core/show/entities'
import { showId } from '#core/show/ids'
import { parsedJson, refuse, unpacked } from './input'

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

const letters = (name: string) =>
  fileURLToPath(
    import.meta.resolve(`@expo-google-fonts/atkinson-hyperlegible-next/${name}/AtkinsonHyperlegibleNext_${name}.ttf`),
  )
pdfmake.setFonts({ [FONT]: { normal: letters('400Regular'), bold: letters('700Bold') } })
pdfmake.setUrlAccessPolicy(() => false)
pdfmake.setLocalAccessPolicy(() => true)

const day = (at: number) => new Date(at).toISOString().slice(0, 10)
const composing = compose(read.show, choice.data)
let step = composing.next()
while (step.done !== true) step = composing.next()
const definition = pdfDefinition(read.show, {
  size: choice.data.size,
  papers: step.value,
  before: read.show.all.print,
  when: day(Date.now()),
  day,
})
process.stdout.write(await pdfmake.createPdf(definition).getBuffer())
