/** The pages of a PDF, to be drawn one by one, and its bookmarks. */
import { onUnmounted, shallowRef, watch } from 'vue'
import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist'

export interface PdfBookmark {
  readonly title: string
  /** Of the document, from 1. */
  readonly page: number
  readonly level: number
}

export interface PdfPages {
  readonly pages: readonly PDFPageProxy[]
  readonly bookmarks: readonly PdfBookmark[]
}

/** Null until they are read. */
export function usePdfPages(pdf: () => Uint8Array | null) {
  const read = shallowRef<PdfPages | null>(null)
  let open: PDFDocumentProxy | null = null

  async function readPages(bytes: Uint8Array | null) {
    const before = open
    open = null
    if (bytes) {
      const document = await openPdf(bytes)
      if (pdf() !== bytes) return void document.loadingTask.destroy()
      open = document
      const pages = await Promise.all(Array.from({ length: document.numPages }, (_, i) => document.getPage(i + 1)))
      const bookmarks = await bookmarksOf(document)
      if (pdf() === bytes) read.value = { pages, bookmarks }
    } else read.value = null
    await before?.loadingTask.destroy()
  }

  watch(pdf, (bytes) => void readPages(bytes), { immediate: true })
  onUnmounted(() => void open?.loadingTask.destroy())
  return read
}

/** Opens a PDF; throws for what is none. The reader is large, and fetched when there is something to read. */
export async function openPdf(bytes: Uint8Array): Promise<PDFDocumentProxy> {
  const [{ getDocument, GlobalWorkerOptions }, { default: worker }] = await Promise.all([
    import('pdfjs-dist'),
    import('pdfjs-dist/build/pdf.worker.min.mjs?url'),
  ])
  GlobalWorkerOptions.workerSrc = worker
  // What is handed over goes to the reader: the print itself is kept.
  return getDocument({ data: bytes.slice(), isEvalSupported: false }).promise
}

type Outline = Awaited<ReturnType<PDFDocumentProxy['getOutline']>>

async function bookmarksOf(document: PDFDocumentProxy): Promise<PdfBookmark[]> {
  const found: PdfBookmark[] = []
  const visit = async (items: Outline, level: number) => {
    for (const { title, dest, items: within } of items) {
      const to = typeof dest === 'string' ? await document.getDestination(dest) : dest
      const page: unknown = to?.[0]
      if (isReference(page)) found.push({ title, level, page: (await document.getPageIndex(page)) + 1 })
      await visit(within, level + 1)
    }
  }
  await visit((await document.getOutline()) ?? [], 0)
  return found
}

function isReference(value: unknown): value is { num: number; gen: number } {
  return typeof value === 'object' && value !== null && 'num' in value && 'gen' in value
}
