/** The openings of every gobo side by side on one sheet, for the shader of pools. */
import { CanvasTexture, LinearFilter } from 'three'
import { GOBO_PATTERNS, openingsOf } from '#core/light/goboOpenings'

/** Pixels across one gobo. */
const SIZE = 128
export const GOBO_COUNT = GOBO_PATTERNS.length

let sheet: CanvasTexture | null = null

/** Made once: white where light passes, black where not. */
export function goboSheet(): CanvasTexture {
  sheet ??= drawn()
  return sheet
}

function drawn(): CanvasTexture {
  const canvas = document.createElement('canvas')
  canvas.width = SIZE * GOBO_COUNT
  canvas.height = SIZE
  const brush = canvas.getContext('2d')
  if (!brush) throw new Error('this browser gives no canvas to draw on')
  brush.fillStyle = '#000'
  brush.fillRect(0, 0, canvas.width, canvas.height)
  brush.fillStyle = '#fff'
  const half = SIZE / 2
  for (const [i, pattern] of GOBO_PATTERNS.entries()) {
    brush.beginPath()
    for (const ring of openingsOf(pattern)) {
      for (const [corner, [x, y]] of ring.entries()) {
        const at = [i * SIZE + half + x * half, half - y * half] as const
        if (corner === 0) brush.moveTo(...at)
        else brush.lineTo(...at)
      }
      brush.closePath()
    }
    brush.fill()
  }
  const texture = new CanvasTexture(canvas)
  texture.minFilter = LinearFilter
  texture.generateMipmaps = false
  return texture
}
