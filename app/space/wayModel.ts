/** Lines in space along which light goes. */
import { Group } from 'three'
import type { Vec3 } from '#core/geometry/vector'
import { lines } from './stageModel'

/** A way: as it is taken, as it would be by the other kind, or where it is in a keep-clear zone. */
export interface SpaceWay {
  readonly points: readonly Vec3[]
  readonly look: 'own' | 'other' | 'swept'
}

/** Space is dark in every theme. */
const LOOKS = {
  own: { colour: '#e3bd62', opacity: 1 },
  other: { colour: '#8fa5a0', opacity: 0.5 },
  swept: { colour: '#ff8163', opacity: 1 },
} as const

export function wayModel(ways: readonly SpaceWay[]): Group {
  const model = new Group()
  for (const { points, look } of ways) {
    const pairs = points.slice(1).flatMap((point, i) => [points[i] ?? point, point])
    model.add(lines(pairs, LOOKS[look].colour, LOOKS[look].opacity))
  }
  return model
}
