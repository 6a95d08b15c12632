/** The fixture types of the made-up maker Ostrel, which every new show starts with. */
import type { FixtureType } from '#core/show/entities'

const LEVELS = ['intensity', 'position', 'zoom', 'edge', 'red', 'green', 'blue'] as const

export const tern: FixtureType = {
  maker: 'Ostrel',
  name: 'Tern 700',
  form: 'profile',
  pan: { min: -270, max: 270, speed: 180, acceleration: 320 },
  tilt: { min: -132, max: 132, speed: 120, acceleration: 260 },
  pivotDrop: 0.42,
  lens: { across: 0, normal: 0, forward: 0.31 },
  zoom: { min: 6, max: 48 },
  has: [...LEVELS, 'iris', 'gobo', 'shutterTop', 'shutterRight', 'shutterBottom', 'shutterLeft'],
  channels: 40,
}

export const dunlin: FixtureType = {
  maker: 'Ostrel',
  name: 'Dunlin 400',
  form: 'wash',
  pan: { min: -270, max: 270, speed: 220, acceleration: 400 },
  tilt: { min: -121, max: 121, speed: 170, acceleration: 340 },
  pivotDrop: 0.34,
  lens: { across: 0, normal: 0.02, forward: 0.18 },
  zoom: { min: 8, max: 58 },
  has: LEVELS.filter((attribute) => attribute !== 'edge'),
  channels: 24,
}

export const plover: FixtureType = {
  maker: 'Ostrel',
  name: 'Plover 250',
  form: 'beam',
  pan: { min: -315, max: 315, speed: 280, acceleration: 620 },
  tilt: { min: -130, max: 130, speed: 210, acceleration: 520 },
  pivotDrop: 0.29,
  lens: { across: 0.03, normal: 0, forward: 0.2 },
  zoom: { min: 2, max: 11 },
  has: [...LEVELS, 'gobo'],
  channels: 24,
}

export const OSTREL_TYPES: readonly FixtureType[] = [tern, dunlin, plover]
