/** A picture, or a page of a PDF, to lie under the plan: read in the browser, which is made to show them. */
import type { Placement } from '#core/exchange/mvr/placement'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import { vec3 } from '#core/geometry/vector'
import { openPdf } from '../paper/usePdfPages'

export interface PictureFile {
  readonly reading: RigReading
  /** How it lies at first. */
  readonly placement: Placement
  /** What an image shows, as a data URL. */
  readonly shown: string
  /** What is kept. */
  readonly kept: Blob
  /** Of a PDF: how many pages there are, and which it is, from 1. Null for a picture. */
  readonly page: { readonly of: number; readonly number: number } | null
}

export const isPicture = (fileName: string) => /\.(png|jpe?g|pdf)$/i.test(fileName)

/** Larger ones are made smaller, pixels along the longer side: a stage is drawn on a screen. */
const LONGEST_SIDE = 4000
/** How wide a picture lies at first, metres. */
const FIRST_WIDTH = 20
/** What a page is drawn at, unless one says otherwise: 1 to so much. */
const FIRST_RATIO = 50
/** Metres of paper a point of a PDF is. */
const POINT = 0.0254 / 72

/** Reads a picture, or a page of a PDF; or says why it cannot be read. `page` counts from 1. */
export async function readPicture(file: File, page: number): Promise<PictureFile | string> {
  try {
    return /\.pdf$/i.test(file.name) ? await pageOf(file, page) : await pictureOf(file)
  } catch {
    const kind = /\.pdf$/i.test(file.name) ? 'PDF' : 'PNG or JPEG picture'
    return `${file.name} cannot be read: it is no whole ${kind}, or one that is locked.`
  }
}

async function pictureOf(file: File): Promise<PictureFile> {
  const bitmap = await createImageBitmap(file)
  const size = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height))
  const kept = size < 1 ? await smaller(bitmap, size) : file
  const [width, height] = [Math.round(bitmap.width * size), Math.round(bitmap.height * size)]
  bitmap.close()
  return fileOf(file.name, { width, height, scale: FIRST_WIDTH / width }, kept, null)
}

function smaller(bitmap: ImageBitmap, size: number): Promise<Blob> {
  const canvas = canvasOf(bitmap.width * size, bitmap.height * size)
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return blobOf(canvas)
}

async function pageOf(file: File, number: number): Promise<PictureFile> {
  const document = await openPdf(new Uint8Array(await file.arrayBuffer()))
  try {
    const page = await document.getPage(Math.min(number, document.numPages))
    const plain = page.getViewport({ scale: 1 })
    const viewport = page.getViewport({ scale: LONGEST_SIDE / Math.max(plain.width, plain.height) })
    const canvas = canvasOf(viewport.width, viewport.height)
    await page.render({ canvas, viewport, background: '#fff' }).promise
    const size = { width: plain.width * POINT, height: plain.height * POINT, scale: FIRST_RATIO }
    return await fileOf(file.name, size, await blobOf(canvas), { of: document.numPages, number: page.pageNumber })
  } finally {
    await document.loadingTask.destroy()
  }
}

function canvasOf(width: number, height: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width))
  canvas.height = Math.max(1, Math.round(height))
  return canvas
}

function blobOf(canvas: HTMLCanvasElement): Promise<Blob> {
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('the picture cannot be written'))), 'image/png'),
  )
}

/** It lies across the middle at first, upstage of the setting line. */
async function fileOf(
  name: string,
  { width, height, scale }: { width: number; height: number; scale: number },
  kept: Blob,
  page: PictureFile['page'],
): Promise<PictureFile> {
  const nothing = { hangs: [], fixtures: [], targets: [], pieces: [], types: [], notes: [] }
  const named = (page && page.of > 1 ? `${name}, page ${page.number}` : name).slice(0, 200)
  const underlay = { form: 'picture' as const, name: named, corner: { x: 0, y: 0 }, width, height, layers: [] }
  return {
    reading: { provider: '', drawing: { unit: null }, ...nothing, underlay },
    placement: { scale, mirrored: false, turn: 0, shift: vec3((-width * scale) / 2, 0, 0) },
    shown: await dataUrlOf(kept),
    kept,
    page,
  }
}

function dataUrlOf(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(new Error('the picture cannot be shown'))
    reader.readAsDataURL(blob)
  })
}
