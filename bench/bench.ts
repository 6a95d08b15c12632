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
import { givenBy } from '#core/show/values'
import { palettesInOrder } from '#core/palettes/resolve'
import { stagePicture } from '#core/cues/onStage'
import { effectsOf } from '#core/refocus/effects'
import { runCommand } from '#core/commands/registry'
import { applyChanges } from '#core/show/changes'
import {
  asCueId,
  asCueListId,
  asFixtureId,
  asFixtureModeId,
  asPaletteId,
  asSetPieceId,
  commandId,
  type CueId,
} from '#core/show/ids'
import { wholeFixtures } from '#core/show/cells'
import { Draft } from '#core/show/draft'
import type { Show } from '#core/show/show'
import { listsInOrder, stateAt, type ListInOrder } from '#core/cues/tracking'
import { poseInCue } from '#core/cues/ways'
import { tooFastIn } from '#core/travel/motors'
import { channelLevels } from '#core/output/channelLevels'
import { looseValues, USUAL_LIMITS } from '#core/refocus/looseValues'
import { distance, normalise, subtract } from '#core/geometry/vector'
import { rigCheck } from '#core/rig/check'
import { litFaces } from '#core/venue/litFaces'
import { stageOf } from '#core/venue/stage'
import { surfacesFrom } from '#core/venue/surfaces'
import { harbourHall } from '#demo/stage'
import { strand } from '#demo/types'
import { putCueValue } from '#core/cues/marks'
import { generateShow, PERSON, withCues } from './generate'
import { randomTargets, tiltedMounts } from './mounts'
import { seededRandom } from './random'

const ROUNDS = 15

function best(work: () => number, rounds = ROUNDS): { milliseconds: number; result: number } {
  let milliseconds = Infinity
  let result = 0
  for (let round = 0; round < rounds; round++) {
    const start = performance.now()
    result = work()
    milliseconds = Math.min(milliseconds, performance.now() - start)
  }
  return { milliseconds, result }
}

