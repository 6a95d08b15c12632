/** Channels of the demo's types, put together from what each does. */
import { colourPart } from '#core/attributes/colourPart'
import { laidOutChannels } from '#core/patch/channelLayout'
import type { Channel } from '#core/show/entities'

/** A channel before it has its place: name, 8 or 16 bit, what it is worth undriven, and what it does. */
export interface Laid {
  readonly name: string
  readonly bits: 8 | 16
  readonly rest: number
  readonly functions: readonly ChannelFunction[]
  /** Where it takes the place of a dimmer. */
  readonly dims?: boolean
  readonly cell?: number
}
type ChannelFunction = Channel['functions'][number]
type Role = ChannelFunction['does']

/** Channels one after the other, coarse before fine. */
export function laid(rows: readonly Laid[]): Channel[] {
  const channels = rows.map(({ name, bits, rest, functions, dims = false, cell }): Channel => ({
    name,
    coarse: 1,
    fine: bits === 16 ? 2 : null,
    finest: null,
    functions: [...functions],
    rest,
    highlight: null,
    curve: 'even',
    dims,
    snaps: false,
    follows: null,
    ...(cell === undefined ? {} : { cell }),
  }))
  return laidOutChannels(channels)
}

/** What a channel does over some of its levels, or over all of them. */
export function does(
  role: Role,
  from: number,
  to: number,
  levels: readonly [first: number, last: number] = [0, 255],
  more: Partial<ChannelFunction> = {},
): ChannelFunction {
  const [first, last] = levels
  return { name: '', does: role, first, last, from, to, spins: false, when: null, ...more }
}

export const one = (name: string, role: Role, bits: 8 | 16, from: number, to: number, rest: number): Laid => ({
  name,
  bits,
  rest,
  functions: [does(role, from, to)],
})
export const level = (name: string, role: Role, bits: 8 | 16 = 16, rest = 0): Laid => one(name, role, bits, 0, 1, rest)
export const other = (name: string, bits: 8 | 16 = 8): Laid => one(name, 'other', bits, 0, 1, 0)
/** A channel for each part that mixes a colour. */
export const mixing = (parts: readonly { readonly name: string }[], bits: 8 | 16): Laid[] =>
  parts.map(({ name }) => level(name, colourPart(name) ?? 'other', bits))
/** The same channels once for each cell. */
export const each = (count: number, rows: readonly Laid[]): Laid[] =>
  Array.from({ length: count }, (_, i) =>
    rows.map((row) => ({ ...row, name: `${row.name} ${i + 1}`, cell: i + 1 })),
  ).flat()
export const turning = (pan: number, tilt: number, bits: 8 | 16 = 16): Laid[] => [
  one('Pan', 'pan', bits, -pan, pan, 0),
  one('Tilt', 'tilt', bits, -tilt, tilt, 0),
]
export const strobe: Laid = {
  name: 'Strobe',
  bits: 8,
  rest: 0,
  functions: [
    does('other', 0, 1, [0, 7], { name: 'Closed' }),
    does('strobe', 0, 0, [8, 15], { name: 'Open' }),
    does('strobe', 0.5, 20, [16, 131]),
    does('strobePulse', 0.5, 10, [132, 193], { name: 'Pulses' }),
    does('strobeRandom', 0.5, 10, [194, 255], { name: 'At random' }),
  ],
}
/** Angles over the lower half, turning either way over the upper one with a stand between. */
export const angleOrSpin = (name: string, role: Role, fastest = 60): Laid => ({
  name,
  bits: 16,
  rest: 0,
  functions: [
    does(role, -180, 180, [0, 127]),
    does(role, -fastest, -0.5, [128, 189], { name: 'Turning left', spins: true }),
    does(role, 0, 0, [190, 193], { name: 'Standing', spins: true }),
    does(role, 0.5, fastest, [194, 255], { name: 'Turning right', spins: true }),
  ],
})
/** Slots in equal steps over the first of its levels. */
export const slots = (role: Role, count: number, last: number): ChannelFunction => {
  const step = Math.floor((last + 1) / count)
  return does(role, 0, count - 1, [0, step * (count - 1)])
}
