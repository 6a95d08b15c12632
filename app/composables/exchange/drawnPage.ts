/** A page of a PDF: read in a worker of its own, and drawn in slices that leave the page its time. */
import { openPdf } from '../paper/openPdf'
import { canvasOf, LONGEST_SIDE, pngOf, type Drawn } from './drawn'

/** What a page is drawn at, unless one says otherwise: 1 to so much. */
const FIRST_RATIO = 50
/** Metres of paper a point of a PDF is. */
const POINT = 0.0254 / 72

/** Throws what is no PDF. The signal ends its reader, whatever that does. */
export async function drawnPage(file: File, number: number, given: AbortSignal): Promise<Drawn> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const { opened, close, end } = await openPdf(bytes)
  given.addEventListener('abort', end)
  if (given.aborted) end()
  try {
    const document = await opened
    const page = await document.getPage(Math.min(number, document.numPages))
    const plain = page.getViewport({ scale: 1 })
    const viewport = page.getViewport({ scale: LONGEST_SIDE / Math.max(plain.width, plain.height) })
    const canvas = canvasOf(viewport.width, viewport.height)
    await page.render({ canvas, viewport, background: '#fff' }).promise
    return {
      kept: await pngOf(canvas),
      width: plain.width * POINT,
      height: plain.height * POINT,
      scale: FIRST_RATIO,
      page: { of: document.numPages, number: page.pageNumber },
    }
  } finally {
    void close()
  }
}
