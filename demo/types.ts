/** The fixture types of the made-up maker Ostrel, which every new show starts with. */
import type { TypeWithModes } from '#core/commands/shared/typeWithModes'
import type { Channel, Wheel } from '#core/show/entities'

/** A channel before it has its place: name, what it does, 8 or 16 bit, lowest and highest meaning, rest. */
type Laid = readonly [name: string, does: Channel['does'], bits: 8 | 16, from: number, to: number, rest: number]

/** Channels one after the other, coarse before fine. */
function laid(rows: readonly Laid[]): Channel[] {
  let next = 1
  return rows.map(([name, does, bits, from, to, rest]) => {
    const coarse = next
    next += bits / 8
    return { name, does, coarse, fine: bits === 16 ? coarse + 1 : null, from, to, rest }
  })
}

const level = (name: string, does: Channel['does'], bits: 8 | 16 = 16, rest = 0): Laid => [name, does, bits, 0, 1, rest]
const other = (name: string, bits: 8 | 16 = 8): Laid => [name, 'other', bits, 0, 1, 0]
const mixing = (bits: 8 | 16): Laid[] => [
  level('Red', 'red', bits, 1),
  level('Green', 'green', bits, 1),
  level('Blue', 'blue', bits, 1),
]
const turning = (pan: number, tilt: number, bits: 8 | 16 = 16): Laid[] => [
  ['Pan', 'pan', bits, -pan, pan, 0],
  ['Tilt', 'tilt', bits, -tilt, tilt, 0],
]

const gobos = (name: string, ...patterns: NonNullable<Wheel['slots'][number]['pattern']>[]): Wheel => ({
  kind: 'gobo',
  name,
  slots: [
    { name: 'Open', colour: null, pattern: 'open' },
    ...patterns.map((pattern) => ({
      name: pattern.charAt(0).toUpperCase() + pattern.slice(1),
      colour: null,
      pattern,
    })),
  ],
})

const FRAMES = ['Top', 'Right', 'Bottom', 'Left'] as const

export const tern: TypeWithModes = {
  maker: 'Ostrel',
  name: 'Tern 700',
  form: 'profile',
  pan: { min: -270, max: 270, speed: 180, acceleration: 320, reversed: false },
  tilt: { min: -132, max: 132, speed: 120, acceleration: 260, reversed: false },
  pivotDrop: 0.42,
  lens: { across: 0, normal: 0, forward: 0.31 },
  optics: [
    { beam: 6, field: 7.4, candela: 1240000 },
    { beam: 12, field: 14.6, candela: 395000 },
    { beam: 24, field: 28.5, candela: 112000 },
    { beam: 36, field: 42, candela: 51000 },
    { beam: 48, field: 55, candela: 29500 },
  ],
  wheels: [
    gobos('Gobo wheel', 'dots', 'ripples', 'breakup', 'net', 'bars'),
    gobos('Second gobo wheel', 'ring', 'window', 'star'),
  ],
  has: [
    'intensity',
    'position',
    'zoom',
    'edge',
    'iris',
    'red',
    'green',
    'blue',
    'gobo',
    'gobo2',
    'shutterTop',
    'shutterRight',
    'shutterBottom',
    'shutterLeft',
  ],
  modes: [
    {
      name: 'Full',
      channels: laid([
        ...turning(270, 132),
        level('Intensity', 'intensity'),
        other('Strobe'),
        ['Zoom', 'zoom', 16, 6, 48, 27],
        level('Edge', 'edge'),
        level('Iris', 'iris', 8, 1),
        ...mixing(16),
        ['Gobo', 'gobo', 8, 0, 5, 0],
        other('Gobo turn', 16),
        ['Second gobo', 'gobo2', 8, 0, 3, 0],
        other('Second gobo turn', 16),
        ...FRAMES.flatMap((side): Laid[] => [
          level(`${side} shutter`, `shutter${side}`),
          other(`${side} shutter angle`),
        ]),
        other('Shutters turn', 16),
        other('Control'),
        other('Kept free'),
      ]),
    },
    {
      name: 'Short',
      channels: laid([
        ...turning(270, 132),
        level('Intensity', 'intensity', 8),
        ['Zoom', 'zoom', 8, 6, 48, 27],
        level('Edge', 'edge', 8),
        level('Iris', 'iris', 8, 1),
        ...mixing(8),
        ['Gobo', 'gobo', 8, 0, 5, 0],
        ['Second gobo', 'gobo2', 8, 0, 3, 0],
        ...FRAMES.map((side): Laid => level(`${side} shutter`, `shutter${side}`, 8)),
      ]),
    },
  ],
}

