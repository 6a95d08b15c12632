/** The edge of the colours there are: light of one wavelength (CIE 1931, two degrees), 380 to 700 nm by ten. */
import type { Chromaticity } from './colour'

const LOCUS: readonly (readonly [x: number, y: number])[] = [
  [0.1741, 0.005],
  [0.1738, 0.0049],
  [0.1733, 0.0048],
  [0.1726, 0.0048],
  [0.1714, 0.0051],
  [0.1689, 0.0069],
  [0.1644, 0.0109],
  [0.1566, 0.0177],
  [0.144, 0.0297],
  [0.1241, 0.0578],
  [0.0913, 0.1327],
  [0.0454, 0.295],
  [0.0082, 0.5384],
  [0.0139, 0.7502],
  [0.0743, 0.8338],
  [0.1547, 0.8059],
  [0.2296, 0.7543],
  [0.3016, 0.6923],
  [0.3731, 0.6245],
  [0.4441, 0.5547],
  [0.5125, 0.4866],
  [0.5752, 0.4242],
  [0.627, 0.3725],
  [0.6658, 0.334],
  [0.6915, 0.3083],
  [0.7079, 0.292],
  [0.719, 0.2809],
  [0.726, 0.274],
  [0.73, 0.27],
  [0.732, 0.268],
  [0.7334, 0.2666],
  [0.7344, 0.2656],
  [0.7347, 0.2653],
]

/** The outline of every colour there is; from its end back to its beginning run the purples. */
export const SPECTRAL_LOCUS: readonly Chromaticity[] = LOCUS.map(([x, y]) => ({ x, y }))
