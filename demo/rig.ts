/** The hangs and fixtures of The Salt Lantern. */
import type { TypeWithModes } from '#core/commands/shared/typeWithModes'
import { footprint } from '#core/patch/span'
import * as types from './types'
import type { FixtureRow } from '#core/commands/shared/fixtureRows'
import type { HangRow } from '#core/commands/shared/tableRows'
import { vec3 } from '#core/geometry/vector'

export const HANGS: readonly HangRow[] = [
  { name: 'Bridge', form: 'bridge', origin: vec3(0, -3.2, 7.4), yaw: 0, rise: 0, length: 10.4 },
  { name: 'Bar 1', form: 'bar', origin: vec3(0, 1.35, 7.0), yaw: 0, rise: 0, length: 12 },
  { name: 'Bar 2', form: 'bar', origin: vec3(0, 4.1, 7.2), yaw: 0, rise: 0, length: 10.4 },
  { name: 'Bar 3', form: 'bar', origin: vec3(0, 7.3, 6.9), yaw: 0, rise: 0, length: 12 },
  { name: 'Boom right', form: 'boom', origin: vec3(-6.9, 2.6, 2.4), yaw: 90, rise: 90, length: 3.8 },
  { name: 'Boom left', form: 'boom', origin: vec3(6.9, 2.6, 2.4), yaw: 90, rise: 90, length: 3.8 },
  { name: 'Floor row', form: 'floor', origin: vec3(0, 9.1, 0), yaw: 0, rise: 0, length: 9 },
  { name: 'Footlights', form: 'floor', origin: vec3(0, -0.55, 0), yaw: 0, rise: 0, length: 8.4 },
  { name: 'Under the jetty', form: 'floor', origin: vec3(1.85, 0.86, 0.42), yaw: 0, rise: 0, length: 2.6 },
]

interface Row {
  readonly hang: string
  readonly type: string
  readonly first: number
  readonly along: readonly number[]
  readonly drop: number
  readonly pitch: number
  readonly roll: number
  readonly yaw: number
  readonly universe: number
  readonly address: number
  readonly channels: number
}

/** Places `count` along a hang, centred, `gap` metres apart. */
function spaced(count: number, gap: number): number[] {
  return Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * gap)
}

/** Fixtures of a type stand one after the other, as many channels apart as its first mode takes. */
const of = ({ name, modes: [first] }: TypeWithModes) => ({ type: name, channels: first ? footprint(first) : 1 })
const tern = of(types.tern)
const dunlin = of(types.dunlin)
const plover = of(types.plover)
const lamp = of(types.lamp)
const strand = of(types.strand)
const hung = { drop: 0.12, pitch: 0, roll: 0, yaw: 0 }

const ROWS: readonly Row[] = [
  { ...dunlin, ...hung, hang: 'Bridge', first: 1, along: spaced(6, 1.75), yaw: 180, universe: 1, address: 1 },
  { ...tern, ...hung, hang: 'Bar 1', first: 11, along: spaced(8, 1.46), universe: 2, address: 1 },
  { ...dunlin, ...hung, hang: 'Bar 2', first: 21, along: spaced(6, 1.83), universe: 1, address: 201 },
  { ...plover, ...hung, hang: 'Bar 3', first: 31, along: spaced(8, 1.46), universe: 3, address: 1 },
  {
    ...dunlin,
    ...hung,
    drop: 0,
    hang: 'Boom right',
    first: 41,
    along: [-0.9, 0.9],
    yaw: -90,
    universe: 1,
    address: 401,
  },
  { ...dunlin, ...hung, drop: 0, hang: 'Boom left', first: 43, along: [-0.9, 0.9], yaw: 90, universe: 1, address: 449 },
  {
    ...plover,
    hang: 'Floor row',
    first: 51,
    along: spaced(4, 2.4),
    drop: 0,
    pitch: 0,
    roll: 180,
    yaw: 0,
    universe: 3,
    address: 301,
  },
  // They look upstage, a little above level.
  {
    ...lamp,
    hang: 'Footlights',
    first: 61,
    along: spaced(6, 1.5),
    drop: 0,
    pitch: -62,
    roll: 180,
    yaw: 0,
    universe: 4,
    address: 1,
  },
  // It lights the water before the jetty.
  {
    ...strand,
    hang: 'Under the jetty',
    first: 71,
    along: [0],
    drop: 0.05,
    pitch: -40,
    roll: 0,
    yaw: 0,
    universe: 4,
    address: 101,
  },
]

export const FIXTURES: readonly FixtureRow[] = ROWS.flatMap((row) =>
  row.along.map((along, i) => ({
    number: row.first + i,
    name: `${row.type.split(' ')[0] ?? ''} ${row.first + i}`,
    type: row.type,
    mode: null,
    hang: row.hang,
    along,
    out: 0,
    drop: row.drop,
    yaw: row.yaw,
    pitch: row.pitch,
    roll: row.roll,
    universe: row.universe,
    address: row.address + i * row.channels,
    note: '',
  })),
)