export const dunlin: TypeWithModes = {
  maker: 'Ostrel',
  name: 'Dunlin 400',
  form: 'wash',
  pan: { min: -270, max: 270, speed: 220, acceleration: 400, reversed: false },
  tilt: { min: -121, max: 121, speed: 170, acceleration: 340, reversed: false },
  pivotDrop: 0.34,
  lens: { across: 0, normal: 0.02, forward: 0.18 },
  optics: [
    { beam: 8, field: 15, candela: 310000 },
    { beam: 20, field: 33, candela: 78000 },
    { beam: 38, field: 58, candela: 25500 },
    { beam: 58, field: 82, candela: 11800 },
  ],
  wheels: [],
  has: ['intensity', 'position', 'zoom', 'red', 'green', 'blue'],
  modes: [
    {
      name: 'Full',
      channels: laid([
        ...turning(270, 121),
        level('Intensity', 'intensity'),
        other('Strobe'),
        ['Zoom', 'zoom', 16, 8, 58, 33],
        ...mixing(16),
        other('White', 16),
        other('Warmth'),
        other('Ring pattern'),
        other('Pattern pace'),
        other('Pattern fade'),
        other('Control'),
        other('Kept free', 16),
      ]),
    },
    {
      name: 'Short',
      channels: laid([
        ...turning(270, 121),
        level('Intensity', 'intensity', 8),
        ['Zoom', 'zoom', 8, 8, 58, 33],
        ...mixing(8),
      ]),
    },
  ],
}

export const plover: TypeWithModes = {
  maker: 'Ostrel',
  name: 'Plover 250',
  form: 'beam',
  pan: { min: -315, max: 315, speed: 280, acceleration: 620, reversed: false },
  tilt: { min: -130, max: 130, speed: 210, acceleration: 520, reversed: false },
  pivotDrop: 0.29,
  lens: { across: 0.03, normal: 0, forward: 0.2 },
  optics: [
    { beam: 2, field: 2.9, candela: 6800000 },
    { beam: 5, field: 6.8, candela: 1350000 },
    { beam: 11, field: 14, candela: 305000 },
  ],
  wheels: [
    {
      kind: 'colour',
      name: 'Colour wheel',
      slots: [
        { name: 'Open', colour: '#ffffff', pattern: null },
        { name: 'Straw', colour: '#ffe3a8', pattern: null },
        { name: 'Amber', colour: '#ffb347', pattern: null },
        { name: 'Rust', colour: '#e0552b', pattern: null },
        { name: 'Sea green', colour: '#5fd0a5', pattern: null },
        { name: 'Ice', colour: '#a9dcff', pattern: null },
        { name: 'Deep blue', colour: '#2f4fd8', pattern: null },
        { name: 'Mallow', colour: '#b48bff', pattern: null },
      ],
    },
    gobos('Gobo wheel', 'dots', 'bars', 'ring', 'net', 'star'),
  ],
  has: ['intensity', 'position', 'zoom', 'edge', 'colourWheel', 'gobo'],
  modes: [
    {
      name: 'Full',
      channels: laid([
        ...turning(315, 130),
        level('Intensity', 'intensity'),
        other('Strobe'),
        ['Zoom', 'zoom', 16, 2, 11, 6.5],
        level('Edge', 'edge'),
        ['Colour', 'colourWheel', 8, 0, 7, 0],
        ['Gobo', 'gobo', 8, 0, 5, 0],
        other('Gobo turn', 16),
        other('Prism'),
        other('Prism turn', 16),
        other('Frost'),
        other('Head pace'),
        other('Blend'),
        other('Control'),
        other('Kept free', 16),
      ]),
    },
  ],
}

export const OSTREL_TYPES: readonly TypeWithModes[] = [tern, dunlin, plover]
