/** Frames as rig files write them: images of the three axes and the origin, in millimetres. */
import { UPRIGHT, type Frame } from '../../geometry/frame'
import { squared } from '../../geometry/rotation'
import { scale, vec3, type Vec3 } from '../../geometry/vector'
import { numberFrom, numberText } from '../xml/xml'

/** A frame off its text, metres; null for what is none. `mirrored` where it is a mirror image, which no fixture can be. */
export function readMatrix(text: string): { readonly frame: Frame; readonly mirrored: boolean } | null {
  if (text.trim() === '') return { frame: UPRIGHT, mirrored: false }
  const rows = [...text.matchAll(/\{([^{}]*)\}/g)].map(([, row = '']) =>
    row.split(',').map((one) => numberFrom(one.trim())),
  )
  const vector = (i: number): Vec3 | null => {
    const [x, y, z] = rows[i] ?? []
    return x == null || y == null || z == null ? null : vec3(x, y, z)
  }
  const [u, v, w, o] = [vector(0), vector(1), vector(2), vector(3)]
  const made = u && v && w ? squared(u, v, w) : null
  if (!made || !o) return null
  return { frame: { origin: scale(o, 0.001), rotation: made.rotation }, mirrored: made.mirrored }
}

/** A frame as its text, to a thousandth of a millimetre. */
export function matrixText({ origin, rotation: r }: Frame): string {
  const rows = [
    [r.xx, r.yx, r.zx],
    [r.xy, r.yy, r.zy],
    [r.xz, r.yz, r.zz],
    [origin.x, origin.y, origin.z].map((metres) => Math.round(metres * 1e6) / 1000),
  ]
  return rows.map((row) => `{${row.map(numberText).join(',')}}`).join('')
}
