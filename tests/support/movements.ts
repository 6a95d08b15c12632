/** Movements to begin with. */
import type { Movement } from '#core/movement/movement'

/** Twelve rounds a minute on the floor, four metres by two. */
export const RING: Movement = {
  kind: 'movement',
  path: { form: 'ring' },
  lies: 'floor',
  along: 4,
  across: 2,
  turn: 0,
  tempo: { by: 'minute', rounds: 12 },
  backwards: false,
  ease: 0,
  start: 0,
  lag: 0,
  mirrored: false,
}
