/** Light is looked at in plan or in space. */
export const SURFACES = [
  { key: 'plan', name: 'Plan' },
  { key: 'space', name: 'Space' },
] as const
