/** The pages of a PDF, to be drawn one by one, and its bookmarks. */
import { onUnmounted, shallowRef, watch } from 'vue'
import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist'
import { openPdf, type OpenPdf } from './openPdf'

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
  let open: OpenPdf | null = null

  async function readPages(bytes: Uint8Array | null) {
    const before = open
    open = null
    if (bytes) {
      const reader = await openPdf(bytes)
      const document = await reader.opened
      if (pdf() !== bytes) return void reader.close()
      open = reader
      const pages = await Promise.all(Array.from({ length: document.numPages }, (_, i) => document.getPage(i + 1)))
      const bookmarks = await bookmarksOf(document)
      if (pdf() === bytes) read.value = { pages, bookmarks }
    } else read.value = null
    await before?.close()
  }

  watch(pdf, (bytes) => void readPages(bytes), { immediate: true })
  onUnmounted(() => void open?.close())
  return read
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
