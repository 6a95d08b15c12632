/** Photometry of a zoom at a beam angle, written as either kind of file. */
import { candelaOffAxis, fieldAngle, isMeasured, type OpticsRow } from '../../light/optics'
import { lumenOf, type Distribution } from '../../light/distribution'

export interface PhotometryOf {
  readonly maker: string
  readonly name: string
  readonly optics: readonly OpticsRow[]
  /** The full beam angle, degrees. */
  readonly beam: number
}
export type PhotometryKind = 'ies' | 'ldt'

/** Steps from the axis out, and planes where it is not round. */
const STEPS = 90
const PLANES = 24
/** How far out in half field angles light is told that was not measured. */
const FAR = 2.5

interface Told {
  readonly planes: readonly number[]
  readonly off: readonly number[]
  /** Candela. */
  readonly candela: readonly (readonly number[])[]
  readonly lumen: number
}

function told({ optics, beam }: PhotometryOf): Told {
  const measured = isMeasured(optics, beam)
  const isRound = optics.every((row) => (row.measured?.planes.length ?? 1) === 1)
  const planes = isRound ? [0] : Array.from({ length: PLANES }, (_, i) => (i * 360) / PLANES)
  const spread = Math.max(...optics.map((row) => (row.measured ? (row.measured.off.at(-1) ?? 0) / row.beam : 0)))
  const end = Math.min(
    measured ? 180 : 90,
    Math.max(measured ? spread * beam : 0, (FAR * fieldAngle(optics, beam)) / 2),
  )
  const off = Array.from({ length: STEPS + 1 }, (_, i) => tidy((end * i) / STEPS))
  const candela = planes.map((round) => off.map((beside) => fine(candelaOffAxis(optics, beam, beside, round))))
  const peak = Math.max(...candela.flat())
  const light: Distribution = { planes, off, parts: candela.map((plane) => plane.map((value) => value / peak)) }
  return { planes, off, candela, lumen: peak * lumenOf(light) }
}

const tidy = (angle: number) => Math.round(angle * 1e4) / 1e4
const fine = (value: number) => Number(value.toPrecision(7))
/** Lines of keywords hold no more than one line, in plain letters. */
const plain = (text: string, most: number) =>
  text
    .replace(/[^\x20-\x7e]+/g, ' ')
    .trim()
    .slice(0, most)

/** IES LM-63-2002, kind C, absolute. */
export function writeIes(of: PhotometryOf): string {
  const { planes, off, candela, lumen } = told(of)
  const round = planes.length === 1 ? planes : [...planes, 360]
  const rows = planes.length === 1 ? candela : [...candela, candela[0] ?? []]
  const lines = [
    'IESNA:LM-63-2002',
    `[TEST] worked out by Rhopander for a beam of ${of.beam.toFixed(1)} degrees`,
    `[MANUFAC] ${plain(of.maker, 80)}`,
    `[LUMINAIRE] ${plain(of.name, 80)}`,
    `[MORE] ${Math.round(lumen)} lumen`,
    'TILT=NONE',
    `1 -1 1 ${off.length} ${round.length} 1 2 0 0 0`,
    '1 1 0',
    ...wrapped(off),
    ...wrapped(round),
    ...rows.flatMap(wrapped),
  ]
  return `${lines.join('\r\n')}\r\n`
}

/** So many numbers stand on a line; a line may have 132 letters. */
const ON_A_LINE = 12
function wrapped(values: readonly number[]): string[] {
  return Array.from({ length: Math.ceil(values.length / ON_A_LINE) }, (_, i) =>
    values.slice(i * ON_A_LINE, (i + 1) * ON_A_LINE).join(' '),
  )
}

/** EULUMDAT; the lamp is told as one of the light there is. */
export function writeEulumdat(of: PhotometryOf): string {
  const { planes, off, candela, lumen } = told(of)
  const isRound = planes.length === 1
  const perThousand = 1000 / lumen
  const name = plain(of.name, 78)
  const head = [plain(of.maker, 78), 1, isRound ? 1 : 0, planes.length, isRound ? 0 : 360 / planes.length]
  const angles = [off.length, off[1] ?? 0]
  const said = [`beam ${of.beam.toFixed(1)} degrees`, name, '', name.slice(0, 8), 'Rhopander']
  const sizes = Array.from({ length: 9 }, () => 0)
  // All light goes down, none of the lamp's is lost; no factor, no tilt, one set of lamps.
  const shares = [100, 100, 1, 0, 1]
  const lamp = [-1, 'lamp', Math.round(lumen * 1000) / 1000, '', '', 0]
  const ratios = Array.from({ length: RATIOS }, () => 0)
  const light = candela.flatMap((plane) => plane.map((value) => fine(value * perThousand)))
  const lines = [...head, ...angles, ...said, ...sizes, ...shares, ...lamp, ...ratios, ...planes, ...off, ...light]
  return `${lines.join('\r\n')}\r\n`
}
const RATIOS = 10

export const WRITE_PHOTOMETRY: Readonly<Record<PhotometryKind, (of: PhotometryOf) => string>> = {
  ies: writeIes,
  ldt: writeEulumdat,
}
