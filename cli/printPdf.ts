/** Papers of a show as a PDF, laid out by pdfmake as it runs outside a browser. */
import { fileURLToPath } from 'node:url'
import pdfmake from 'pdfmake'
import type { PaperChoice } from '#core/paper/choice'
import { composeAll } from '#core/paper/compose'
import { FONT, pdfDefinition } from '#core/paper/pdfDefinition'
import type { Show } from '#core/show/show'

const letters = (weight: string) =>
  fileURLToPath(
    import.meta.resolve(
      `@expo-google-fonts/atkinson-hyperlegible-next/${weight}/AtkinsonHyperlegibleNext_${weight}.ttf`,
    ),
  )
const day = (at: number) => new Date(at).toISOString().slice(0, 10)

/** `at` is when it is printed, milliseconds since 1970. A choice of nothing that the show has is null. */
export async function printPdf(show: Show, choice: PaperChoice, at: number): Promise<Buffer | null> {
  const papers = composeAll(show, choice)
  if (papers.length === 0) return null
  const fonts = { normal: letters('400Regular'), bold: letters('700Bold') }
  pdfmake.setFonts({ [FONT]: fonts })
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy((path) => path === fonts.normal || path === fonts.bold)
  const print = { size: choice.size, papers, before: show.all.print, when: day(at), day }
  return pdfmake.createPdf(pdfDefinition(show, print)).getBuffer()
}
