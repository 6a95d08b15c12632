/** Heads and places for the solver's benchmark, the same on every run. */
import { fixtureFrame } from '#core/geometry/frame'
import { vec3, type Vec3 } from '#core/geometry/vector'
import { mountHead, type Mount } from '#core/kinematics/head'
import { dunlin, plover, tern } from '#demo/types'
import { seededRandom } from '#core/standIn/seededRandom'

export function tiltedMounts(count: number): Mount[] {
  const random = seededRandom(7)
  const types = [tern, dunlin, plover]
  return Array.from({ length: count }, (_, i) => {
    const origin = vec3(random() * 20 - 10, random() * 14 - 4, 5 + random() * 4)
    const place = { along: 0, out: 0, drop: 0.1, yaw: random() * 360, pitch: random() * 20 - 10, roll: random() * 10 }
    return mountHead(types[i % types.length] ?? tern, fixtureFrame({ origin, yaw: 0, rise: 0 }, place))
  })
}

export function randomTargets(count: number): Vec3[] {
  const random = seededRandom(11)
  return Array.from({ length: count }, () => vec3(random() * 16 - 8, random() * 10, random() * 3))
}
