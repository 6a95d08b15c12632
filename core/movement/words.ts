/** A movement in words, as tables have it: "ring 4 by 2 m, on the floor, 12 rounds a minute", and back. */
import { movementValue, type Movement, type Path, type Tempo } from './movement'

/** How a movement lies, as people say it. */
export const LIES_IN_WORDS = {
  floor: 'on the floor',
  upright: 'upright',
  'across the beam': 'across the beam',
  angles: 'in angles',
} as const satisfies Record<Movement['lies'], string>

/** To a thousandth: a millimetre, or of a round what nobody sees. */
const short = (value: number) => String(Math.round(value * 1000) / 1000 + 0)

/** All that differs from running plainly is said, each after a comma. */
export function movementInWords(movement: Movement): string {
  const { path, along, across, lies, turn, tempo, backwards, ease, start, lag, mirrored } = movement
  const unit = lies === 'angles' ? '°' : 'm'
  const size = path.form === 'line' ? `${short(along)} ${unit}` : `${short(along)} by ${short(across)} ${unit}`
  return [
    path.form === 'target' ? pathInWords(path) : `${pathInWords(path)} ${size}`,
    path.form === 'target' ? '' : LIES_IN_WORDS[lies],
    turn === 0 ? '' : `turned ${short(turn)}°`,
    tempoInWords(tempo),
    backwards ? 'backwards' : '',
    ease === 0 ? '' : `eased ${short(ease * 100)} %`,
    start === 0 ? '' : `${short(start)} ahead`,
    lag === 0 ? '' : `${short(lag)} behind`,
    mirrored ? 'mirrored' : '',
  ]
    .filter((part) => part !== '')
    .join(', ')
}

function pathInWords(path: Path): string {
  switch (path.form) {
    case 'polygon':
      return `polygon (${cornersInWords(path.corners)})`
    case 'wander':
      return path.corners ? `wander ${path.seed} (${cornersInWords(path.corners)})` : `wander ${path.seed}`
    case 'target':
      return 'along the target'
    case 'ring':
    case 'line':
    case 'eight':
      return path.form
  }
}

type Corners = Extract<Path, { readonly form: 'polygon' }>['corners']

const cornersInWords = (corners: Corners) => corners.map(({ x, y }) => `${short(x)} ${short(y)}`).join('; ')

export function tempoInWords(tempo: Tempo): string {
  if (tempo.by === 'minute') return `${short(tempo.rounds)} ${tempo.rounds === 1 ? 'round' : 'rounds'} a minute`
  return `${short(tempo.beats)} ${tempo.beats === 1 ? 'beat' : 'beats'} a round`
}

/** What is not said. */
const PLAIN = {
  kind: 'movement',
  lies: 'floor',
  along: 1,
  across: 1,
  turn: 0,
  tempo: { by: 'minute', rounds: 10 },
  backwards: false,
  ease: 0,
  start: 0,
  lag: 0,
  mirrored: false,
} as const

/** A way to read one part of the words; undefined where it is another's. */
type Reader = (words: string) => Partial<Movement> | undefined

const number = String.raw`(-?\d+(?:\.\d+)?)`
/** Reads words with numbers in them. */
const reader =
  (pattern: string, read: (...numbers: readonly number[]) => Partial<Movement>): Reader =>
  (words) => {
    const found = new RegExp(`^${pattern}$`).exec(words)
    return found ? read(...found.slice(1).map(Number)) : undefined
  }

const READERS: readonly Reader[] = [
  reader(`turned ${number}°`, (turn = 0) => ({ turn })),
  reader(`${number} rounds? a minute`, (rounds = 0) => ({ tempo: { by: 'minute', rounds } })),
  reader(`${number} beats? a round`, (beats = 0) => ({ tempo: { by: 'beat', beats } })),
  reader('backwards', () => ({ backwards: true })),
  reader(`eased ${number} %`, (ease = 0) => ({ ease: ease / 100 })),
  reader(`${number} ahead`, (start = 0) => ({ start })),
  reader(`${number} behind`, (lag = 0) => ({ lag })),
  reader('mirrored', () => ({ mirrored: true })),
  reader('along the target', () => ({ path: { form: 'target' } })),
  (words) => {
    const lies = movementValue.shape.lies.options.find((one) => LIES_IN_WORDS[one] === words)
    return lies && { lies }
  },
  (words) => {
    const found = new RegExp(String.raw`^(.+?) ${number}(?: by ${number})? (?:m|°)$`).exec(words)
    const path = found && pathOf(found[1] ?? '')
    if (!found || !path) return undefined
    return { path, along: Number(found[2]), across: Number(found[3] ?? found[2]) }
  },
]

function pathOf(words: string): Path | null {
  if (words === 'ring' || words === 'line' || words === 'eight') return { form: words }
  const [, form, seed, inside] = /^(polygon|wander)(?: (\d+))?(?: \(([^)]*)\))?$/.exec(words) ?? []
  const corners = inside === undefined ? null : cornersOf(inside)
  if (form === 'polygon') return corners && { form, corners }
  if (form === 'wander') return { form, corners, seed: Number(seed ?? 0) }
  return null
}

function cornersOf(words: string): Corners {
  return words.split(';').map((corner) => {
    const [x = Number.NaN, y = Number.NaN] = corner.trim().split(/\s+/).map(Number)
    return { x, y }
  })
}

/** The movement words say; or what of them says none. Capitals and blanks do not matter. */
export function movementOfWords(text: string): Movement | { readonly trouble: string } {
  let found: Partial<Movement> = {}
  for (const part of text.toLowerCase().split(',')) {
    const words = part.trim().replaceAll(/\s+/g, ' ')
    const read = READERS.map((one) => one(words)).find((one) => one !== undefined)
    if (!read) return { trouble: `“${words}” says nothing of a movement` }
    found = { ...found, ...read }
  }
  if (!found.path)
    return { trouble: 'a movement says its path: ring, line, eight, polygon, wander or along the target' }
  const movement = movementValue.safeParse({ ...PLAIN, ...found })
  if (movement.success) return movement.data
  return { trouble: `${movement.error.issues[0]?.path.join(' ') ?? 'it'}: ${movement.error.issues[0]?.message ?? ''}` }
}
