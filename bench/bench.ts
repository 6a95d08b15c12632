/**
 * `npm run bench`: times as ratios against a bare reference in the same run. Each figure is the
 * best of several rounds, so that whatever else the machine does disturbs it least.
 */
import { performance } from 'node:perf_hooks'
import { contentsOf, paletteValueFor, resolveValue } from '#core/palettes/resolve'
import { solvePosition } from '#core/palettes/solve'
import { HOME } from '#core/kinematics/head'
import { solveAim } from '#core/kinematics/inverse'
import { rigOf } from '#core/show/rig'
import { targetsOf } from '#core/show/targets'
import { palettesInOrder } from '#core/palettes/resolve'
import { effectsOf } from '#core/refocus/effects'
import { runCommand } from '#core/commands/registry'
import { applyChanges } from '#core/show/changes'
import { asSetPieceId, commandId } from '#core/show/ids'
import { normalise, subtract } from '#core/geometry/vector'
import { rigCheck } from '#core/rig/check'
import { groundOf, litFaces } from '#core/venue/litFaces'
import { harbourHall } from '#demo/stage'
import { generateShow, PERSON } from './generate'
import { randomTargets, tiltedMounts } from './mounts'

const ROUNDS = 15

function best(work: () => number): { milliseconds: number; result: number } {
  let milliseconds = Infinity
  let result = 0
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now()
    result = work()
    milliseconds = Math.min(milliseconds, performance.now() - start)
  }
  return { milliseconds, result }
}

function line(name: string, figure: string): void {
  console.log(`${name.padEnd(58)} ${figure}`)
}

function benchSolver(): void {
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

function benchShow(): void {
  const show = generateShow(300, 200)
  const resolveAll = best(() => {
    let sum = 0
    // A fresh rig and fresh targets each time: nothing of the round before is remembered.
    const fresh = {
      id: show.id,
      all: { ...show.all, hangPlace: new Map(show.all.hangPlace), setPiecePlace: new Map(show.all.setPiecePlace) },
    }
    const targets = targetsOf(fresh)
    contentsOf(fresh)
    for (const { id } of palettesInOrder(fresh))
      for (const rigged of rigOf(fresh).values()) {
        const stored = paletteValueFor(fresh, id, rigged, 'position')
        if (!stored) continue
        sum += solvePosition(rigged.mount, targets, resolveValue(fresh, rigged, 'position', stored).value, HOME).pose
          .pan
      }
    return sum
  })
  line('full re-solve, 300 fixtures by 200 palettes (wanted < 100 ms)', `${resolveAll.milliseconds.toFixed(1)} ms`)
  const target = [...show.all.target.keys()][0] ?? ''
  const outcome = runCommand(show, 'moveTarget', { target, position: { x: 1, y: 2, z: 0 } }, commandId.parse('c'), {
    person: PERSON,
    now: 0,
  })
  if (!outcome.ok) throw new Error(outcome.refusal.message)
  const after = applyChanges(show, outcome.changes)
  const effects = best(() => effectsOf(show, after).palettes.length)
  line('effects of moving one target in that show', `${effects.milliseconds.toFixed(1)} ms`)
}

function benchLight(): void {
  const lights = tiltedMounts(120).map(({ pivot }, i) => {
    const to = { x: -5 + (i % 11), y: 1 + (i % 7), z: 0 }
    return { lens: pivot, direction: normalise(subtract(to, pivot)) }
  })
  const prisms = Array.from({ length: 8 }, (_, i) => ({
    piece: asSetPieceId(`box${i}`),
    ...prismAround(-6 + 1.6 * i, 2 + (i % 4)),
  }))
  const ground = groundOf(harbourHall)
  const faces = best(() => lights.reduce((sum, beam) => sum + litFaces(beam, 20, ground, prisms).length, 0))
  // The least that a shadowless pool on the floor takes: where the sides of each cone meet it.
  const bare = best(() => {
    let sum = 0
    for (const { lens, direction } of lights)
      for (let i = 0; i < 28; i++) {
        const turn = (2 * Math.PI * i) / 28
        const x = direction.x + 0.18 * Math.cos(turn)
        const y = direction.y + 0.18 * Math.sin(turn)
        const t = -lens.z / direction.z
        sum += lens.x + t * x + lens.y + t * y
      }
    return sum
  })
  line('where 120 lights fall among 8 set pieces, shadows and all', `${faces.milliseconds.toFixed(1)} ms`)
  line('the same against bare cones on a bare floor', (faces.milliseconds / bare.milliseconds).toFixed(0))
  const show = generateShow(400, 10)
  const checked = best(
    () => rigCheck({ id: show.id, all: { ...show.all, hangPlace: new Map(show.all.hangPlace) } }).length,
  )
  line('rig check of 400 fixtures', `${checked.milliseconds.toFixed(1)} ms`)
}

function prismAround(x: number, y: number) {
  const outline = [
    { x, y },
    { x: x + 1, y },
    { x: x + 1, y: y + 1 },
    { x, y: y + 1 },
  ]
  return { outline, bottom: 0, top: 2 }
}

benchSolver()
benchShow()
benchLight()
