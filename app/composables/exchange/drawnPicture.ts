/** A PNG or JPEG picture, unpacked by the browser beside the page. */
import { imageSize } from 'image-size'
import { MOST_KEPT } from '#core/show/entities'
import { canvasOf, CannotBeDrawn, LONGEST_SIDE, MOST_PIXELS, pngOf, type Drawn } from './drawn'

/** How wide a picture lies at first, metres. */
const FIRST_WIDTH = 20
/** Where a picture says its size, bytes from its beginning: after what a camera writes about itself. */
const BEGINNING = 1_000_000

/** Throws what is no picture, and CannotBeDrawn. */
export async function drawnPicture(file: File): Promise<Drawn> {
  await checkSize(file)
  const bitmap = await createImageBitmap(file)
  try {
    const size = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height))
    const [width, height] = [Math.round(bitmap.width * size), Math.round(bitmap.height * size)]
    const kept = size < 1 || file.size > MOST_KEPT ? await drawnAt(bitmap, width, height) : file
    return { kept, width, height, scale: FIRST_WIDTH / width, page: null }
  } finally {
    bitmap.close()
  }
}

/** What a picture says of itself, before it is unpacked: a small file may hold a very large one. */
async function checkSize(file: File): Promise<void> {
  const { type, width, height } = imageSize(new Uint8Array(await file.slice(0, BEGINNING).arrayBuffer()))
  if (type !== 'png' && type !== 'jpg') throw new CannotBeDrawn('is no PNG or JPEG picture, whatever its name says.')
  if (width * height > MOST_PIXELS)
    throw new CannotBeDrawn(
      `has ${width} by ${height} pixels, and a picture may have ${MOST_PIXELS / 1e6} million: write it smaller.`,
    )
}

function drawnAt(bitmap: ImageBitmap, width: number, height: number): Promise<Blob> {
  const canvas = canvasOf(width, height)
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return pngOf(canvas)
}