/** The same for work on something made anew for each round; the making is not timed. */
function bestAfter<T>(prepare: () => T, work: (prepared: T) => number): { milliseconds: number; result: number } {
  let milliseconds = Infinity
  let result = 0
  for (let round = 0; round < ROUNDS; round++) {
    const prepared = prepare()
    const start = performance.now()
    result = work(prepared)
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
    const stage = stageOf(fresh)
    contentsOf(fresh)
    for (const { id } of palettesInOrder(fresh))
      for (const rigged of rigOf(fresh).values()) {
        const stored = paletteValueFor(fresh, id, rigged, 'position')
        if (!stored) continue
        sum += solvePosition(rigged.mount, stage, resolveValue(fresh, rigged, 'position', stored).value, HOME).pose.pan
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

/** A palette recalled for the whole rig, from the command to the picture of the stage. */
function benchRecall(): void {
  const show = generateShow(300, 500)
  const fixtures = [...show.all.fixture.keys()].map(asFixtureId)
  const palettes = [...show.all.palette.keys()].map(asPaletteId)
  let turn = 0
  let before = show
  const recall = best(() => {
    const palette = palettes[turn++ % palettes.length] ?? asPaletteId('')
    const outcome = runCommand(before, 'recallPalette', { palette, fixtures }, commandId.parse(`r${turn}`), {
      person: PERSON,
      now: 0,
    })
    if (!outcome.ok) throw new Error(outcome.refusal.message)
    before = outcome.after()
    return stagePicture(before, PERSON).size
  }, 60)
  // The least of it: every head solved for a place, and nothing else.
  const rig = [...rigOf(show).values()]
  const places = [...targetsOf(show).values()]
  const bare = best(() => {
    const at = places[turn++ % places.length]?.position
    return at ? rig.reduce((sum, { mount }) => sum + solveAim(mount, at).pan, 0) : 0
  }, 60)
  line('a recall for all of 300 fixtures, of 500 palettes', `${recall.milliseconds.toFixed(1)} ms`)
  line('the same against the bare solving of 300 heads', (recall.milliseconds / bare.milliseconds).toFixed(0))
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
  const surfaces = surfacesFrom(harbourHall.levels, prisms)
  const faces = best(() => lights.reduce((sum, beam) => sum + litFaces(beam, 20, surfaces).length, 0))
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

/** 1,000 cues of 300 fixtures: 90,000 values. */
function benchCues(): void {
  const show = withCues(generateShow(300, 200), 1000, 30)
  const list = listsInOrder(show).find(({ cues }) => cues.length === 1000)
  const last = list?.cues.at(-1)?.id
  if (!list || !last) throw new Error('no cues')
  const fresh = () => ({ id: show.id, all: { ...show.all, cueValue: new Map(show.all.cueValue) } })
  const cold = bestAfter(fresh, (unseen) => stateAt(unseen, list, last).size)
  const warm = best(() => stateAt(show, list, last).size)
  // The obvious way: every value of every cue up to it, in turn.
  const slow = best(() => {
    const state = new Map<string, unknown>()
    for (const { id } of list.cues)
      for (const value of show.all.cueValue.values())
        if (value.cue === id) state.set(`${value.fixture} ${value.attribute}`, value)
    return state.size
  }, 2)
  line('state at the last of 1,000 cues, first asked for (wanted < 50 ms)', `${cold.milliseconds.toFixed(1)} ms`)
  line('the same asked again', `${warm.milliseconds.toFixed(2)} ms`)
  line('the obvious way against it, first asked for', (slow.milliseconds / cold.milliseconds).toFixed(0))
  const waysTo = (seen: Show) => [...rigOf(seen).keys()].reduce((sum, id) => sum + poseInCue(seen, id, last).pan, 0)
  const ways = bestAfter(fresh, waysTo)
  line('ways round at the last of 1,000 cues for 300 heads, first asked for', `${ways.milliseconds.toFixed(0)} ms`)
  const palette = [...show.all.palette.keys()][0] ?? ''
  const own = [...show.all.paletteValue].find(([, value]) => value.palette === palette)
  if (!own) throw new Error('no palette')
  const draft = new Draft(show)
  for (const [id, value] of show.all.paletteValue)
    if (value.palette === palette && value.value.kind === 'aim')
      draft.put('paletteValue', id, { ...value, value: { ...value.value, offset: { x: 0.4, y: 0, z: 0 } } })
  const after = draft.result()
  const effects = best(() => effectsOf(show, after).cues.length)
  const obvious = best(() => slowEffects(show, after, list), 2)
  if (effects.result !== obvious.result) throw new Error(`${effects.result} cues follow, not ${obvious.result}`)
  line('effects of one palette over 1,000 cues (wanted < 500 ms)', `${effects.milliseconds.toFixed(0)} ms`)
  line('every cue solved before and after against it', (obvious.milliseconds / effects.milliseconds).toFixed(1))
  const loose = best(() => looseValues(show, USUAL_LIMITS).length, 3)
  line('loose values among 90,000', `${loose.milliseconds.toFixed(0)} ms`)
}

/** Every position of every cue solved on both sides: how many cues have one that differs. */
function slowEffects(before: Show, after: Show, list: ListInOrder): number {
  let following = 0
  for (const { id } of list.cues) {
    const differs = [...stateAt(before, list, id).values()].some((stored) => {
      if (stored.attribute !== 'position') return false
      const [was, is] = [before, after].map((show) => {
        const rigged = rigOf(show).get(stored.fixture)
        const value = givenBy(stored)
        const plain = rigged && value ? resolveValue(show, rigged, 'position', value).value : null
        return rigged && plain ? solvePosition(rigged.mount, stageOf(show), plain, HOME).point : null
      })
      return was && is && distance(was, is) > 1e-4
    })
    if (differs) following += 1
  }
  return following
}

/** Moves that the motors cannot make, in 1,000 cues of 300 heads: by angle, and straight, where the whole path counts. */
function benchMotors(): void {
  const byAngle = withCues(generateShow(300, 200), 1000, 30)
  const draft = new Draft(byAngle)
  for (const id of byAngle.all.cue.keys()) draft.set('cue', id, 'travel', 'straight')
  for (const [how, show] of [
    ['by angle', byAngle],
    ['straight', draft.result()],
  ] as const) {
    const cues = listsInOrder(show).flatMap((list) => list.cues.map(({ id }) => id))
    const slowest = { milliseconds: 0 }
    const whole = best(() => {
      let found = 0
      for (const cue of cues) {
        const one = best(() => tooFastIn(show, cue).length, 1)
        slowest.milliseconds = Math.max(slowest.milliseconds, one.milliseconds)
        found += one.result
      }
      return found
    }, 1)
    const worst = `the slowest cue ${slowest.milliseconds.toFixed(0)} ms`
    line(`too fast in 1,000 cues of 300 heads, ${how}`, `${whole.milliseconds.toFixed(0)} ms, ${worst}`)
  }
}

/** A show all of which is patched, on four universes and more, on the way from its first cue to its second. */
function onItsWay(cued: Show): { draft: Draft; cues: readonly CueId[] } {
  const draft = new Draft(cued)
  let address = 1
  for (const [id, fixture] of wholeFixtures(cued)) {
    const mode = [...cued.all.fixtureMode].find(([, one]) => one.type === fixture.type)
    const universe = Math.floor((address - 1) / 480) + 1
    draft.put('fixture', id, {
      ...fixture,
      mode: asFixtureModeId(mode?.[0] ?? ''),
      universe,
      address: ((address - 1) % 480) + 1,
    })
    address += 32
  }
  const cues = [...cued.all.cue.keys()].map(asCueId)
  const [first, second] = cues
  if (!first || !second) throw new Error('no cues')
  draft.put('cueRun', 'run', {
    list: asCueListId('long'),
    cue: second,
    from: first,
    startedAt: 0,
    seconds: 60,
    settled: false,
    order: 1,
  })
  draft.set('cueList', 'long', 'onStage', second)
  return { draft, cues: [first, second] }
}

function benchOutput(): void {
  const cued = withCues(generateShow(300, 200), 2, 3000)
  const { draft, cues } = onItsWay(cued)
  const plain = frameOf(draft.result())
  line('a frame of output, 300 fixtures moving (40 a second: 25 ms)', `${plain.toFixed(1)} ms`)
  const random = seededRandom(9)
  for (const rigged of rigOf(cued).values())
    for (const cue of cues)
      putCueValue(draft, { cue, fixture: rigged.id, attribute: 'colour', value: anyColour(random) })
  const mixing = frameOf(draft.result())
  line('the same, each from a colour of its own to another (wanted < 6.25 ms)', `${mixing.toFixed(1)} ms`)
}

const anyColour = (random: () => number) =>
  ({ kind: 'colour', x: 0.25 + 0.25 * random(), y: 0.2 + 0.25 * random(), level: 1 }) as const

/** As many light sources as in 300 heads and more, eight to a bar. */
function benchCells(): void {
  const { draft, cues } = onItsWay(withCues(generateShow(60, 1, [strand]), 2, 1))
  const random = seededRandom(9)
  for (const { id, bar } of rigOf(draft.before).values())
    for (const cue of bar ? cues : []) {
      putCueValue(draft, { cue, fixture: id, attribute: 'intensity', value: { kind: 'number', number: random() } })
      putCueValue(draft, { cue, fixture: id, attribute: 'colour', value: anyColour(random) })
    }
  line('60 bars of eight cells, each cell in its own', `${frameOf(draft.result()).toFixed(1)} ms`)
}

/** Milliseconds a frame takes of a show in which all is on its way. */
function frameOf(show: Show): number {
  let now = 0
  channelLevels(show, now)
  return best(() => channelLevels(show, (now += 25)).size, 60).milliseconds
}

benchSolver()
benchShow()
benchRecall()
benchLight()
benchCues()
benchMotors()
benchOutput()
benchCells()
