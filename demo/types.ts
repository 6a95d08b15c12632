/** The fixture types of the made-up maker Ostrel, which every new show starts with. */
import { USUAL_EMITTERS, USUAL_FLAGS, type UsualPart } from '#core/attributes/colourPart'
import type { TypeWithModes } from '#core/commands/shared/typeWithModes'
import type { Wheel } from '#core/show/entities'
import { each, laid, does, one, level, other, mixing, turning, strobe, angleOrSpin, slots, type Laid } from './channels'

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
const prism = (facets: number): Wheel => ({
  kind: 'prism',
  name: 'Prism',
  slots: [
    { name: 'Out', colour: null, pattern: null },
    { name: `${facets} facets`, colour: null, pattern: null, facets },
  ],
})

/** The parts of a part list, without what they stand for. */
const made = (parts: readonly UsualPart[]) => parts.map(({ name, x, y, flux }) => ({ name, x, y, flux }))
const EMITTERS = USUAL_EMITTERS.filter(({ name }) => ['Red', 'Amber', 'Lime', 'Green', 'Blue'].includes(name))

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
    prism(3),
  ],
  mixing: { kind: 'flags', source: { x: 0.3103, y: 0.3245 }, parts: made(USUAL_FLAGS) },
  ranges: [
    { attribute: 'temperature', min: 2800, max: 6800, rest: 6800, fastest: null },
    { attribute: 'frameTurn', min: -60, max: 60, rest: 0, fastest: null },
  ],
  cells: null,
  has: [
    'intensity',
    'position',
    'zoom',
    'edge',
    'iris',
    'colour',
    'gobo',
    'gobo2',
    'shutterTop',
    'shutterRight',
    'shutterBottom',
    'shutterLeft',
    'strobe',
    'strobePulse',
    'strobeRandom',
    'frost',
    'frost2',
    'prism',
    'prismTurn',
    'temperature',
    'goboTurn',
    'animation',
    'animationTurn',
    'shutterTopAngle',
    'shutterRightAngle',
    'shutterBottomAngle',
    'shutterLeftAngle',
    'frameTurn',
  ],
  modes: [
    {
      name: 'Full',
      channels: laid([
        ...turning(270, 132),
        level('Intensity', 'intensity'),
        strobe,
        one('Zoom', 'zoom', 16, 6, 48, 27),
        level('Edge', 'edge'),
        level('Iris', 'iris', 8, 1),
        ...mixing(USUAL_FLAGS, 16),
        one('Temperature', 'temperature', 8, 6800, 2800, 6800),
        one('Gobo', 'gobo', 8, 0, 5, 0),
        angleOrSpin('Gobo turn', 'goboTurn'),
        one('Second gobo', 'gobo2', 8, 0, 3, 0),
        level('Animation', 'animation', 8),
        angleOrSpin('Animation turn', 'animationTurn', 30),
        { name: 'Prism', bits: 8, rest: 0, functions: [does('prism', 0, 1, [0, 128])] },
        angleOrSpin('Prism turn', 'prismTurn'),
        level('Frost', 'frost', 8),
        level('Heavy frost', 'frost2', 8),
        ...FRAMES.flatMap((side): Laid[] => [
          level(`${side} shutter`, `shutter${side}`),
          one(`${side} shutter angle`, `shutter${side}Angle`, 8, -30, 30, 0),
        ]),
        one('Shutters turn', 'frameTurn', 16, -60, 60, 0),
        other('Control'),
      ]),
    },
    {
      name: 'Short',
      channels: laid([
        ...turning(270, 132),
        level('Intensity', 'intensity', 8),
        one('Zoom', 'zoom', 8, 6, 48, 27),
        level('Edge', 'edge', 8),
        level('Iris', 'iris', 8, 1),
        ...mixing(USUAL_FLAGS, 8),
        one('Gobo', 'gobo', 8, 0, 5, 0),
        one('Second gobo', 'gobo2', 8, 0, 3, 0),
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
  mixing: { kind: 'emitters', choice: 'brightest', parts: made(EMITTERS) },
  ranges: [{ attribute: 'temperature', min: 2500, max: 8000, rest: 8000, fastest: null }],
  cells: null,
  has: ['intensity', 'strobe', 'strobePulse', 'strobeRandom', 'position', 'zoom', 'colour', 'temperature'],
  modes: [
    {
      name: 'Full',
      channels: laid([
        ...turning(270, 121),
        level('Intensity', 'intensity'),
        strobe,
        one('Zoom', 'zoom', 16, 8, 58, 33),
        ...mixing(EMITTERS, 16),
        one('Temperature', 'temperature', 8, 8000, 2500, 8000),
        other('Ring pattern'),
        other('Pattern pace'),
        other('Pattern fade'),
        other('Control'),
      ]),
    },
    {
      name: 'Short',
      channels: laid([
        ...turning(270, 121),
        level('Intensity', 'intensity', 8),
        one('Zoom', 'zoom', 8, 8, 58, 33),
        ...mixing(EMITTERS, 8),
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
        { name: 'Rose', colour: '#ff9cc0', pattern: null },
        { name: 'Foxglove', colour: '#d94fb0', pattern: null },
        { name: 'Leaf', colour: '#5cb83a', pattern: null },
        { name: 'Lagoon', colour: '#2ab7c9', pattern: null },
        { name: 'Flame', colour: '#ff6a2b', pattern: null },
        { name: 'Indigo', colour: '#3a1d9e', pattern: null },
      ],
    },
    gobos('Gobo wheel', 'dots', 'bars', 'ring', 'net', 'star', 'window', 'ripples', 'breakup'),
    prism(8),
  ],
  mixing: null,
  ranges: [],
  cells: null,
  has: [
    'intensity',
    'strobe',
    'strobePulse',
    'strobeRandom',
    'position',
    'headPace',
    'zoom',
    'edge',
    'frost',
    'prism',
    'prismTurn',
    'colour',
    'colourWheel',
    'colourSpin',
    'gobo',
    'goboTurn',
    'goboShake',
    'goboSpin',
  ],
  modes: [
    {
      name: 'Full',
      channels: laid([
        ...turning(315, 130),
        level('Intensity', 'intensity'),
        strobe,
        one('Zoom', 'zoom', 16, 2, 11, 6.5),
        level('Edge', 'edge'),
        {
          name: 'Colour',
          bits: 8,
          rest: 0,
          functions: [
            slots('colourWheel', 14, 139),
            does('colourSpin', -40, -1, [160, 207], { name: 'Spinning left' }),
            does('colourSpin', 1, 40, [208, 255], { name: 'Spinning right' }),
          ],
        },
        {
          name: 'Gobo',
          bits: 8,
          rest: 0,
          functions: [
            slots('gobo', 9, 89),
            ...Array.from({ length: 8 }, (_, i) =>
              does('goboShake', 0.5, 5, [90 + i * 12, 101 + i * 12], {
                name: `Shaking ${i + 1}`,
                when: { attribute: 'gobo', number: i + 1 },
              }),
            ),
            does('goboSpin', -30, -1, [190, 222], { name: 'Spinning left' }),
            does('goboSpin', 1, 30, [223, 255], { name: 'Spinning right' }),
          ],
        },
        angleOrSpin('Gobo turn', 'goboTurn'),
        { name: 'Prism', bits: 8, rest: 0, functions: [does('prism', 0, 1, [0, 128])] },
        angleOrSpin('Prism turn', 'prismTurn'),
        level('Frost', 'frost', 8),
        one('Head pace', 'headPace', 8, 1, 0, 1),
        other('Blend'),
        other('Control'),
        other('Kept free', 16),
      ]),
    },
  ],
}

/** A plain lamp on a dimmer: it points where it was hung. */
export const lamp: TypeWithModes = {
  maker: 'Ostrel',
  name: 'Lamp',
  form: 'lamp',
  pan: { min: -90, max: 90, speed: 180, acceleration: 320, reversed: false },
  tilt: { min: -90, max: 90, speed: 180, acceleration: 320, reversed: false },
  pivotDrop: 0.08,
  lens: { across: 0, normal: 0, forward: 0.06 },
  optics: [{ beam: 52, field: 84, candela: 5200 }],
  wheels: [],
  mixing: null,
  ranges: [],
  cells: null,
  has: ['intensity'],
  modes: [{ name: 'Dimmer', channels: laid([level('Intensity', 'intensity', 8)]) }],
}

const CELLS = 8
const CELL_EMITTERS = USUAL_EMITTERS.filter(({ name }) => ['Red', 'Green', 'Blue'].includes(name))

/** A bar of eight cells, each with its own level and colour. */
export const strand: TypeWithModes = {
  maker: 'Ostrel',
  name: 'Strand',
  form: 'lamp',
  pan: { min: -90, max: 90, speed: 180, acceleration: 320, reversed: false },
  tilt: { min: -90, max: 90, speed: 180, acceleration: 320, reversed: false },
  pivotDrop: 0.05,
  lens: { across: 0, normal: 0, forward: 0.05 },
  optics: [{ beam: 24, field: 40, candela: 3600 }],
  wheels: [],
  mixing: { kind: 'emitters', choice: 'brightest', parts: made(CELL_EMITTERS) },
  ranges: [],
  cells: { count: CELLS, pitch: 0.3, has: ['intensity', 'colour'] },
  has: ['intensity', 'strobe', 'colour'],
  modes: [
    {
      name: 'Full',
      channels: laid([
        one('Strobe', 'strobe', 8, 0, 20, 0),
        ...each(CELLS, [level('Intensity', 'intensity', 8), ...mixing(CELL_EMITTERS, 8)]),
      ]),
    },
    {
      name: 'Colours alone',
      channels: laid([
        one('Strobe', 'strobe', 8, 0, 20, 0),
        ...each(
          CELLS,
          mixing(CELL_EMITTERS, 8).map((row) => ({ ...row, dims: true })),
        ),
      ]),
    },
  ],
}

export const OSTREL_TYPES: readonly TypeWithModes[] = [tern, dunlin, plover, lamp, strand]
