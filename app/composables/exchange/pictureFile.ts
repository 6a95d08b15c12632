/** A picture, or a page of a PDF, to lie under the plan: read in the browser, which is made to show them. */
import type { Placement } from '#core/exchange/mvr/placement'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import { vec3 } from '#core/geometry/vector'
import { CannotBeDrawn, type Drawn } from './drawn'
import { drawnPage } from './drawnPage'
import { drawnPicture } from './drawnPicture'

export interface PictureFile {
  readonly reading: RigReading
  /** How it lies at first. */
  readonly placement: Placement
  /** What an image shows, as a data URL. */
  readonly shown: string
  /** What is kept. */
  readonly kept: Blob
  readonly page: Drawn['page']
}

const isPdf = (fileName: string) => /\.pdf$/i.test(fileName)

export const isPicture = (fileName: string) => /\.(png|jpe?g)$/i.test(fileName) || isPdf(fileName)

/** A larger file is not opened, bytes: a machine may not have the room to unpack it. */
const LARGEST_FILE = 100_000_000

/**
 * Reads a picture, or a page of a PDF; or says why it cannot be read. `page` counts from 1. Null where it was
 * given up, at once.
 */
export async function readPicture(file: File, page: number, given: AbortSignal): Promise<PictureFile | string | null> {
  if (file.size > LARGEST_FILE)
    return `${file.name} has ${Math.ceil(file.size / 1e6)} MB, and a picture or PDF may have ${LARGEST_FILE / 1e6}: write it smaller.`
  const givenUp = new Promise<null>((resolve) => given.addEventListener('abort', () => resolve(null)))
  return Promise.race([drawnFile(file, page, given), givenUp])
}

async function drawnFile(file: File, page: number, given: AbortSignal): Promise<PictureFile | string> {
  try {
    return await fileOf(file.name, isPdf(file.name) ? await drawnPage(file, page, given) : await drawnPicture(file))
  } catch (error) {
    if (error instanceof CannotBeDrawn) return `${file.name} ${error.message}`
    const kind = isPdf(file.name) ? 'PDF' : 'PNG or JPEG picture'
    return `${file.name} cannot be read: it is no whole ${kind}, or one that is locked.`
  }
}

/** It lies across the middle at first, upstage of the setting line. */
async function fileOf(name: string, { kept, width, height, scale, page }: Drawn): Promise<PictureFile> {
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
