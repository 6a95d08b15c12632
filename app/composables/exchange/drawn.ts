/** What a picture or a page is drawn as, and how large it may be. */

export interface Drawn {
  readonly kept: Blob
  /** Pixels of a picture; metres of paper of a page. */
  readonly width: number
  readonly height: number
  /** Metres of stage to one of these, at first. */
  readonly scale: number
  /** Of a PDF: how many pages there are, and which it is, from 1. Null for a picture. */
  readonly page: { readonly of: number; readonly number: number } | null
}

/** A picture that is whole but is not drawn here; the message goes on after the name of its file. */
export class CannotBeDrawn extends Error {}

/** Of a picture, and of each within a page: a sheet of A0 at 300 dots an inch has 140 million. */
export const MOST_PIXELS = 150_000_000

/** Larger ones are made smaller, pixels along the longer side: a stage is drawn on a screen. */
export const LONGEST_SIDE = 4000

export function canvasOf(width: number, height: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width))
  canvas.height = Math.max(1, Math.round(height))
  return canvas
}

/** What is drawn, as a file; the canvas is put away, since its pixels weigh more than anybody counts. */
export async function pngOf(canvas: HTMLCanvasElement): Promise<Blob> {
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  canvas.width = 0
  canvas.height = 0
  if (!blob) throw new Error('the picture cannot be written')
  return blob
}
