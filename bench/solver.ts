/** Solving aims. */
import { solveAim } from '#core/kinematics/inverse'
import { randomTargets, tiltedMounts } from './mounts'
import { best, line } from './measure'

export function benchSolver(): void {
  const mounts = tiltedMounts(300)
  const targets = randomTargets(200)
  const aims = mounts.length * targets.length
  const choice = { reference: { pan: 20, tilt: 30 } }
  const solver = best(() => {
    let sum = 0
    for (const mount of mounts) for (const target of targets) sum += solveAim(mount, target, choice).pan
    return sum
  })
  // The calls the formulas of the two ways need, on the same numbers and nothing else: a bearing,
  // a swing, a lean and a twist, and the sine and cosine of both pans.
  const bare = best(() => {
    let sum = 0
    for (const { pivot } of mounts)
      for (const target of targets) {
        const x = target.x - pivot.x
        const y = target.y - pivot.y
        const z = target.z - pivot.z
        const r = Math.sqrt(x * x + y * y)
        const bearing = Math.atan2(y, x)
        const swing = Math.acos(0.03 / r)
        const first = bearing + swing
        const second = bearing - swing
        const w = Math.sin(first) * x - Math.cos(first) * y
        const v = Math.sin(second) * x - Math.cos(second) * y
        const rho = Math.sqrt(r * r + z * z)
        sum += Math.atan2(w, -z) - Math.asin(0.02 / rho) + Math.atan2(v, -z) - Math.asin(0.02 / rho)
      }
    return sum
  })
  line('aims a second', Math.round(aims / (solver.milliseconds / 1000)).toLocaleString('en'))
  line(
    'solver against the bare trigonometric calls (wanted ≤ 2.0)',
    (solver.milliseconds / bare.milliseconds).toFixed(2),
  )
}
