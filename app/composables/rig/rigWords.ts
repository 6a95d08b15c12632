/** Choices of the Rig room with the words they are offered by. */
import type { Solid } from '#core/show/entities'
import type { EntityOf } from '#core/show/kinds'

type Form = EntityOf['hang']['form']
export const HANG_FORMS: readonly { readonly key: Form; readonly name: string }[] = [
  { key: 'bar', name: 'Bar' },
  { key: 'bridge', name: 'Bridge' },
  { key: 'boom', name: 'Boom' },
  { key: 'floor', name: 'Floor row' },
]

/** How a fixture is mounted, and the roll that makes it so; degrees. */
export const MOUNTINGS = [
  { key: 'hung', name: 'Hung', roll: 0 },
  { key: 'standing', name: 'Standing', roll: 180 },
  { key: 'arm left', name: 'On an arm, base to stage left', roll: 90 },
  { key: 'arm right', name: 'On an arm, base to stage right', roll: -90 },
] as const
export type Mounting = (typeof MOUNTINGS)[number]['key'] | 'other'

export function mountingOf(roll: number): Mounting {
  const turned = ((((roll + 180) % 360) + 360) % 360) - 180
  return MOUNTINGS.find((m) => m.roll === turned || (m.roll === 180 && turned === -180))?.key ?? 'other'
}

export const SOLID_KINDS: readonly { readonly key: Solid['kind']; readonly name: string }[] = [
  { key: 'box', name: 'Box' },
  { key: 'cylinder', name: 'Cylinder' },
  { key: 'prism', name: 'Prism' },
  { key: 'steps', name: 'Steps' },
  { key: 'flat', name: 'Flat' },
  { key: 'person', name: 'Stand-in person' },
]

const SEAT = { at: { x: 0, y: 0 }, turn: 0, base: 0 }
/** What a new solid of each kind starts as; metres. */
export const FIRST_SOLIDS: Readonly<Record<Solid['kind'], Solid>> = {
  box: { kind: 'box', ...SEAT, width: 1, depth: 1, height: 1 },
  cylinder: { kind: 'cylinder', ...SEAT, radius: 0.5, height: 1 },
  prism: {
    kind: 'prism',
    ...SEAT,
    height: 1,
    outline: [
      { x: -0.5, y: -0.5 },
      { x: 0.5, y: -0.5 },
      { x: 0, y: 0.5 },
    ],
  },
  steps: { kind: 'steps', ...SEAT, width: 1.2, depth: 0.9, height: 0.6, count: 3 },
  flat: { kind: 'flat', ...SEAT, width: 1.2, thickness: 0.05, height: 2.4 },
  person: { kind: 'person', ...SEAT, height: 1.75 },
}

export const TARGET_FORMS = [
  { key: 'point', name: 'Point' },
  { key: 'line', name: 'Line' },
  { key: 'ring', name: 'Ring' },
] as const
export type TargetFormKind = (typeof TARGET_FORMS)[number]['key']
