/** The cues of The Salt Lantern, as what changes in each. Palettes and fixtures by number. */

/** One thing a cue does. Intensity is 0 to 1; a loose aim or loose angles are stored without a link. */
export type Step =
  | { readonly palette: number; readonly for: string }
  | { readonly intensity: number; readonly for: string }
  | { readonly loose: string; readonly offset: readonly [number, number, number]; readonly for: string }
  | { readonly angles: readonly [number, number]; readonly for: string }

export interface DemoCue {
  readonly number: number
  readonly name: string
  readonly rise: number
  readonly fall?: number
  readonly move?: number
  readonly travel?: 'straight' | 'angle'
  readonly follow?: 'after' | 'with'
  readonly steps: readonly Step[]
}

const BRIDGE = '1-6'
const BAR_1 = '11-18'
const MID_BAR = '12-17'
const BAR_2 = '21-26'
const BAR_3 = '31-38'
const BOOMS = '41-44'
const FLOOR = '51-54'
const FOOTLIGHTS = '61-66'
const STRAND = '71'

const to = (palette: number, fixtures: string): Step => ({ palette, for: fixtures })
const level = (intensity: number, fixtures: string): Step => ({ intensity, for: fixtures })

export const MAIN_CUES: readonly DemoCue[] = [
  {
    number: 1,
    name: 'Preset',
    rise: 3,
    steps: [to(24, BRIDGE), to(53, BRIDGE), to(61, BRIDGE), level(0.3, BRIDGE), level(0.25, FOOTLIGHTS)],
  },
  { number: 2, name: 'House out', rise: 6, steps: [to(62, BRIDGE), level(0.15, BRIDGE), level(0, FOOTLIGHTS)] },
  {
    number: 3,
    name: 'Sea before dawn',
    rise: 8,
    steps: [to(7, BAR_2), to(62, BAR_2), level(0.4, BAR_2), to(26, BAR_3), to(66, STRAND), level(0.5, STRAND)],
  },
  { number: 4, name: 'Moon on the water', rise: 6, steps: [level(0.5, BAR_3)] },
  { number: 5, name: 'Net mender', rise: 4, steps: [to(5, '11-16'), to(61, BAR_1), level(0.7, '11-16')] },
  { number: 6, name: 'Morning', rise: 12, steps: [to(61, BRIDGE), level(0.6, BRIDGE), level(0, BAR_3)] },
  { number: 7, name: 'Ready for the jetty', rise: 0, move: 3, steps: [to(27, BAR_3)] },
  {
    number: 8,
    name: 'Down to the jetty',
    rise: 4,
    travel: 'straight',
    steps: [to(4, BAR_1), level(0.8, BAR_1), to(29, BOOMS), to(53, BOOMS), to(61, BOOMS), level(0.5, BOOMS)],
  },
  { number: 9, name: 'House to half', rise: 5, steps: [to(22, BRIDGE), level(0.5, BRIDGE)] },
  {
    number: 10,
    name: 'Lamplighter enters',
    rise: 3,
    steps: [to(4, BAR_1), to(25, BAR_2), to(53, BAR_2), to(64, BAR_2)],
  },
  { number: 11, name: 'Lantern lit', rise: 0.8, steps: [to(3, BAR_3), level(1, BAR_3)] },
  { number: 11.5, name: 'Fog rolls in', rise: 12, steps: [to(7, BAR_2), to(63, BAR_2)] },
  {
    number: 12,
    name: 'Nets come down',
    rise: 4,
    steps: [to(73, '11-14'), to(23, '1, 2, 4-6'), { loose: 'Lighthouse door', offset: [0.12, -0.08, 0], for: '3' }],
  },
  { number: 12.2, name: 'Dark, ready for 13', rise: 0, move: 1.5, steps: [level(0, BAR_1), to(6, BAR_1)] },
  { number: 13, name: 'Storm gathers', rise: 5, steps: [level(0.6, BAR_1), to(63, BAR_1), to(30, BAR_3)] },
  {
    number: 14,
    name: 'Dory runs aground',
    rise: 4,
    fall: 6,
    travel: 'straight',
    steps: [to(21, BRIDGE), to(1, MID_BAR), to(63, BRIDGE), level(0.8, '71.3-6'), level(0.2, '71.1, 71.2, 71.7, 71.8')],
  },
  {
    number: 14.5,
    name: 'Wave one',
    rise: 1.2,
    steps: [to(27, '31-36'), { loose: 'Lantern gallery', offset: [0.22, -0.16, 0], for: '37, 38' }],
  },
  { number: 15, name: 'Wave two', rise: 1.2, follow: 'after', steps: [to(3, BAR_3)] },
  { number: 16, name: 'Lantern falls', rise: 0, steps: [level(0, BAR_3), level(0.2, BAR_2)] },
  { number: 16.5, name: 'Quick, ready for 17', rise: 0, move: 0.6, steps: [to(9, BAR_3), to(2, MID_BAR)] },
  { number: 17, name: 'Silence', rise: 9, steps: [to(24, BRIDGE), to(62, BRIDGE), level(0.4, MID_BAR)] },
  {
    number: 18,
    name: 'Search along the shore',
    rise: 20,
    travel: 'straight',
    steps: [to(6, BAR_1), level(0.7, BAR_1)],
  },
  { number: 19, name: 'Found', rise: 3, steps: [to(1, MID_BAR), to(3, BAR_3), level(0.9, BAR_3)] },
  { number: 20, name: 'Carried up the beach', rise: 10, steps: [to(22, BRIDGE), to(4, BAR_1)] },
  { number: 21, name: 'Keeper comes down', rise: 5, steps: [to(8, '31-34'), to(28, BOOMS)] },
  {
    number: 22,
    name: 'At the door',
    rise: 4,
    steps: [to(82, MID_BAR), to(23, BRIDGE), to(61, BRIDGE), { angles: [12.4, 33.1], for: '24' }],
  },
  { number: 23, name: 'Kettle', rise: 6, steps: [to(64, BAR_1), level(0.5, BAR_1)] },
  { number: 24, name: 'She tells it', rise: 15, steps: [to(2, MID_BAR), level(0.3, BAR_2)] },
  { number: 24.5, name: 'Two as one', rise: 6, travel: 'straight', steps: [to(82, '13, 16')] },
  { number: 25, name: 'Lights under the sea', rise: 7, steps: [to(31, FLOOR), level(0.8, FLOOR)] },
  { number: 26, name: 'Whale', rise: 9, steps: [to(27, BAR_3), to(55, BAR_3), level(0.6, BAR_3), to(63, BAR_2)] },
  { number: 27, name: 'Over the heads', rise: 3, travel: 'angle', steps: [to(9, BAR_3)] },
  { number: 28, name: 'Gone', rise: 2, steps: [level(0, FLOOR), level(0, BAR_3), level(0, STRAND)] },
  { number: 29, name: 'Low water', rise: 10, steps: [to(6, BAR_1), to(62, BAR_1), to(26, BAR_3)] },
  { number: 30, name: 'Walk out', rise: 14, travel: 'straight', steps: [level(0.45, BAR_3), to(29, BOOMS)] },
  { number: 31, name: 'Lamp again', rise: 1, steps: [to(3, BAR_3), level(1, BAR_3)] },
  { number: 31.2, name: 'Lamp gutters', rise: 0.3, steps: [level(0, '33, 36')] },
  {
    number: 31.4,
    name: 'Lamp steadies',
    rise: 0.4,
    move: 1.2,
    follow: 'after',
    steps: [to(27, '33, 36'), level(0.6, '33, 36')],
  },
  { number: 32, name: 'Second boat', rise: 6, steps: [to(1, MID_BAR), to(21, BRIDGE), to(28, BOOMS)] },
  {
    number: 33,
    name: 'Home',
    rise: 8,
    steps: [to(5, '11-16'), to(61, BAR_1), { loose: 'Jetty end', offset: [0.15, 0.1, 0], for: '17' }],
  },
  { number: 34, name: 'Last light', rise: 20, steps: [level(0.2, BRIDGE), level(0, BAR_1), level(0.6, BAR_3)] },
  { number: 35, name: 'Out', rise: 4, steps: [level(0, '1-71')] },
  {
    number: 36,
    name: 'Bows',
    rise: 1,
    steps: [to(9, BAR_3), level(0.8, BAR_3), to(24, BRIDGE), to(61, BRIDGE), level(1, BRIDGE), level(0.5, FOOTLIGHTS)],
  },
]

/** A second list that holds intensity alone. */
export const LIFT_CUES: readonly DemoCue[] = [
  { number: 1, name: 'Nothing', rise: 0, steps: [level(0, BOOMS)] },
  { number: 2, name: 'Sides up', rise: 3, steps: [level(0.4, BOOMS)] },
  { number: 3, name: 'Sides full', rise: 3, steps: [level(1, BOOMS)] },
  { number: 4, name: 'Sides out', rise: 5, steps: [level(0, BOOMS)] },
]
