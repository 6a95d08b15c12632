/** Opens a PDF. The reader is large, and fetched when there is something to read. */
import type { PDFDocumentProxy } from 'pdfjs-dist'
import { MOST_PIXELS } from '../exchange/drawn'

export interface OpenPdf {
  /** Rejects where it is none; never settles once its reader was ended. */
  readonly opened: Promise<PDFDocumentProxy>
  /** Puts away what it was drawn with, and ends its reader. */
  readonly close: () => Promise<void>
  /** Ends its reader whatever that does, and were it for ever. */
  readonly end: () => void
}

/** What scans, letters that are not in the file and their codes are read with: beside the app, fetched when a file needs it. */
const PARTS = {
  wasmUrl: '/pdf/wasm/',
  standardFontDataUrl: '/pdf/standard_fonts/',
  cMapUrl: '/pdf/cmaps/',
  iccUrl: '/pdf/iccs/',
} as const

/** Pictures in it that are too large to be unpacked are left out of what is drawn. */
export async function openPdf(bytes: Uint8Array): Promise<OpenPdf> {
  const [{ getDocument, GlobalWorkerOptions, PDFWorker }, { default: script }] = await Promise.all([
    import('pdfjs-dist'),
    import('pdfjs-dist/build/pdf.worker.min.mjs?url'),
  ])
  GlobalWorkerOptions.workerSrc = script
  const worker = PDFWorker.create({})
  // What is handed over goes to the reader: the print itself is kept.
  const data = bytes.slice()
  const task = getDocument({ ...PARTS, data, isEvalSupported: false, maxImageSize: MOST_PIXELS, worker })
  const end = () => worker.destroy()
  return { opened: task.promise, close: () => task.destroy().finally(end), end }
}
