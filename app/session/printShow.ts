/** Prints papers of a show: composes them, lays them out and writes the file. Runs in a worker. */
import bold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf?url'
import regular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url'
import pdfmake from 'pdfmake/build/pdfmake'
import { linesAfter } from '#core/paper/changes'
import type { PaperChoice } from '#core/paper/choice'
import type { PaperName } from '#core/show/papers'
import { composeAll, type Paper } from '#core/paper/compose'
import { FONT, pdfDefinition } from '#core/paper/pdfDefinition'
import type { Show } from '#core/show/show'

/** How far a print is: leaves composed; or the part of the pages that is written, 0 to 1, 0 while they are laid out. */
export type PrintProgress = { readonly leaves: number } | { readonly written: number }

export interface PrintedPapers {
  readonly pdf: Uint8Array
  readonly papers: readonly { readonly paper: PaperName; readonly leaves: number; readonly lines: string }[]
}

/** So many leaves are composed between two words of how far it is. */
const TOLD_EVERY = 4

export interface PrintJob {
  readonly choice: PaperChoice
  /** When it is printed, as people read it, and their language for other days. */
  readonly when: string
  readonly language: string
}

/** Null where there is nothing to print. */
export async function printShow(
  show: Show,
  { choice, when, language }: PrintJob,
  tell: (progress: PrintProgress) => void,
): Promise<PrintedPapers | null> {
  const papers = composeAll(show, choice, (leaves) => leaves % TOLD_EVERY === 0 && tell({ leaves }))
  if (papers.length === 0) return null
  tell({ written: 0 })
  await takeLetters()
  pdfmake.setProgressCallback((written) => tell({ written }))
  const days = new Intl.DateTimeFormat(language, { dateStyle: 'medium' })
  const definition = pdfDefinition(show, {
    size: choice.size,
    papers,
    before: show.all.print,
    when,
    day: (at) => days.format(at),
  })
  const file = await pdfmake.createPdf(definition).getBuffer()
  return { pdf: new Uint8Array(file), papers: papers.map((paper) => noted(show, paper)) }
}

function noted(show: Show, { name, leaves }: Paper) {
  return { paper: name, leaves: leaves.length, lines: linesAfter(show.all.print.get(name) ?? null, leaves) }
}

/** Gives pdfmake our letters as files of its own. */
async function takeLetters(): Promise<void> {
  const [normal, strong] = await Promise.all([regular, bold].map(inBase64))
  pdfmake.addVirtualFileSystem({ 'regular.ttf': normal ?? '', 'bold.ttf': strong ?? '' })
  pdfmake.setFonts({ [FONT]: { normal: 'regular.ttf', bold: 'bold.ttf' } })
  pdfmake.setUrlAccessPolicy(() => false)
}

async function inBase64(url: string): Promise<string> {
  const answer = await fetch(url)
  if (!answer.ok) throw new Error('the letters for prints are not there')
  const bytes = new Uint8Array(await answer.arrayBuffer())
  return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
}
